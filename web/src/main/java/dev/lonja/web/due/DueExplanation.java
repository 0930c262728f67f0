package dev.lonja.web.due;

import dev.lonja.core.meter.MeterOutlook;
import dev.lonja.core.quantity.MeterValue;
import dev.lonja.core.quantity.PlainDecimal;
import dev.lonja.core.service.Due;
import dev.lonja.core.service.DueSpread;
import dev.lonja.core.service.IntervalPolicy;
import dev.lonja.core.service.Origin;
import dev.lonja.core.service.Severity;
import dev.lonja.core.service.Task;
import dev.lonja.core.service.TaskId;
import dev.lonja.core.service.Timing;
import dev.lonja.desk.fleet.FleetPicture;
import dev.lonja.store.service.RecordRepository;
import dev.lonja.web.frame.WayWording;
import dev.lonja.web.frame.Words;
import dev.lonja.web.meter.RateWording;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/** Opens a due date to the figures and rules that made it, step by step. */
public final class DueExplanation {

  private final FleetPicture fleet;
  private final LocalDate today;
  private final Due due;
  private final List<String> steps = new ArrayList<>();

  private DueExplanation(FleetPicture fleet, Due due) {
    this.fleet = fleet;
    this.today = fleet.today();
    this.due = due;
  }

  /**
   * The steps, in order.
   *
   * @param maker the task as the maker has it
   * @param policy the school of intervals in force for the machine
   * @param move the day on which a person put it
   */
  public static List<String> of(
      FleetPicture fleet,
      IntervalPolicy policy,
      Due due,
      Optional<Task> maker,
      Optional<RecordRepository.Move> move) {
    DueExplanation explanation = new DueExplanation(fleet, due);
    maker.ifPresent(task -> explanation.addSchool(task, policy));
    explanation.steps.add(explanation.origin());
    explanation.addTiming(due.task().timing());
    due.limit().ifPresent(explanation::addMeter);
    due.calendarDate()
        .ifPresent(
            date ->
                explanation.steps.add(
                    "By the calendar it is due on " + explanation.day(date) + "."));
    move.ifPresent(explanation::addMove);
    due.plannedDate().ifPresent(explanation::addPlanned);
    return explanation.steps;
  }

  /** The maker's interval, and the school by which this store uses it. */
  private void addSchool(Task maker, IntervalPolicy policy) {
    maker
        .byInterval()
        .ifPresent(
            timed ->
                steps.add(
                    "The maker's interval is "
                        + IntervalWording.of(timed.regular())
                        + "; what is in force here is the "
                        + WayWording.of(policy)
                        + "."));
  }

  private String origin() {
    Origin origin = due.standing().origin();
    String at =
        origin
            .life()
            .map(life -> " at " + DueWording.life(due.standing().outlook(), life))
            .orElse("");
    return (origin.recorded() ? "Last done on " : "No record; counted from the start of service, ")
        + day(origin.day())
        + at
        + ".";
  }

  private void addTiming(Timing timing) {
    if (timing instanceof Timing.ByInterval interval) {
      interval
          .fluid()
          .ifPresent(
              fluid ->
                  steps.add(
                      "While "
                          + fluid
                          + " is in, the interval is "
                          + IntervalWording.of(interval.regular())
                          + "."));
    } else if (timing instanceof Timing.EveryNth every) {
      steps.add(
          "Done with "
              + DueWording.nth(every)
              + " of “"
              + leadName(every.leadTaskId())
              + "”, which was done "
              + Words.count(due.standing().leadsDone(), "time", "times")
              + " since.");
    } else if (timing instanceof Timing.BeforeSeason season) {
      steps.add(
          Words.count(season.leadDays(), "day", "days")
              + " before the season, which begins on "
              + Words.day(season.start().atYear(today.getYear()), today)
              + "; up to "
              + Timing.EARLY_DAYS
              + " days earlier counts for it.");
    } else if (timing instanceof Timing.BeforeLayUp layUp) {
      steps.add(
          Words.count(layUp.leadDays(), "day", "days")
              + " before the next lay-up on file"
              + (due.calendarDate().isEmpty() ? "; there is none." : "."));
    }
  }

  private String leadName(TaskId leadId) {
    return fleet.task(leadId).map(Task::name).orElse("");
  }

  private void addMeter(MeterValue limit) {
    Origin origin = due.standing().origin();
    Timing.ByInterval timed = due.task().byInterval().orElseThrow();
    boolean runningIn = !origin.recorded() && timed.first().isPresent();
    Severity severity = timed.severity();
    MeterOutlook outlook = due.standing().outlook().orElseThrow();
    Optional<MeterOutlook> shown = Optional.of(outlook);
    steps.add(
        "+ "
            + limit.since(origin.life().orElseThrow()).display()
            + (runningIn ? ", the running-in interval" : "")
            + (severity.shortens()
                ? ", shortened by " + PlainDecimal.of(severity.factor()) + ": " + severity.reason()
                : "")
            + " gives "
            + DueWording.life(shown, limit)
            + ".");
    steps.add(
        "The meter stood at "
            + DueWording.life(shown, outlook.base())
            + " on "
            + day(outlook.baseDay())
            + "; "
            + RateWording.words(outlook.rate())
            + ".");
    steps.add(
        limit.compareTo(outlook.base()) > 0
            ? limit.since(outlook.base()).display() + " were to go then."
            : "It was passed by " + outlook.base().since(limit).display() + " then.");
  }

  private void addMove(RecordRepository.Move move) {
    steps.add(
        "Moved by "
            + move.actor()
            + " to "
            + day(move.day())
            + ": "
            + move.reason()
            + due.byRule().map(rule -> ". By the rule it would be " + day(rule)).orElse("")
            + ".");
  }

  private void addPlanned(LocalDate planned) {
    DueSpread spread = DueSpread.of(due, today, today.plusYears(FleetPicture.HORIZON_YEARS));
    boolean certain = spread.p10().equals(spread.p90());
    steps.add(
        "Planned for "
            + day(planned)
            + (certain
                ? "."
                : "; one chance in ten by "
                    + words(spread.p10())
                    + ", one in two by "
                    + words(spread.p50())
                    + ", nine in ten by "
                    + words(spread.p90())
                    + "."));
  }

  private String words(Optional<LocalDate> date) {
    return date.map(this::day).orElse("later than two years");
  }

  private String day(LocalDate day) {
    return Words.day(day, today);
  }
}
