package dev.lonja.core.crossref;

/** Whether a part may be supplied for another, best first. */
public enum Verdict {
  FITS("fits"),
  CHECK("check"),
  STOPGAP("stopgap"),
  DOES_NOT_FIT("does not fit");

  private final String words;

  Verdict(String words) {
    this.words = words;
  }

  public String words() {
    return words;
  }
}
