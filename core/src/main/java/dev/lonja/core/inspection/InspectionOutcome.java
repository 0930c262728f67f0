package dev.lonja.core.inspection;

/** What came of an inspection: what was done about what was found. */
public enum InspectionOutcome {
  SOUND("sound"),
  CLEANED("cleaned"),
  ADJUSTED("adjusted"),
  REPLACED("replaced"),
  /** Out of limits, and nothing done about it yet. */
  LEFT("left as it is");

  private final String words;

  InspectionOutcome(String words) {
    this.words = words;
  }

  public String words() {
    return words;
  }

  /** True if something was done, so that what was measured before no longer tells of its state. */
  public boolean isRemedy() {
    return this == CLEANED || this == ADJUSTED || this == REPLACED;
  }
}
