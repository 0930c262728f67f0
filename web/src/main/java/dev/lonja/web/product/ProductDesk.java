package dev.lonja.web.product;

import dev.lonja.core.fleet.Unit;
import dev.lonja.core.fluid.BrakeBase;
import dev.lonja.core.fluid.HydraulicType;
import dev.lonja.core.fluid.Product;
import dev.lonja.core.fluid.ProductClaims;
import dev.lonja.core.fluid.ProductId;
import dev.lonja.core.fluid.ServiceClass;
import dev.lonja.core.fluid.Spec;
import dev.lonja.core.fluid.SpecJudge;
import dev.lonja.core.fluid.Suitability;
import dev.lonja.core.grade.FluidKind;
import dev.lonja.core.item.Item;
import dev.lonja.core.quantity.AshContent;
import dev.lonja.core.quantity.Density;
import dev.lonja.desk.clock.StoreClock;
import dev.lonja.desk.fleet.FleetPicture;
import dev.lonja.desk.fluid.FluidBook;
import dev.lonja.desk.fluid.SpecUse;
import dev.lonja.desk.person.Allowed;
import dev.lonja.desk.request.OnceOnly;
import dev.lonja.desk.request.Outcome;
import dev.lonja.desk.request.Problem;
import dev.lonja.desk.request.Sent;
import dev.lonja.store.LonjaStore;
import dev.lonja.store.Session;
import dev.lonja.store.audit.AuditLog;
import dev.lonja.store.ledger.LotFacts;
import dev.lonja.web.fluid.Hazards;
import dev.lonja.web.fluid.ReasonWording;
import dev.lonja.web.fluid.VerdictView;
import dev.lonja.web.frame.Drum;
import dev.lonja.web.frame.Plate;
import dev.lonja.web.frame.Words;
import dev.lonja.web.request.Typed;
import dev.lonja.web.spec.SpecView;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import java.util.function.Predicate;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;

/** Fluids independent of their packs: shown with where they may go, and edited with the effect. */
@Service
@Allowed.ToSeeStore
public class ProductDesk {

  private final LonjaStore store;
  private final StoreClock clock;
  private final OnceOnly once;

  public ProductDesk(LonjaStore store, StoreClock clock, OnceOnly once) {
    this.store = store;
    this.clock = clock;
    this.once = once;
  }

  ProductView.All all() {
    return store.read(
        session -> {
          Places places = new Places(session);
          return new ProductView.All(
              places.book.products().stream().map(read -> row(places, read)).toList());
        });
  }

  private static ProductView.Row row(Places places, ProductClaims read) {
    ProductId id = read.product().id();
    return new ProductView.Row(
        id,
        read.product().display(),
        Drum.of(read.product()),
        places.book.packs(id).stream()
            .map(item -> item.pack().orElseThrow().display())
            .collect(Collectors.joining(", ")),
        places.book.isOnShelf(read.product()) ? places.book.free(id).display() : "",
        (int)
            places.uses.stream()
                .filter(use -> use.spec().kind() == read.product().kind())
                .filter(use -> places.judges.get(use.spec()).stand(read).overall().isFree())
                .count());
  }

  /** Products and the specs in use, as of today. */
  private final class Places {
    private final FluidBook book;
    private final List<SpecUse> uses;
    private final Map<Spec, SpecJudge> judges = new HashMap<>();

    Places(Session session) {
      this.book = FluidBook.load(session, clock.today());
      this.uses = SpecUse.all(session, FleetPicture.load(session, clock.today()));
      uses.forEach(use -> judges.computeIfAbsent(use.spec(), book::judge));
    }

    /** The specs of the product's kind with its verdicts, what it may go into first. */
    List<ProductView.PlaceRow> of(ProductClaims read) {
      return uses.stream()
          .filter(use -> use.spec().kind() == read.product().kind())
          .map(use -> Map.entry(use, judges.get(use.spec()).judge(read)))
          .sorted(Map.Entry.comparingByValue((a, b) -> a.overall().compareTo(b.overall())))
          .map(entry -> place(entry.getKey(), entry.getValue(), read.product().id()))
          .toList();
    }

