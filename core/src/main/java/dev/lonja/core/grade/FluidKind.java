package dev.lonja.core.grade;

/** What a fluid is for. */
public enum FluidKind {
  ENGINE_OIL("engine"),
  GEAR_OIL("gear"),
  HYDRAULIC_OIL("hydraulic"),
  COOLANT("coolant"),
  BRAKE_FLUID("brake"),
  EXHAUST_FLUID("exhaust"),
  WASHER_FLUID("washer"),
  GREASE("grease"),
  DIESEL("diesel"),
  PETROL("petrol");

  private final String words;

  FluidKind(String words) {
    this.words = words;
  }

  public String words() {
    return words;
  }

  /** True if the kind comes in grades; the others are written without one. */
  public boolean isGraded() {
    return switch (this) {
      case ENGINE_OIL, GEAR_OIL, HYDRAULIC_OIL, GREASE -> true;
      case COOLANT, BRAKE_FLUID, EXHAUST_FLUID, WASHER_FLUID, DIESEL, PETROL -> false;
    };
  }

  /** True for what is mixed with water, or comes so. */
  public boolean isMixed() {
    return this == COOLANT || this == WASHER_FLUID;
  }
}
