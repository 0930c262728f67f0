package dev.lonja.core.choice;

import static dev.lonja.core.forecast.Demands.fill;
import static org.assertj.core.api.Assertions.assertThat;

import dev.lonja.core.fleet.Compartment;
import dev.lonja.core.fleet.CompartmentId;
import dev.lonja.core.fleet.Filling;
import dev.lonja.core.fleet.UnitId;
import dev.lonja.core.fluid.ProductId;
import dev.lonja.core.fluid.Spec;
import dev.lonja.core.grade.FluidKind;
import dev.lonja.core.item.ItemId;
import dev.lonja.core.machine.UnitNeeds;
import dev.lonja.core.quantity.Volume;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.Test;

/**
 * Units 7 (whose fills the plan line has), 8 and 9 of one variant with sump 1 and axle 2; items 1
 * and 2 are packs of product 10, item 3 is product 11.
 */
class FluidUseTest {

  private static final Map<ItemId, ProductId> PRODUCTS =
      Map.of(
          new ItemId(1), new ProductId(10),
          new ItemId(2), new ProductId(10),
          new ItemId(3), new ProductId(11));

  private static Compartment compartment(long id, Integer item) {
    return new Compartment(
        new CompartmentId(id),
        "Compartment " + id,
        Compartment.Kind.ENGINE,
        Spec.ofKind(FluidKind.ENGINE_OIL),
        Optional.ofNullable(item).map(ItemId::new),
        Map.of(),
        Filling.UNSAID,
        "",
        Optional.empty());
  }

  private static UnitNeeds needs(Compartment... compartments) {
    return new UnitNeeds(List.of(compartments), List.of());
  }

  private static Map<UnitId, Volume> litres(Object... pairs) {
    Map<UnitId, Volume> litres = new LinkedHashMap<>();
    for (int i = 0; i < pairs.length; i += 2) {
      litres.put(new UnitId((int) pairs[i]), Volume.ofLitres((String) pairs[i + 1]));
    }
    return litres;
  }

  /**
   * Two packs of one product are one use; unit 9 differs and is a use of its own. 6 + 6.4 L go into
   * unit 7 in the year.
   */
  @Test
  void unitsWithTheSameProductAreOneUse() {
    Map<UnitId, UnitNeeds> units = new LinkedHashMap<>();
    units.put(new UnitId(7), needs(compartment(1, 1)));
    units.put(new UnitId(8), needs(compartment(1, 2)));
    units.put(new UnitId(9), needs(compartment(1, 3)));
    List<FluidUse> uses =
        FluidUse.of(
            units, PRODUCTS, List.of(fill(1, "2027-03-20", "6"), fill(1, "2027-09-20", "6.4")));
    assertThat(uses).hasSize(2);
    assertThat(uses.get(0).today()).contains(new ProductId(10));
    assertThat(uses.get(0).litres()).isEqualTo(litres(7, "12.4", 8, "0"));
    assertThat(uses.get(0).litresPerYear()).isEqualTo(Volume.ofLitres("12.4"));
    assertThat(uses.get(1).today()).contains(new ProductId(11));
    assertThat(uses.get(1).litres()).isEqualTo(litres(9, "0"));
  }

  /** Nothing is chosen for either; the sump is filled all the same, the axle is not. */
  @Test
  void whatNobodyFillsOrChoseIsNotInUse() {
    List<FluidUse> uses =
        FluidUse.of(
            Map.of(new UnitId(7), needs(compartment(1, null), compartment(2, null))),
            PRODUCTS,
            List.of(fill(1, "2027-03-20", "6")));
    assertThat(uses).hasSize(1);
    assertThat(uses.get(0).compartment().id()).isEqualTo(new CompartmentId(1));
    assertThat(uses.get(0).today()).isEmpty();
  }

  /** A part that is drawn for a compartment counts there only; unit 8 has no fill in the plan. */
  @Test
  void litresAreCountedByUnitAndCompartment() {
    Map<UnitId, UnitNeeds> units = new LinkedHashMap<>();
    units.put(new UnitId(7), needs(compartment(1, 1), compartment(2, 1)));
    units.put(new UnitId(8), needs(compartment(1, 1), compartment(2, 1)));
    List<FluidUse> uses =
        FluidUse.of(
            units, PRODUCTS, List.of(fill(1, "2027-03-20", "6"), fill(2, "2027-03-20", "2")));
    assertThat(uses)
        .extracting(FluidUse::litresPerYear)
        .containsExactly(Volume.ofLitres("6"), Volume.ofLitres("2"));
  }
}