    private ProductView.PlaceRow place(SpecUse use, Suitability verdict, ProductId product) {
      List<String> against = ReasonWording.against(verdict);
      return new ProductView.PlaceRow(
          use.compartment().id(),
          use.display(),
          use.units().stream().map(Unit::code).collect(Collectors.joining(" ")),
          ReasonWording.state(verdict.overall()),
          String.join("; ", against),
          verdict.overall().isFree()
              ? ""
              : String.join("; ", VerdictView.fromTheShelf(book, use.spec(), product)),
          use.preferred().flatMap(Item::product).filter(p -> p.id().equals(product)).isPresent());
    }
  }

  Optional<ProductView> view(ProductId id) {
    return store.read(
        session -> {
          Places places = new Places(session);
          return places.book.byId(id).map(read -> view(session, places, read));
        });
  }

  private static List<String> codes(Session session) {
    return Hazards.load(session).all().stream().map(Hazards.Text::code).toList();
  }

  private ProductView view(Session session, Places places, ProductClaims read) {
    Product product = read.product();
    return new ProductView(
        product.id(),
        product.display(),
        Drum.of(product),
        facts(product),
        read.met().stream().map(ServiceClass::text).sorted().toList(),
        read.notUnderstood(),
        product.approvals().stream()
            .map(a -> a.code().text() + (a.listed() ? ", listed" : ", only said to be suitable"))
            .toList(),
        places.book.packs(product.id()).stream()
            .map(item -> pack(session, places.book, item))
            .toList(),
        places.book.free(product.id()).display(),
        places.of(read),
        Hazards.load(session).textsOf(product));
  }

  private static List<ProductView.Fact> facts(Product product) {
    Product.Data data = product.data();
    List<ProductView.Fact> facts = new ArrayList<>();
    facts.add(fact("Sulphated ash", data.ash().map(AshContent::display)));
    facts.add(fact("Zinc", data.zincMilligrams().map(z -> z + " mg/kg")));
    facts.add(fact("Friction modifier", data.frictionModifier().map(m -> m ? "yes" : "no")));
    facts.add(fact("Readily biodegradable", data.biodegradable().map(b -> b ? "yes" : "no")));
    facts.add(fact("Density at 15 °C", data.density().map(Density::display)));
    switch (product.kind()) {
      case COOLANT -> facts.add(fact("Family", data.chemistry().map(c -> c.words())));
      case BRAKE_FLUID -> facts.add(fact("Base", data.base().map(BrakeBase::words)));
      case HYDRAULIC_OIL -> facts.add(fact("ISO 6743-4", data.type().map(HydraulicType::name)));
      default -> {}
    }
    return facts;
  }

  private static ProductView.Fact fact(String what, Optional<String> value) {
    return new ProductView.Fact(what, value.orElse("not known"));
  }

  private ProductView.PackRow pack(Session session, FluidBook book, Item item) {
    List<LotFacts> lots = session.ledger().lotsOf(item.id());
    return new ProductView.PackRow(
        Plate.of(item),
        item.pack().orElseThrow().display(),
        item.homeBin().address(),
        book.freeOf(item).display(),
        session.ledger().stockOf(item.id()).average().display(),
        lots.stream().filter(lot -> lot.lot().openedOn().isPresent()).map(this::open).toList());
  }

  /** "1.40 L open since 3 Mar, good until 3 Mar 2028". */
  private String open(LotFacts lot) {
    return lot.lot().quantity().display()
        + " open since "
        + Words.day(lot.lot().openedOn().orElseThrow(), clock.today())
        + lot.lot()
            .expiresOn()
            .map(day -> ", good until " + Words.day(day, clock.today()))
            .orElse("");
  }

