package dev.lonja.core.crossref;

import dev.lonja.core.part.Property;

/**
 * One property of two parts held against each other.
 *
 * @param asked the value of the part that is asked for, for people; empty if it is not recorded
 * @param offered the same of the part that is offered
 */
public record Finding(
    Property<?> property,
    Weight weight,
    Agreement agreement,
    String asked,
    String offered,
    Allowance allowance) {

  /** What a difference means. */
  public enum Weight {
    /** It does not fit, and whoever said so is contradicted. */
    MUST_AGREE,
    /** It does not fit here; nobody who spoke of the parts alone is contradicted. */
    POSITION,
    /** A person should look. */
    CHECK
  }

  /** What came of it. */
  public enum Agreement {
    AGREES,
    DIFFERS,
    /** Not recorded on one side, or not comparable. */
    UNVERIFIED
  }

  public boolean differs() {
    return agreement == Agreement.DIFFERS;
  }
}
