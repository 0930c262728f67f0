package dev.lonja.web.due;

import dev.lonja.core.meter.MeterOutlook;
import dev.lonja.core.quantity.MeterValue;
import dev.lonja.core.service.Due;
import dev.lonja.core.service.InHand;
import dev.lonja.core.service.Interval;
import dev.lonja.core.service.Occurrence;
import dev.lonja.core.service.Origin;
import dev.lonja.core.service.Task;
import dev.lonja.core.service.Timing;
import dev.lonja.web.frame.State;
import dev.lonja.web.frame.Words;
import java.time.LocalDate;
import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;

/** Due dates in words. */
public final class DueWording {

  private static final DateTimeFormatter DAY_OF_YEAR =
      DateTimeFormatter.ofPattern("d MMM", Locale.ENGLISH);

  private DueWording() {}

  /** What sets the date: "Change engine oil: due at 1,660 h or by 4 Sep, the meter first". */
  public static String why(Due due, LocalDate today) {
    return due.task().name() + ": due " + limits(due, today);
  }

  /** The limits and which comes first: "at 1,660 h or by 4 Sep, the meter first". */
  public static String limits(Due due, LocalDate today) {
    List<String> limits = new ArrayList<>();
    due.limit().ifPresent(limit -> limits.add("at " + life(due.standing().outlook(), limit)));
    due.calendarDate().ifPresent(day -> limits.add("by " + Words.day(day, today)));
    return due.task().timing() instanceof Timing.EveryNth every
        ? "with " + nth(every) + ", done " + due.standing().leadsDone() + " times since"
        : String.join(" or ", limits) + first(due, limits.size());
  }

  /** "every time", "every 3rd time". */
  static String nth(Timing.EveryNth every) {
    return every.nth() == 1 ? "every time" : "every " + Words.ordinal(every.nth()) + " time";
  }

  private static String first(Due due, int limits) {
    if (due.cause().filter(Due.Cause.MOVED::equals).isPresent()) {
      return ", moved by hand";
    }
    return limits < 2 || due.cause().isEmpty()
        ? ""
        : due.cause().get() == Due.Cause.METER ? ", the meter first" : ", the date first";
  }

  /** "1,660 h", and after an exchange of the meter what it shows then. */
  static String life(Optional<MeterOutlook> outlook, MeterValue life) {
    return life.display()
        + outlook
            .map(MeterOutlook::offset)
            .filter(offset -> !offset.isNone())
            .flatMap(offset -> offset.shown(life))
            .map(shown -> " (meter shows " + shown.display() + ")")
            .orElse("");
  }

  /** When a task comes round: "200 h or 12 months", "every 3rd time", "14 days before 1 Apr". */
  public static String interval(Task task) {
    if (task.timing() instanceof Timing.EveryNth every) {
      return nth(every) + " of its lead";
    } else if (task.timing() instanceof Timing.BeforeSeason season) {
      return season.leadDays() + " days before " + season.start().format(DAY_OF_YEAR);
    } else if (task.timing() instanceof Timing.BeforeLayUp layUp) {
      return layUp.leadDays() + " days before a lay-up";
    }
    Timing.ByInterval timed = task.byInterval().orElseThrow();
    Interval regular = timed.regular();
    return IntervalWording.of(new Interval(timed.spanInForce(regular), regular.months()));
  }

  /** When a task was last done, or that nobody knows. */
  public static String lastDone(Origin origin, LocalDate today) {
    String day = Words.day(origin.day(), today);
    String life = origin.life().map(value -> " at " + value.display()).orElse("");
    return origin.recorded() ? day + life : "no record; counted from " + day + life;
  }

  /** Where an occurrence stands today: with its tray, and as its first task does. */
  public static State state(Occurrence occurrence, LocalDate today) {
    return state(occurrence.leading(), occurrence.inHand(), today);
  }

  /** Where a task stands today that a tray may stand for; what is overdue is said all the same. */
  public static State state(Due due, Optional<InHand> inHand, LocalDate today) {
    if (inHand.isEmpty()) {
      return state(due, today);
    }
    String where = inHand.get().out() ? "out with its tray" : "on a tray";
    return due.isOverdue() && !inHand.get().out()
        ? State.ofShort(state(due, today).word() + ", " + where)
        : State.part(where);
  }

  /** Where a task stands today. */
  public static State state(Due due, LocalDate today) {
    if (due.isOverdue()) {
      List<String> by = new ArrayList<>();
      due.overdueRun().ifPresent(run -> by.add(run.display()));
      due.overdueDays().ifPresent(days -> by.add(Words.count(days, "day", "days")));
      return State.ofShort("overdue by " + String.join(", ", by));
    }
    if (due.plannedDate().isEmpty() && due.flags().contains(Due.Flag.NOT_FORECASTABLE)) {
      return State.note("no rate, no date by meter");
    }
    if (due.flags().contains(Due.Flag.NO_LAY_UP)) {
      return State.note("no lay-up on file");
    }
    if (due.plannedDate().filter(today::equals).isPresent()) {
      return State.note("due today");
    }
    return due.plannedDate().isPresent()
        ? State.open(Words.day(due.plannedDate().get(), today))
        : State.open("beyond two years");
  }
}
