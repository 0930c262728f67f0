package dev.lonja.core.item;

/**
 * A fluid independent of its pack.
 *
 * @param grade such as "15W-40" or "VG 46"; empty where the kind has none
 * @param classes the service classes it claims, as printed
 */
public record Product(long id, String make, String name, Kind kind, String grade, String classes) {

  /** What a fluid is for. */
  public enum Kind {
    ENGINE_OIL("engine"),
    GEAR_OIL("gear"),
    HYDRAULIC_OIL("hydraulic"),
    COOLANT("coolant"),
    BRAKE_FLUID("brake"),
    EXHAUST_FLUID("exhaust"),
    WASHER_FLUID("washer"),
    GREASE("grease");

    private final String words;

    Kind(String words) {
      this.words = words;
    }

    public String words() {
      return words;
    }
  }
}
