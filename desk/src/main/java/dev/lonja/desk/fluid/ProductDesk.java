package dev.lonja.desk.fluid;

import dev.lonja.core.fluid.NewProduct;
import dev.lonja.core.fluid.Product;
import dev.lonja.core.fluid.ProductClaims;
import dev.lonja.core.fluid.ProductId;
import dev.lonja.core.fluid.Spec;
import dev.lonja.core.fluid.SpecJudge;
import dev.lonja.core.fluid.Suitability;
import dev.lonja.core.grade.FluidKind;
import dev.lonja.core.item.Item;
import dev.lonja.core.quantity.Quantity;
import dev.lonja.core.quantity.UnitPrice;
import dev.lonja.desk.clock.StoreClock;
import dev.lonja.desk.fleet.FleetPicture;
import dev.lonja.desk.person.Allowed;
import dev.lonja.desk.person.KeepersDesk;
import dev.lonja.desk.request.OnceOnly;
import dev.lonja.desk.request.Outcome;
import dev.lonja.desk.request.Refusal;
import dev.lonja.desk.request.RequestRefusal;
import dev.lonja.desk.request.Sent;
import dev.lonja.store.LonjaStore;
import dev.lonja.store.Session;
import dev.lonja.store.audit.Deed;
import dev.lonja.store.audit.Facts;
import dev.lonja.store.audit.Matter;
import dev.lonja.store.ledger.LotFacts;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;
import org.springframework.stereotype.Service;

/** Fluids independent of their packs: shown with where they may go, and edited with the effect. */
@Service
@Allowed.ToSeeStore
public class ProductDesk extends KeepersDesk {

  private final LonjaStore store;
  private final StoreClock clock;
  private final OnceOnly once;

  public ProductDesk(LonjaStore store, StoreClock clock, OnceOnly once) {
    this.store = store;
    this.clock = clock;
    this.once = once;
  }

  /**
   * A product in the list of all.
   *
   * @param packs that it is sold in, the smallest first
   * @param places how many places of the fleet it may go into without a word
   */
  public record Row(Product product, List<Item> packs, Quantity free, int places) {}

  /** A product with its packs and where it may go, best first. */
  public record ProductFile(
      ProductClaims read,
      List<PackFile> packs,
      Quantity free,
      List<Place> places,
      List<Hazards.Text> hazards) {}

  /** A pack, what of it is free, what one litre is worth, and what is open. */
  public record PackFile(Item item, Quantity free, UnitPrice average, List<LotFacts> open) {}

  /** A spec in use, the verdict for it, and what on the shelf may go in where this may not. */
  public record Place(SpecUse use, Suitability verdict, List<ShelfFluid> instead) {

    public boolean isPreferred(ProductId product) {
      return use.preferred().flatMap(Item::product).filter(p -> p.id().equals(product)).isPresent();
    }
  }

  /** What a product as described would claim, and where it might go. */
  public record Effect(ProductClaims read, List<Place> places) {}

  /** Another product has this name. */
  public record NameTaken(Product by) implements Refusal {}

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

    private Stream<SpecUse> ofKind(FluidKind kind) {
      return uses.stream().filter(use -> use.spec().kind() == kind);
    }

    int free(ProductClaims read) {
      return (int)
          ofKind(read.product().kind())
              .filter(use -> judges.get(use.spec()).stand(read).overall().isFree())
              .count();
    }

    /** The specs of the product's kind with its verdicts, what it may go into first. */
    List<Place> of(ProductClaims read) {
      return ofKind(read.product().kind())
          .map(
              use -> {
                Suitability verdict = judges.get(use.spec()).judge(read);
                return new Place(
                    use,
                    verdict,
                    verdict.overall().isFree()
                        ? List.of()
                        : ShelfFluid.free(book, use.spec(), read.product().id()));
              })
          .sorted(Comparator.comparing(place -> place.verdict().overall()))
          .toList();
    }
  }

  public List<Row> all() {
    return store.read(
        session -> {
          Places places = new Places(session);
          return places.book.products().stream()
              .map(
                  read ->
                      new Row(
                          read.product(),
                          places.book.packs(read.product().id()),
                          places.book.free(read.product().id()),
                          places.free(read)))
              .toList();
        });
  }

  /** Empty for an unknown product. */
  public Optional<ProductFile> file(ProductId id) {
    return store.read(
        session -> {
          Places places = new Places(session);
          return places.book.byId(id).map(read -> file(session, places, read));
        });
  }

  private static ProductFile file(Session session, Places places, ProductClaims read) {
    Product product = read.product();
    return new ProductFile(
        read,
        places.book.packs(product.id()).stream()
            .map(
                item ->
                    new PackFile(
                        item,
                        places.book.freeOf(item),
                        session.ledger().stockOf(item.id()).average(),
                        session.ledger().lotsOf(item.id()).stream()
                            .filter(lot -> lot.lot().openedOn().isPresent())
                            .toList()))
            .toList(),
        places.book.free(product.id()),
        places.of(read),
        Hazards.load(session).of(product));
  }

  /** Empty for an unknown product. */
  @Allowed.ToKeepStore
  public Optional<Product> onFile(ProductId id) {
    return store.read(session -> session.products().byId(id));
  }

  /** The hazards that a product may have. */
  public List<Hazards.Text> hazards() {
    return store.read(session -> Hazards.load(session).all());
  }

  /** What a product would claim and where it might go, without saving it. */
  @Allowed.ToKeepStore
  public Effect effect(NewProduct described) {
    return store.read(
        session -> {
          Places places = new Places(session);
          ProductClaims read =
              places.book.reference().read(described.numbered(session.products().next(), 0));
          return new Effect(read, places.of(read));
        });
  }

  /** Adds a product; answers its number. */
  @Allowed.ToKeepStore
  public Outcome add(Sent sent, NewProduct described) {
    return once.run(
        sent,
        session -> {
          Product product = described.numbered(session.products().next(), 0);
          Optional<Outcome> refused = refused(session, product);
          if (refused.isPresent()) {
            return refused.get();
          }
          session.products().add(product);
          audit(session, sent, Deed.ADDED, Facts.NONE, product);
          return Outcome.done(product.id());
        });
  }

  /** Saves an edit of a product, unless someone else changed it meanwhile. */
  @Allowed.ToKeepStore
  public Outcome save(Sent sent, ProductId id, long version, NewProduct described) {
    return once.run(
        sent,
        session -> {
          Product product = described.numbered(id, version);
          Optional<Outcome> refused = refused(session, product);
          if (refused.isPresent()) {
            return refused.get();
          }
          Facts before =
              session
                  .products()
                  .byId(id)
                  .map(known -> new Facts(ProductSheet.of(known)))
                  .orElse(Facts.NONE);
          if (!session.products().update(product)) {
            return Outcome.refused(RequestRefusal.CHANGED_MEANWHILE);
          }
          audit(session, sent, Deed.EDITED, before, product);
          return Outcome.done(id);
        });
  }

  private static Optional<Outcome> refused(Session session, Product product) {
    return session
        .products()
        .byName(product.make(), product.name())
        .filter(other -> !other.id().equals(product.id()))
        .map(other -> Outcome.refused(new NameTaken(other)));
  }

  private void audit(Session session, Sent sent, Deed deed, Facts before, Product product) {
    Facts after = new Facts(ProductSheet.of(product));
    session
        .audit()
        .add(
            sent.line(
                clock.now(),
                Matter.PRODUCT,
                product.id(),
                deed,
                before.unlike(after),
                after.unlike(before)));
  }
}
