package dev.lonja.core.inspection;

import java.util.Optional;

/**
 * What an inspection found, and what was done about it.
 *
 * @param value as it was met, for an inspection that asks for one
 * @param after as it was left, after cleaning, adjusting or replacing
 */
public record Found(
    InspectionOutcome outcome, Optional<InspectedValue> value, Optional<InspectedValue> after) {

  /** Why something cannot have been found so. */
  public enum Objection {
    /** It asks for a value, and none is given. */
    NO_VALUE,
    /** It asks for no value. */
    VALUE_NOT_ASKED,
    /** A value of another kind than is asked for. */
    OTHER_KIND,
    /** Out of limits is not sound. */
    NOT_SOUND,
    /** What is within its limits needs nothing done; it is not left, it is sound. */
    NOT_LEFT,
    /** What was adjusted has a value after it. */
    NO_VALUE_AFTER,
    /** Nothing was done that would leave another value. */
    NOTHING_DONE
  }

  /** Found so by looking only. */
  public static Found of(InspectionOutcome outcome) {
    return new Found(outcome, Optional.empty(), Optional.empty());
  }

  /** Why this cannot be, for an inspection with these limits, if it asks for a value; or empty. */
  public Optional<Objection> objection(Optional<ValueLimits> limits) {
    return limits.map(this::objection).orElseGet(this::withoutValue);
  }

  private Optional<Objection> withoutValue() {
    if (value.isPresent() || after.isPresent()) {
      return Optional.of(Objection.VALUE_NOT_ASKED);
    }
    return outcome == InspectionOutcome.LEFT ? Optional.of(Objection.NOT_LEFT) : Optional.empty();
  }

  private Optional<Objection> objection(ValueLimits limits) {
    if (value.isEmpty()) {
      return Optional.of(Objection.NO_VALUE);
    }
    if (value.get().kind() != limits.kind()
        || after.filter(a -> a.kind() != limits.kind()).isPresent()) {
      return Optional.of(Objection.OTHER_KIND);
    }
    boolean isWithin = limits.hold(value.get());
    if (!isWithin && outcome == InspectionOutcome.SOUND) {
      return Optional.of(Objection.NOT_SOUND);
    }
    if (isWithin && outcome == InspectionOutcome.LEFT) {
      return Optional.of(Objection.NOT_LEFT);
    }
    if (outcome == InspectionOutcome.ADJUSTED && after.isEmpty()) {
      return Optional.of(Objection.NO_VALUE_AFTER);
    }
    return after.isPresent() && !outcome.isRemedy()
        ? Optional.of(Objection.NOTHING_DONE)
        : Optional.empty();
  }

  /**
   * True if the machine goes out with a value outside its limits: it was left so, or what was done
   * did not bring it back.
   */
  public boolean staysOutside(ValueLimits limits) {
    return outcome == InspectionOutcome.LEFT
        || after.filter(left -> !limits.hold(left)).isPresent();
  }

  /** "sound, 40 mm", "adjusted, 62 mm, then 40 mm", "cleaned". */
  public String display() {
    return outcome.words()
        + value.map(v -> ", " + v.display()).orElse("")
        + after.map(a -> ", then " + a.display()).orElse("");
  }
}
