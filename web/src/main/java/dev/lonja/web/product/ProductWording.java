package dev.lonja.web.product;

import dev.lonja.core.fleet.Unit;
import dev.lonja.core.fluid.BrakeBase;
import dev.lonja.core.fluid.HydraulicType;
import dev.lonja.core.fluid.Product;
import dev.lonja.core.fluid.ProductId;
import dev.lonja.core.fluid.ServiceClass;
import dev.lonja.core.grade.FluidKind;
import dev.lonja.core.mixture.FreezeTable;
import dev.lonja.core.mixture.Glycol;
import dev.lonja.core.quantity.AshContent;
import dev.lonja.core.quantity.Density;
import dev.lonja.core.quantity.PlainDecimal;
import dev.lonja.desk.fluid.Hazards;
import dev.lonja.desk.fluid.ProductDesk;
import dev.lonja.store.ledger.LotFacts;
import dev.lonja.web.fluid.FluidAdvice;
import dev.lonja.web.fluid.ReasonWording;
import dev.lonja.web.frame.Drum;
import dev.lonja.web.frame.Plate;
import dev.lonja.web.frame.Words;
import dev.lonja.web.spec.SpecView;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;

/** Says in words what is on file of a product, and where it may go. */
final class ProductWording {

  private final LocalDate today;

  ProductWording(LocalDate today) {
    this.today = today;
  }

  static ProductView.All all(List<ProductDesk.Row> rows) {
    return new ProductView.All(
        rows.stream()
            .map(
                row ->
                    new ProductView.Row(
                        row.product().id(),
                        row.product().display(),
                        Drum.of(row.product()),
                        row.packs().stream()
                            .map(item -> item.pack().orElseThrow().display())
                            .collect(Collectors.joining(", ")),
                        row.free().isPositive() ? row.free().display() : "",
                        row.places()))
            .toList());
  }

  ProductView view(ProductDesk.ProductFile file) {
    Product product = file.read().product();
    return new ProductView(
        product.id(),
        product.display(),
        Drum.of(product),
        new ProductView.Label(
            facts(product),
            file.read().met().stream().map(ServiceClass::text).sorted().toList(),
            file.read().notUnderstood(),
            product.approvals().stream()
                .map(
                    a -> a.code().text() + (a.listed() ? ", listed" : ", only said to be suitable"))
                .toList()),
        file.packs().stream().map(this::pack).toList(),
        file.free().display(),
        places(product.id(), file.places()),
        file.hazards());
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
      case COOLANT -> {
        facts.add(fact("Family", data.chemistry().map(c -> c.words())));
        facts.addAll(mixing(data));
      }
      case WASHER_FLUID -> facts.addAll(mixing(data));
      case BRAKE_FLUID -> facts.add(fact("Base", data.base().map(BrakeBase::words)));
      case HYDRAULIC_OIL -> facts.add(fact("ISO 6743-4", data.type().map(HydraulicType::name)));
      default -> {}
    }
    return facts;
  }

  private static List<ProductView.Fact> mixing(Product.Data data) {
    return List.of(
        fact(
            "As it comes",
            data.strength()
                .map(
                    s ->
                        s.isConcentrate()
                            ? "concentrate"
                            : "ready mixed, "
                                + PlainDecimal.of(s.share().movePointRight(2))
                                + " % concentrate")),
        fact(
            "Freeze points",
            data.strength()
                .flatMap(
                    s ->
                        s.own()
                            .map(FreezeTable::written)
                            .or(() -> s.glycol().map(g -> "general, of " + g.words())))));
  }

  private static ProductView.Fact fact(String what, Optional<String> value) {
    return new ProductView.Fact(what, value.orElse("not known"));
  }

  private ProductView.PackRow pack(ProductDesk.PackFile pack) {
    return new ProductView.PackRow(
        Plate.of(pack.item()),
        pack.item().pack().orElseThrow().display(),
        pack.item().homeBin().address(),
        pack.free().display(),
        pack.average().display(),
        pack.open().stream().map(this::open).toList());
  }

  /** "1.40 L open since 3 Mar, good until 3 Mar 2028". */
  private String open(LotFacts lot) {
    return lot.lot().quantity().display()
        + " open since "
        + Words.day(lot.lot().openedOn().orElseThrow(), today)
        + lot.lot().expiresOn().map(day -> ", good until " + Words.day(day, today)).orElse("");
  }

  private static List<ProductView.PlaceRow> places(
      ProductId product, List<ProductDesk.Place> places) {
    return places.stream().map(place -> place(product, place)).toList();
  }

  private static ProductView.PlaceRow place(ProductId product, ProductDesk.Place place) {
    return new ProductView.PlaceRow(
        place.use().compartment().id(),
        place.use().display(),
        place.use().units().stream().map(Unit::code).collect(Collectors.joining(" ")),
        ReasonWording.state(place.verdict().overall()),
        String.join("; ", ReasonWording.against(place.verdict())),
        place.instead().stream().map(FluidAdvice::fromTheShelf).collect(Collectors.joining("; ")),
        place.isPreferred(product));
  }

  static ProductView.Effect effect(ProductDesk.Effect effect) {
    long free =
        effect.places().stream().filter(place -> place.verdict().overall().isFree()).count();
    String claims =
        effect.read().claimed().stream()
            .map(ServiceClass::text)
            .sorted()
            .collect(Collectors.joining(", "));
    return new ProductView.Effect(
        List.of(),
        claims.isEmpty() ? "no class" : claims,
        effect.read().notUnderstood(),
        "May go into "
            + free
            + " of "
            + Words.count(effect.places().size(), "place", "places")
            + " that take such a fluid.",
        places(effect.read().product().id(), effect.places()));
  }

  static ProductView.Form form(
      Optional<Product> product, Map<String, String> fields, List<Hazards.Text> hazards) {
    return new ProductView.Form(
        product.map(Product::id),
        product.map(Product::display).orElse("New product"),
        product.map(Product::version).orElse(0L),
        fields,
        SpecView.choices(FluidKind.values(), FluidKind::words),
        SpecView.choices(BrakeBase.values(), BrakeBase::words),
        SpecView.choices(HydraulicType.values(), HydraulicType::name),
        SpecView.choices(Glycol.values(), Glycol::words),
        hazards.stream().map(text -> new SpecView.Choice(text.code(), text.title())).toList());
  }
}
