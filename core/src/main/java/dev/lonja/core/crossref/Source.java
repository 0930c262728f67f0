package dev.lonja.core.crossref;

/** Whose word a statement is, with the confidence it has if none is given. */
public enum Source {
  CONFIRMED_HERE("fitted and confirmed here", "0.99"),
  MACHINE_MAKER("machine maker's catalogue", "0.98"),
  MEASURED_HERE("measured on the bench here", "0.95"),
  FILTER_MAKER("filter maker's catalogue", "0.92"),
  SUPPLIER("supplier's list", "0.85"),
  HEARD("heard", "0.60");

  private final String words;
  private final Confidence confidence;

  Source(String words, String confidence) {
    this.words = words;
    this.confidence = Confidence.of(confidence);
  }

  public String words() {
    return words;
  }

  public Confidence confidence() {
    return confidence;
  }
}
