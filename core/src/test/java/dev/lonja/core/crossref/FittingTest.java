package dev.lonja.core.crossref;

import static org.assertj.core.api.Assertions.assertThat;

import dev.lonja.core.fleet.Compartment;
import dev.lonja.core.fleet.CompartmentId;
import dev.lonja.core.fleet.Filling;
import dev.lonja.core.fleet.Mounting;
import dev.lonja.core.fleet.Position;
import dev.lonja.core.fleet.PositionId;
import dev.lonja.core.fluid.HydraulicType;
import dev.lonja.core.fluid.Product;
import dev.lonja.core.fluid.ProductId;
import dev.lonja.core.fluid.Spec;
import dev.lonja.core.grade.FluidKind;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** What a place demands of what goes there. */
class FittingTest {

  /** Hydrocarbons of every make are mineral oil to rubber; esters and polyglycol are not. */
  @ParameterizedTest
  @CsvSource({
    "ENGINE_OIL,, mineral oil",
    "GEAR_OIL,, mineral oil",
    "HYDRAULIC_OIL, HM, mineral oil",
    "HYDRAULIC_OIL, HEPR, mineral oil",
    "HYDRAULIC_OIL, HEES, ester hydraulic",
    "HYDRAULIC_OIL, HETG, ester hydraulic",
    "HYDRAULIC_OIL, HEPG, polyglycol",
    "HYDRAULIC_OIL,, hydraulic fluid",
    "COOLANT,, coolant (glycol)",
    "BRAKE_FLUID,, brake fluid of another base",
    "DIESEL,, diesel",
    "PETROL,, petrol"
  })
  void rubberMustWithstandWhatIsIn(FluidKind kind, HydraulicType type, String fluid) {
    assertThat(at(Position.Kind.COVER_SEAL, Mounting.UPRIGHT, product(kind, type)).fluid())
        .contains(fluid);
  }

  /** Nobody says which oil is in, but that it is engine oil is known. */
  @Test
  void withoutAProductItIsWhatTheCompartmentWants() {
    assertThat(at(Position.Kind.COVER_SEAL, Mounting.UPRIGHT, null).fluid())
        .contains("mineral oil");
    Position alone = position(Position.Kind.BELT, Mounting.UPRIGHT);
    assertThat(Fitting.of(alone, Optional.empty(), Optional.empty()).fluid()).isEmpty();
  }

  /** Only an oil filter runs empty, and only one that does not stand upright. */
  @ParameterizedTest
  @CsvSource({
    "OIL_FILTER, SIDEWAYS, true",
    "OIL_FILTER, INVERTED, true",
    "OIL_FILTER, UPRIGHT, false",
    "FUEL_FILTER, SIDEWAYS, false"
  })
  void anOilFilterThatHangsNeedsItsValve(Position.Kind kind, Mounting mounting, boolean needed) {
    assertThat(at(kind, mounting, null).needsAntiDrainValve()).isEqualTo(needed);
  }

  private static Fitting at(Position.Kind kind, Mounting mounting, Product fluid) {
    Compartment sump =
        new Compartment(
            new CompartmentId(7),
            "Sump",
            Compartment.Kind.ENGINE,
            Spec.ofKind(FluidKind.ENGINE_OIL),
            Optional.empty(),
            Map.of(),
            Filling.UNSAID,
            "",
            Optional.empty());
    return Fitting.of(position(kind, mounting), Optional.of(sump), Optional.ofNullable(fluid));
  }

  private static Position position(Position.Kind kind, Mounting mounting) {
    return new Position(
        new PositionId(1),
        "Place",
        kind,
        Optional.of(new CompartmentId(7)),
        Optional.empty(),
        1,
        Optional.empty(),
        Optional.empty(),
        Optional.of(mounting),
        "",
        "",
        "",
        Optional.empty(),
        Position.Limits.NONE);
  }

  private static Product product(FluidKind kind, HydraulicType type) {
    Product.Data none = Product.Data.UNKNOWN;
    return new Product(
        new ProductId(1),
        "Ormset",
        "Fluid",
        kind,
        "",
        "",
        List.of(),
        new Product.Data(
            none.ash(),
            none.zincMilligrams(),
            none.frictionModifier(),
            none.biodegradable(),
            none.density(),
            none.chemistry(),
            none.base(),
            Optional.ofNullable(type),
            Optional.empty(),
            List.of()),
        1);
  }
}
