package dev.lonja.core.trial;

import dev.lonja.core.item.ItemId;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;

/**
 * One walk through the weeks: where each task of a unit stands as they go by. Walks of one object
 * follow each other; each begins anew. For each task stands the week in which it falls due next, so
 * that the weeks in which nothing does are passed over.
 */
final class UnitTrial {

  /** A task joins within fourteen days after the week. */
  private static final int JOIN_WEEKS = 2;

  /** More than any task comes up in the longest look, and than there are items. */
  private static final long OCCASIONS = 1L << 20;

  private final UnitRun unit;
  private final JobMemo memo;
  private final TaskRun[] tasks;

  /** By task, the week in which it falls due by itself; the end if it does not any more. */
  private final int[] next;

  private final double[] limit;
  private final double[] joins;
  private final int[] calendar;
  private final int[] leads;
  private final int[] kept;
  private final int[] times;
  private final boolean[] moved;
  private final boolean[] waits;
  private final int[] doneIn;
  private final int[] now;
  private final List<Map<ItemId, Long>> held = new ArrayList<>();
  private final TrialSink.Column[][] toppedUp;

  // what a job is looked up by, filled anew for each
  private final TaskSet set;
  private final TaskSet along;
  private final TaskSet turns;
  private final TaskSet neglected;

  private int trial;
  private double[][] life = new double[0][];

  UnitTrial(UnitRun unit, TrialSink sink) {
    this.unit = unit;
    this.memo = new JobMemo(unit.takes, sink);
    this.tasks = unit.tasks;
    this.next = new int[tasks.length];
    this.limit = new double[tasks.length];
    this.joins = new double[tasks.length];
    this.calendar = new int[tasks.length];
    this.leads = new int[tasks.length];
    this.kept = new int[tasks.length];
    this.times = new int[tasks.length];
    this.moved = new boolean[tasks.length];
    this.waits = new boolean[tasks.length];
    this.doneIn = new int[tasks.length];
    this.now = new int[tasks.length];
    this.set = new TaskSet(tasks.length);
    this.along = new TaskSet(tasks.length);
    this.turns = new TaskSet(tasks.length);
    this.neglected = new TaskSet(tasks.length);
    this.toppedUp =
        unit.topUps.stream().map(topUp -> columns(topUp, sink)).toArray(TrialSink.Column[][]::new);
  }

  /** By week, where what is topped up is taken down. */
  private static TrialSink.Column[] columns(UnitRun.TopUpRun topUp, TrialSink sink) {
    Map<ItemId, TrialSink.Column> byItem = new HashMap<>();
    return topUp.items().stream()
        .map(
            item ->
                item.map(id -> byItem.computeIfAbsent(id, sink::column))
                    .orElse(TrialSink.Column.NOWHERE))
        .toArray(TrialSink.Column[]::new);
  }

  /**
   * Walks through a trial.
   *
   * @param lives by meter, what it stands at today and at the end of each week
   */
  void through(int number, double[][] lives) {
    trial = number;
    life = lives;
    begin();
    int week = soonest(0);
    while (week < unit.weeks) {
      walk(week);
      week = soonest(week + 1);
    }
    for (int i = 0; i < toppedUp.length; i++) {
      topUp(unit.topUps.get(i), toppedUp[i]);
    }
  }

  private void begin() {
    for (int i = 0; i < tasks.length; i++) {
      TaskRun task = tasks[i];
      limit[i] = task.limit;
      joins[i] = task.joinsAtFirst;
      calendar[i] = task.calendar;
      leads[i] = task.leadsDone;
      kept[i] = task.kept;
      times[i] = 0;
      moved[i] = task.movedWeek >= 0;
      waits[i] = unit.trayOf[i] >= 0;
      doneIn[i] = -1;
      next[i] = task.isPassed() && !waits[i] && !moved[i] ? 0 : fallsDue(i, 0);
    }
    if (!unit.holds.isEmpty()) {
      held.clear();
      unit.holds.forEach(hold -> held.add(new HashMap<>(hold.laid())));
    }
  }

  /** The first week from one on in which something falls due by itself, or a tray is brought. */
  private int soonest(int from) {
    int first = unit.weeks;
    for (UnitRun.TrayRun tray : unit.trays) {
      if (tray.week() >= from) {
        first = Math.min(first, tray.week());
      }
    }
    for (int week : next) {
      first = Math.min(first, week);
    }
    return first;
  }

  /** The first week from one on in which a task falls due by itself, as it stands. */
  private int fallsDue(int i, int from) {
    TaskRun task = tasks[i];
    if (waits[i] || task.isLed()) {
      return unit.weeks;
    }
    if (moved[i]) {
      return Math.max(from, task.movedWeek);
    }
    int last = Math.min(unit.weeks, Math.max(from, calendar[i]));
    if (task.meter == TaskRun.NO_METER) {
      return last;
    }
    double[] its = life[task.meter];
    double wanted = limit[i];
    int week = from;
    while (week < last && its[week + 1] < wanted) {
      week++;
    }
    return week;
  }

  private void walk(int week) {
    for (UnitRun.TrayRun tray : unit.trays) {
      if (tray.week() == week) {
        bring(tray, week);
      }
    }
    int most = fallDue(week);
    if (most > 0) {
      join(week);
      for (int time = 1; time <= most; time++) {
        job(together(time), week, false);
      }
    }
  }

  private void bring(UnitRun.TrayRun tray, int week) {
    along.clear();
    for (int i = tray.tasks().next(0); i >= 0; i = tray.tasks().next(i + 1)) {
      waits[i] = false;
      done(i, week);
    }
    job(tray.tasks(), week, tray.out());
    for (int i = tray.tasks().next(0); i >= 0; i = tray.tasks().next(i + 1)) {
      lead(i);
    }
    if (!along.isEmpty()) {
      job(along, week, false);
    }
  }

