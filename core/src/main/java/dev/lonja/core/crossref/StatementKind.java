package dev.lonja.core.crossref;

/** What a statement says of its two parts, the subject first: "subject <i>replaces</i> object". */
public enum StatementKind {
  SAME("is the same as"),
  INTERCHANGE("interchanges with"),
  REPLACES("replaces"),
  /** As a stopgap only. */
  STANDS_IN("stands in for"),
  /** Overrules every path between the two. */
  NEVER("never for");

  private final String words;

  StatementKind(String words) {
    this.words = words;
  }

  public String words() {
    return words;
  }

  /** True if the subject may be supplied for the object. */
  public boolean permits() {
    return this != NEVER;
  }

  /** True if the object may also be supplied for the subject. */
  public boolean permitsBack() {
    return this == SAME || this == INTERCHANGE;
  }
}
