package dev.lonja.core.waste;

import dev.lonja.core.fluid.Product;
import java.util.Optional;

/** What waste is; each is gathered by itself (rules §11). */
public enum WasteKind {
  USED_OIL("used oil"),
  /** It is recovered in another way and spoils what mineral oil is made into. */
  BIODEGRADABLE_OIL("used biodegradable oil"),
  COOLANT("used coolant"),
  BRAKE_FLUID("used brake fluid"),
  FILTERS("used filters"),
  OILY_RAGS("oily rags"),
  EMPTY_CONTAINERS("empty containers"),
  AEROSOLS("aerosols"),
  BATTERIES("batteries"),
  TYRES("tyres"),
  /** Oil with water, fuel or another fluid in it. */
  CONTAMINATED_OIL("contaminated oil");

  private final String words;

  WasteKind(String words) {
    this.words = words;
  }

  public String words() {
    return words;
  }

  /** What a fluid is once it is drained; empty for what is used up or is no fluid of machines. */
  public static Optional<WasteKind> of(Product product) {
    return switch (product.kind()) {
      case ENGINE_OIL, GEAR_OIL, HYDRAULIC_OIL ->
          Optional.of(product.data().biodegradable().orElse(false) ? BIODEGRADABLE_OIL : USED_OIL);
      case COOLANT -> Optional.of(COOLANT);
      case BRAKE_FLUID -> Optional.of(BRAKE_FLUID);
      case EXHAUST_FLUID, WASHER_FLUID, GREASE, DIESEL, PETROL -> Optional.empty();
    };
  }
}
