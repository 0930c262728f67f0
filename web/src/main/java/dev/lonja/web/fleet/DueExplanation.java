package dev.lonja.web.fleet;

import dev.lonja.core.fleet.MeterOutlook;
import dev.lonja.core.quantity.MeterValue;
import dev.lonja.core.service.Due;
import dev.lonja.core.service.DueSpread;
import dev.lonja.core.service.Origin;
import dev.lonja.core.service.Severity;
import dev.lonja.web.frame.Words;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/** Opens a due date to the figures and rules that made it, step by step. */
final class DueExplanation {

  private static final int YEARS_LOOKED_AT = 2;

  private final Due due;
  private final LocalDate today;

  private DueExplanation(Due due, LocalDate today) {
    this.due = due;
    this.today = today;
  }

  static List<String> of(Due due, LocalDate today) {
    DueExplanation explanation = new DueExplanation(due, today);
    List<String> steps = new ArrayList<>();
    steps.add(explanation.origin());
    due.limit().ifPresent(limit -> explanation.addMeter(steps, limit));
    due.calendarDate()
        .ifPresent(date -> steps.add("By the calendar it is due on " + day(date, today) + "."));
    due.plannedDate().ifPresent(planned -> steps.add(explanation.planned(planned)));
    return steps;
  }

  private String origin() {
    Origin origin = due.standing().origin();
    String at = origin.life().map(life -> " at " + life.display()).orElse("");
    return (origin.recorded() ? "Last done on " : "No record; counted from the start of service, ")
        + day(origin.day(), today)
        + at
        + ".";
  }

  private void addMeter(List<String> steps, MeterValue limit) {
    Origin origin = due.standing().origin();
    boolean runningIn = !origin.recorded() && due.task().first().isPresent();
    Severity severity = due.task().severity();
    steps.add(
        "+ "
            + limit.since(origin.life().orElseThrow()).display()
            + (runningIn ? ", the running-in interval" : "")
            + (severity.shortens()
                ? ", shortened by "
                    + severity.factor().stripTrailingZeros().toPlainString()
                    + ": "
                    + severity.reason()
                : "")
            + " gives "
            + limit.display()
            + ".");
    MeterOutlook outlook = due.standing().outlook().orElseThrow();
    steps.add(
        "The meter stood at "
            + outlook.base().display()
            + " on "
            + day(outlook.baseDay(), today)
            + "; "
            + RateWording.words(outlook.rate())
            + ".");
    steps.add(
        limit.compareTo(outlook.base()) > 0
            ? limit.since(outlook.base()).display() + " were to go then."
            : "It was passed by " + outlook.base().since(limit).display() + " then.");
  }

  private String planned(LocalDate planned) {
    DueSpread spread = DueSpread.of(due, today, today.plusYears(YEARS_LOOKED_AT));
    boolean certain = spread.p10().equals(spread.p90());
    return "Planned for "
        + day(planned, today)
        + (certain
            ? "."
            : "; one chance in ten by "
                + words(spread.p10())
                + ", one in two by "
                + words(spread.p50())
                + ", nine in ten by "
                + words(spread.p90())
                + ".");
  }

  private String words(Optional<LocalDate> date) {
    return date.map(d -> day(d, today)).orElse("later than two years");
  }

  private static String day(LocalDate day, LocalDate today) {
    return Words.day(day, today);
  }
}
