package dev.lonja.core.ledger;

/** What state the pieces of a lot are in. Demand is met from new ones. */
public enum LotCondition {
  NEW("new"),
  /** Taken where a person says so: a spare spark plug, the second set of blades once sharpened. */
  USED_GOOD("used, good"),
  /** On the shelf, and not to be issued before somebody has worked on it. */
  TO_RECONDITION("to recondition");

  private final String words;

  LotCondition(String words) {
    this.words = words;
  }

  public String words() {
    return words;
  }

  /** True if such a lot may leave the shelf for a machine. */
  public boolean mayBeIssued() {
    return this != TO_RECONDITION;
  }
}
