package dev.lonja.core.inspection;

/** What came of an inspection. */
public enum InspectionOutcome {
  SOUND("sound"),
  CLEANED("cleaned"),
  REPLACED("replaced");

  private final String words;

  InspectionOutcome(String words) {
    this.words = words;
  }

  public String words() {
    return words;
  }
}
