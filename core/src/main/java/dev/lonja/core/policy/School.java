package dev.lonja.core.policy;

import java.math.BigDecimal;
import java.util.Optional;

/** A way of doing things, one of several answers to a question; the usual one stands first. */
public enum School {
  NEW_SEAL(Question.DRAIN_SEAL, "always a new seal"),
  NEW_PLUG_AND_SEAL(Question.DRAIN_SEAL, "new plug and seal"),
  REUSE_SOUND_SEAL(Question.DRAIN_SEAL, "inspect, reuse if sound"),

  MAKERS_INTERVAL(Question.SERVICE_INTERVAL, "maker's full interval"),
  SHORTENED(
      Question.SERVICE_INTERVAL,
      "shortened by a factor",
      new Number("factor", new BigDecimal("0.1"), BigDecimal.ONE, 4, new BigDecimal("0.8"))),
  BY_SEVERITY(Question.SERVICE_INTERVAL, "by severity"),

  WITH_CALENDAR_LIMIT(Question.CALENDAR_LIMIT, "months count beside the meter"),
  METER_ALONE(Question.CALENDAR_LIMIT, "the meter alone"),

  ON_CONDITION(Question.AIR_FILTER, "inspect, clean, replace on condition"),
  EVERY_SERVICE(Question.AIR_FILTER, "replace every service"),
  EVERY_NTH(
      Question.AIR_FILTER,
      "replace every n-th service",
      new Number(
          "number n", BigDecimal.valueOf(2), BigDecimal.valueOf(20), 0, BigDecimal.valueOf(3))),

  HOLD_BACK(Question.FIRST_POUR, "hold back, run, then top up"),
  ALL_AT_ONCE(Question.FIRST_POUR, "full measured amount at once"),

  HALF_FILL_UPRIGHT(Question.PRE_FILL, "half fill upright filters, none on others"),
  NO_PRE_FILL(Question.PRE_FILL, "never"),

  AS_PRINTED(Question.TIGHTENING, "as printed on the item, else turns after contact"),
  MAKERS_TORQUE(Question.TIGHTENING, "maker's torque"),
  TURNS_AFTER_CONTACT(Question.TIGHTENING, "turns after contact"),
  BY_HAND(Question.TIGHTENING, "by hand only"),

  BY_INTERVAL(Question.PLUGS_AND_FUEL_FILTERS, "by interval"),
  INSPECT_AND_REUSE(Question.PLUGS_AND_FUEL_FILTERS, "inspect and reuse"),
  WITH_EVERY_OIL_CHANGE(Question.PLUGS_AND_FUEL_FILTERS, "with every oil change"),

  SEPARATE_PRODUCTS(Question.ONE_OIL, "a product of its own for each compartment"),
  ONE_PRODUCT(Question.ONE_OIL, "one product wherever all specs allow it"),

  NO_FLUSH(Question.FLUSH, "never"),
  FLUSH_NEGLECTED(Question.FLUSH, "on neglected engines"),
  FLUSH_ALWAYS(Question.FLUSH, "always"),

  INSURANCE_ON_TRAY(Question.INSURANCE, "on the tray, returned if unused"),
  NO_INSURANCE(Question.INSURANCE, "none"),

  CHEAPEST_COVER(Question.KIT_OR_LOOSE, "whichever costs less"),
  KIT_IF_ALL_NEEDED(Question.KIT_OR_LOOSE, "kit when all its lines are needed"),
  ALWAYS_LOOSE(Question.KIT_OR_LOOSE, "always loose"),
  ALWAYS_KIT(Question.KIT_OR_LOOSE, "always kit"),

  ANY_THAT_FITS(Question.FILTER_MAKE, "any that fits and is verified"),
  MACHINE_MAKER_ONLY(Question.FILTER_MAKE, "machine maker only"),
  CHEAPEST_THAT_FITS(Question.FILTER_MAKE, "cheapest that fits");

  /**
   * A number that a school needs to be complete.
   *
   * @param words what it is
   * @param decimals at most
   * @param example one that shows what the school does, until somebody chooses
   */
  public record Number(
      String words, BigDecimal least, BigDecimal most, int decimals, BigDecimal example) {

    /** True for a number between the two ends, both allowed, with no more decimals. */
    public boolean allows(BigDecimal number) {
      return number.compareTo(least) >= 0
          && number.compareTo(most) <= 0
          && number.stripTrailingZeros().scale() <= decimals;
    }
  }

  private final Question question;
  private final String words;
  private final Optional<Number> number;

  School(Question question, String words) {
    this.question = question;
    this.words = words;
    this.number = Optional.empty();
  }

  School(Question question, String words, Number number) {
    this.question = question;
    this.words = words;
    this.number = Optional.of(number);
  }

  public Question question() {
    return question;
  }

  public String words() {
    return words;
  }

  /** This school with an example of its number, if it needs one. */
  public Choice example() {
    return new Choice(this, number.map(Number::example));
  }

  /** The number it needs, if it needs one. */
  public Optional<Number> number() {
    return number;
  }
}
