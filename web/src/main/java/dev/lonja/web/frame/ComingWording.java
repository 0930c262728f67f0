package dev.lonja.web.frame;

import dev.lonja.core.order.Coming;
import java.time.LocalDate;

/** Says what an open order is to bring. */
public final class ComingWording {

  private ComingWording() {}

  /** "12 come Thu 25 Mar, order 1.", "5 overdue since 1 Mar, order 4." */
  public static String next(Coming coming, LocalDate today) {
    return coming.quantity().display()
        + (coming.isOverdue(today)
            ? " overdue since " + Words.day(coming.on(), today)
            : " come " + Words.weekday(coming.on()) + " " + Words.day(coming.on(), today))
        + ", order "
        + coming.order()
        + ".";
  }
}
