package dev.lonja.web.due;

import dev.lonja.core.quantity.PlainDecimal;
import dev.lonja.core.service.IntervalPolicy;

/** The store's school of intervals in words. */
public final class SchoolWording {

  private SchoolWording() {}

  /** "maker's full interval, with its calendar limit". */
  public static String of(IntervalPolicy policy) {
    String factor =
        policy.school() == IntervalPolicy.School.SHORTENED
            ? " of " + PlainDecimal.of(policy.factor())
            : "";
    return (policy.school() == IntervalPolicy.School.MAKER ? "" : "maker's interval ")
        + policy.school().words()
        + factor
        + (policy.calendarLimit() ? ", with its calendar limit" : ", by the meter alone");
  }
}