  /** The form, filled as typed or as on file; without an id it is for a new product. */
  @Allowed.ToKeepStore
  Optional<ProductView.Form> form(Optional<ProductId> id, Map<String, String> typed) {
    return store.read(
        session -> {
          Optional<Product> product = id.flatMap(session.products()::byId);
          if (id.isPresent() && product.isEmpty()) {
            return Optional.empty();
          }
          Map<String, String> onFile = product.map(ProductEntry::fields).orElse(Map.of());
          Map<String, String> fields = typed.isEmpty() ? onFile : typed;
          return Optional.of(
              new ProductView.Form(
                  id,
                  product.map(Product::display).orElse("New product"),
                  product.map(Product::version).orElse(0L),
                  fields,
                  choices(FluidKind.values(), FluidKind::words),
                  choices(BrakeBase.values(), BrakeBase::words),
                  choices(HydraulicType.values(), HydraulicType::name),
                  Hazards.load(session).all().stream()
                      .map(text -> new SpecView.Choice(text.code(), text.title()))
                      .toList(),
                  fields.isEmpty()
                      ? new ProductView.Effect(List.of(), "", List.of(), "", List.of())
                      : effect(session, fields)));
        });
  }

  private static <T extends Enum<T>> List<SpecView.Choice> choices(
      T[] values, Function<T, String> words) {
    return Arrays.stream(values)
        .map(value -> new SpecView.Choice(value.name(), words.apply(value)))
        .toList();
  }

  /** What a form would mean, without saving it. */
  @Allowed.ToKeepStore
  ProductView.Effect effect(Map<String, String> fields) {
    return store.read(session -> effect(session, fields));
  }

  private ProductView.Effect effect(Session session, Map<String, String> fields) {
    Places places = new Places(session);
    Typed typed = new Typed();
    Optional<Product> product =
        new ProductEntry(fields, places.book.reference(), typed)
            .product(session.products().next(), 0, codes(session));
    if (product.isEmpty()) {
      return new ProductView.Effect(
          typed.problems().stream().map(Problem::text).toList(), "", List.of(), "", List.of());
    }
    ProductClaims read = places.book.reference().read(product.get());
    List<ProductView.PlaceRow> rows = places.of(read);
    long free = rows.stream().filter(row -> row.state().style().equals("ready")).count();
    String claims =
        read.claimed().stream().map(ServiceClass::text).sorted().collect(Collectors.joining(", "));
    return new ProductView.Effect(
        List.of(),
        claims.isEmpty() ? "no class" : claims,
        read.notUnderstood(),
        "May go into "
            + free
            + " of "
            + Words.count(rows.size(), "place", "places")
            + " that take such a fluid.",
        rows);
  }

  /** Adds a product. */
  @Allowed.ToKeepStore
  public Outcome add(Sent sent, Map<String, String> fields) {
    return once.run(
        sent,
        session ->
            write(
                session,
                sent,
                session.products().next(),
                0,
                fields,
                product -> {
                  session.products().add(product);
                  return true;
                }));
  }

  /** Saves an edit of a product. */
  @Allowed.ToKeepStore
  public Outcome save(Sent sent, ProductId id, long version, Map<String, String> fields) {
    return once.run(
        sent, session -> write(session, sent, id, version, fields, session.products()::update));
  }

  private Outcome write(
      Session session,
      Sent sent,
      ProductId id,
      long version,
      Map<String, String> fields,
      Predicate<Product> store) {
    Typed typed = new Typed();
    Optional<Product> product =
        new ProductEntry(fields, session.references().fluids(), typed)
            .product(id, version, codes(session));
    product
        .flatMap(p -> session.products().byName(p.make(), p.name()))
        .filter(other -> !other.id().equals(id))
        .ifPresent(other -> typed.refuse("name", "There is " + other.display() + " already."));
    if (!typed.problems().isEmpty()) {
      return new Outcome.Refused(typed.problems());
    }
    String before = session.products().byId(id).map(ProductDesk::words).orElse("");
    if (!store.test(product.orElseThrow())) {
      return Outcome.refused(
          Problem.ofWhole(
              "Someone else has changed this product since the form was shown. Look at what is"
                  + " on file and save again."));
    }
    session
        .audit()
        .add(
            "product",
            id.value(),
            new AuditLog.Line(
                before.isEmpty() ? "added" : "edited",
                before,
                words(product.orElseThrow()),
                sent.actor(),
                clock.now()));
    return new Outcome.Done("/oils/products/" + id);
  }

  private static String words(Product product) {
    return ProductEntry.fields(product).entrySet().stream()
        .filter(field -> !field.getValue().isEmpty())
        .map(field -> field.getKey() + " " + field.getValue())
        .collect(Collectors.joining("; "));
  }
}
