package dev.lonja.core.trial;

import dev.lonja.core.inspection.ReplacementTurn;
import dev.lonja.core.quantity.MeterSpan;
import dev.lonja.core.service.Due;
import dev.lonja.core.service.DueRule;
import dev.lonja.core.service.Interval;
import dev.lonja.core.service.Neglect;
import dev.lonja.core.service.Task;
import dev.lonja.core.service.TaskStanding;
import dev.lonja.core.service.Timing;
import java.time.LocalDate;
import java.util.Optional;

/** One task as a trial begins, and how it goes on: days by their weeks, lives as decimals. */
final class TaskRun {

  /** The week of a day that never comes, and a limit that is never reached. */
  static final int NEVER = Integer.MAX_VALUE;

  static final double NO_LIMIT = Double.POSITIVE_INFINITY;

  /** Of a task without a meter. */
  static final int NO_METER = -1;

  /** A task joins another within a tenth of its interval. */
  private static final double PART_OF_INTERVAL = 10;

  private static final double MILLION = 1e6;
  private static final double TENTH = 10.0;

  final long number;
  final int meter;
  final double limit;
  final double span;

  /** The week in which its months have passed, or {@link #NEVER}. */
  final int calendar;

  /** So near to its limit it joins another: at first, and once it was done. */
  final double joinsAtFirst;

  final double joins;
  final double lifeToday;

  /** The week to which a person moved it, or -1; and that day. */
  final int movedWeek;

  /** The task that leads it, or -1; with every nth of it; and how often that was done since. */
  final int lead;

  final int nth;
  final int leadsDone;

  /** After how many inspections a part is replaced, or 0; and how often it was kept since. */
  final int turn;

  final int kept;
  final boolean neglected;

  private final int[] calendarOnceDone;

  /**
   * @param meter by its place among the unit's, or {@link #NO_METER}
   * @param fortnight what that meter runs in fourteen effective days
   * @param lead by its place among the unit's, or -1
   */
  TaskRun(TaskStanding standing, int meter, double fortnight, int lead, TrialRules rules) {
    Task task = standing.task();
    Due due = DueRule.due(standing, rules.today(), rules.sunday(rules.weeks()));
    Optional<Timing.ByInterval> timed = task.byInterval();
    boolean recorded = standing.origin().recorded();
    this.number = task.id().value();
    this.meter = meter;
    this.lead = lead;
    this.limit = due.limit().map(value -> value.tenths() / TENTH).orElse(NO_LIMIT);
    this.calendar = due.calendarDate().map(rules::week).orElse(NEVER);
    double pending = timed.map(t -> span(t, t.interval(recorded))).orElse(NO_LIMIT);
    this.span = timed.map(t -> span(t, t.regular())).orElse(NO_LIMIT);
    this.joinsAtFirst = Math.min(pending / PART_OF_INTERVAL, fortnight);
    this.joins = Math.min(span / PART_OF_INTERVAL, fortnight);
    this.lifeToday =
        standing.outlook().map(o -> o.on(rules.today()).millionths() / MILLION).orElse(0.0);
    this.movedWeek = standing.movedTo().map(rules::week).orElse(-1);
    this.nth = task.timing() instanceof Timing.EveryNth every ? every.nth() : 0;
    this.leadsDone = standing.leadsDone();
    Optional<ReplacementTurn> turns = turn(task);
    this.turn = turns.map(ReplacementTurn::nth).orElse(0);
    this.kept = turns.map(ReplacementTurn::since).orElse(0);
    this.neglected = Neglect.is(due);
    this.calendarOnceDone = new int[rules.weeks()];
    for (int week = 0; week < rules.weeks(); week++) {
      calendarOnceDone[week] =
          onceDone(standing, timed, rules.sunday(week)).map(rules::week).orElse(NEVER);
    }
  }

  private static double span(Timing.ByInterval timed, Interval interval) {
    return timed.spanInForce(interval).map(MeterSpan::tenths).map(t -> t / TENTH).orElse(NO_LIMIT);
  }

  private static Optional<ReplacementTurn> turn(Task task) {
    return task.action() instanceof Task.Action.Inspect inspect
            && inspect.odds() instanceof ReplacementTurn turn
        ? Optional.of(turn)
        : Optional.empty();
  }

  private static Optional<LocalDate> onceDone(
      TaskStanding standing, Optional<Timing.ByInterval> timed, LocalDate sunday) {
    return timed.isPresent()
        ? timed.get().regular().months().map(sunday::plusMonths)
        : DueRule.dayOnceDone(standing, sunday);
  }

  /** True for a task that another one leads. */
  boolean isLed() {
    return lead >= 0;
  }

  /** True if its limit lies behind what its meter is expected to stand at today. */
  boolean isPassed() {
    return lifeToday > limit;
  }

  /** The week in which its months have passed once it is done in a week, or {@link #NEVER}. */
  int calendarOnceDone(int week) {
    return calendarOnceDone[week];
  }
}