  /** How often each task falls due by itself in a week; answers the most of them. */
  private int fallDue(int week) {
    int most = 0;
    for (int i = 0; i < tasks.length; i++) {
      now[i] = next[i] == week ? due(i, week) : 0;
      most = Math.max(most, now[i]);
    }
    return most;
  }

  private int due(int i, int week) {
    TaskRun task = tasks[i];
    int count = 0;
    if (!moved[i] && task.meter != TaskRun.NO_METER) {
      if (week == 0 && task.isPassed()) {
        count = 1;
        limit[i] = task.lifeToday + task.span;
      }
      while (life[task.meter][week + 1] >= limit[i]) {
        count++;
        limit[i] += task.span;
      }
    }
    if (count == 0) {
      done(i, week);
      return 1;
    }
    calendar[i] = task.calendarOnceDone(week);
    joins[i] = task.joins;
    next[i] = fallsDue(i, week + 1);
    return count;
  }

  /** Counts on from the end of the week, as of what the months, a person or a tray brought. */
  private void done(int i, int week) {
    TaskRun task = tasks[i];
    moved[i] = false;
    calendar[i] = task.calendarOnceDone(week);
    joins[i] = task.joins;
    if (task.meter != TaskRun.NO_METER) {
      limit[i] = life[task.meter][week + 1] + task.span;
    }
    doneIn[i] = week;
    next[i] = fallsDue(i, week + 1);
  }

  private void join(int week) {
    for (int i = 0; i < tasks.length; i++) {
      boolean free = now[i] == 0 && !waits[i] && !tasks[i].isLed() && doneIn[i] != week;
      if (free && isClose(i, week)) {
        done(i, week);
        now[i] = 1;
      }
    }
  }

  private boolean isClose(int i, int week) {
    TaskRun task = tasks[i];
    int soon = week + JOIN_WEEKS;
    if (moved[i]) {
      return task.movedWeek <= soon;
    }
    return calendar[i] <= soon
        || (task.meter != TaskRun.NO_METER && limit[i] - life[task.meter][week + 1] <= joins[i]);
  }

  /** What is done for the so manieth time in the week, with what comes along. */
  private TaskSet together(int time) {
    set.clear();
    for (int i = 0; i < tasks.length; i++) {
      if (now[i] >= time) {
        set.add(i);
      }
    }
    if (unit.leads) {
      along.clear();
      for (int i = set.next(0); i >= 0; i = set.next(i + 1)) {
        lead(i);
      }
      set.addAll(along);
    }
    return set;
  }

  private void lead(int i) {
    for (int led : unit.ledBy[i]) {
      if (!waits[led] && ++leads[led] >= tasks[led].nth) {
        leads[led] = 0;
        along.add(led);
      }
    }
  }

  private void job(TaskSet done, int week, boolean out) {
    if (!out) {
      JobTakes.Entry entry =
          memo.of(
              done,
              unit.turns ? turns(done) : turns,
              unit.neglects ? neglected(done) : neglected,
              unit.takes.version(week));
      for (int i = 0; i < entry.lines().length; i++) {
        take(entry.lines()[i], entry.columns()[i], week);
      }
    }
    for (int i = done.next(0); i >= 0; i = done.next(i + 1)) {
      times[i]++;
      kept[i] = isItsTurn(i) ? 0 : kept[i] + 1;
    }
  }

  private boolean isItsTurn(int i) {
    return tasks[i].turn > 0 && kept[i] + 1 >= tasks[i].turn;
  }

  private TaskSet turns(TaskSet done) {
    turns.clear();
    for (int i = done.next(0); i >= 0; i = done.next(i + 1)) {
      if (isItsTurn(i)) {
        turns.add(i);
      }
    }
    return turns;
  }

  private TaskSet neglected(TaskSet done) {
    neglected.clear();
    for (int i = done.next(0); i >= 0; i = done.next(i + 1)) {
      if (tasks[i].neglected && times[i] == 0) {
        neglected.add(i);
      }
    }
    return neglected;
  }

  private void take(JobLine line, TrialSink.Column column, int week) {
    boolean used =
        line.chance() >= 1 || Chance.falls(line.chance(), unit.seed(), occasion(line), trial);
    long left = used ? line.amount() : 0;
    if (times[line.task()] == 0 && !held.isEmpty()) {
      left = lessHeld(line, left);
    }
    if (left > 0) {
      column.take(trial, week, left);
    }
  }

  /** What trays hold for the first time of a task is not taken again. */
  private long lessHeld(JobLine line, long wanted) {
    long left = wanted;
    for (int i = 0; i < held.size(); i++) {
      Long laid = held.get(i).get(line.item());
      if (laid != null && unit.holds.get(i).tasks().contains(line.task())) {
        left -= Math.min(left, Math.min(laid, line.toLay()));
        held.get(i).put(line.item(), laid - Math.min(laid, line.toLay()));
      }
    }
    return left;
  }

  /** Each look at a part is a chance of its own, the same one whatever else changes. */
  private long occasion(JobLine line) {
    long which = unit.number(line.task());
    return (which * OCCASIONS + times[line.task()]) * OCCASIONS + line.item().value();
  }

  private void topUp(UnitRun.TopUpRun topUp, TrialSink.Column[] columns) {
    double[] its = life[topUp.meter()];
    double[] perRun = topUp.perRun();
    for (int week = 0; week < unit.weeks; week++) {
      long millilitres = Math.round((its[week + 1] - its[week]) * perRun[week]);
      if (millilitres > 0) {
        columns[week].take(trial, week, millilitres);
      }
    }
  }
}
