package dev.lonja.core.crossref;

import dev.lonja.core.fluid.BrakeBase;
import dev.lonja.core.fluid.HydraulicType;
import dev.lonja.core.fluid.Product;
import dev.lonja.core.fluid.Spec;
import dev.lonja.core.grade.FluidKind;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * Which rubber withstands which fluid: general guidance that the store may edit. A pair that is
 * absent is unknown.
 */
public record RubberTable(Map<Pair, Guidance> entries) {

  private static final String MINERAL_OIL = "mineral oil";
  private static final String ESTER = "ester hydraulic";

  /** The fluids that are told apart. */
  public static final List<String> FLUIDS =
      List.of(MINERAL_OIL, ESTER, "diesel", "petrol", "coolant (glycol)", "glycol brake fluid");

  /**
   * A fluid as the table names it. One that it does not name goes by its own kind, of which the
   * table says nothing.
   */
  public static String fluid(Product product) {
    return fluid(product.kind(), product.data().type(), product.data().base());
  }

  /** The fluid that a compartment wants, where nobody says which product is in. */
  public static String fluid(Spec spec) {
    return fluid(spec.kind(), Optional.empty(), spec.limits().base());
  }

  private static String fluid(
      FluidKind kind, Optional<HydraulicType> type, Optional<BrakeBase> base) {
    return switch (kind) {
      case ENGINE_OIL, GEAR_OIL -> MINERAL_OIL;
      case HYDRAULIC_OIL -> type.map(RubberTable::hydraulic).orElse("hydraulic fluid");
      case COOLANT -> "coolant (glycol)";
      case BRAKE_FLUID ->
          base.filter(BrakeBase.GLYCOL::equals).isPresent()
              ? "glycol brake fluid"
              : "brake fluid of another base";
      case EXHAUST_FLUID, WASHER_FLUID -> kind.words() + " fluid";
      case DIESEL, PETROL, GREASE -> kind.words();
    };
  }

  private static String hydraulic(HydraulicType type) {
    return switch (type) {
      case HM, HV, HEPR -> MINERAL_OIL;
      case HEES, HETG -> ESTER;
      case HEPG -> "polyglycol";
    };
  }

  /** A rubber and a fluid. */
  public record Pair(String rubber, String fluid) {}

  /** What is said of a pair. */
  public enum Guidance {
    YES,
    CHECK,
    NO
  }

  public RubberTable {
    entries = Map.copyOf(entries);
  }

  /** What is known of a rubber in a fluid; empty if nothing is. */
  public Optional<Guidance> of(String rubber, String fluid) {
    return Optional.ofNullable(entries.get(new Pair(rubber, fluid)));
  }
}
