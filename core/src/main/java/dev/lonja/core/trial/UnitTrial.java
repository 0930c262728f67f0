package dev.lonja.core.trial;

import dev.lonja.core.item.ItemId;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.BitSet;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * One walk through the weeks: where each task of a unit stands as they go by. Walks of one object
 * follow each other; each begins anew. Weeks in which no limit is crossed and no day falls are
 * passed over.
 */
final class UnitTrial {

  private static final int JOIN_DAYS = 14;
  private static final int TENTH_OF_IT = 10;
  private static final int DAYS = 7;

  /** More than any task comes up in the longest look, and than there are items. */
  private static final long OCCASIONS = 1L << 20;

  private static final BitSet NONE = new BitSet();

  private final UnitRun unit;
  private final TrialSink sink;
  private final JobMemo memo;
  private final TaskRun[] tasks;
  private final double[] limit;
  private final double[] pending;
  private final long[] day;
  private final int[] leads;
  private final int[] kept;
  private final int[] times;
  private final boolean[] moved;
  private final boolean[] waits;
  private final int[] doneIn;
  private final int[] now;
  private final List<Map<ItemId, Long>> held = new ArrayList<>();

  /** By meter the next limit of any task that is not waiting. */
  private final double[] nextLimit;

  private int trial;
  private double[][] life = new double[0][];

  UnitTrial(UnitRun unit, TrialSink sink) {
    this.unit = unit;
    this.sink = sink;
    this.memo = new JobMemo(unit.takes, sink);
    this.tasks = unit.tasks;
    this.limit = new double[tasks.length];
    this.pending = new double[tasks.length];
    this.day = new long[tasks.length];
    this.leads = new int[tasks.length];
    this.kept = new int[tasks.length];
    this.times = new int[tasks.length];
    this.moved = new boolean[tasks.length];
    this.waits = new boolean[tasks.length];
    this.doneIn = new int[tasks.length];
    this.now = new int[tasks.length];
    this.nextLimit = new double[unit.meters.size()];
  }

  /**
   * Walks through a trial.
   *
   * @param life by meter, what it stands at today and at the end of each week
   */
  void through(int number, double[][] lives) {
    trial = number;
    life = lives;
    begin();
    int week = 0;
    while (week < unit.weeks) {
      walk(week);
      week = nextWeek(week);
    }
    unit.topUps.forEach(this::topUp);
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

  private void begin() {
    for (int i = 0; i < tasks.length; i++) {
      limit[i] = tasks[i].limit;
      pending[i] = tasks[i].pendingSpan;
      day[i] = tasks[i].day;
      leads[i] = tasks[i].leadsDone;
      kept[i] = tasks[i].kept;
      times[i] = 0;
      moved[i] = tasks[i].movedWeek >= 0;
      waits[i] = unit.trayOf[i] >= 0;
      doneIn[i] = -1;
    }
    held.clear();
    unit.holds.forEach(hold -> held.add(new HashMap<>(hold.laid())));
  }

  /** The next week after one in which something may fall due by itself, or a tray is brought. */
  private int nextWeek(int week) {
    int next = unit.weeks;
    for (UnitRun.TrayRun tray : unit.trays) {
      if (tray.week() > week) {
        next = Math.min(next, tray.week());
      }
    }
    Arrays.fill(nextLimit, TaskRun.NO_LIMIT);
    long soonest = TaskRun.NO_DAY;
    for (int i = 0; i < tasks.length; i++) {
      TaskRun task = tasks[i];
      if (!waits[i] && !task.isLed()) {
        soonest = Math.min(soonest, moved[i] ? task.movedDay : day[i]);
        if (!moved[i] && task.meter != TaskRun.NO_METER) {
          nextLimit[task.meter] = Math.min(nextLimit[task.meter], limit[i]);
        }
      }
    }
    next = Math.min(next, Math.max(week + 1, weekOf(soonest)));
    for (int meter = 0; meter < nextLimit.length; meter++) {
      next = crossing(meter, week + 1, next);
    }
    return next;
  }

  /** The first week that ends on a day or after it. */
  private int weekOf(long wanted) {
    return wanted > unit.sundays[unit.sundays.length - 1]
        ? unit.weeks
        : (int) Math.max(0, Math.floorDiv(wanted - unit.sundays[0] + DAYS - 1, DAYS));
  }

  /** The first week from one on, before another, in which a meter reaches its next limit. */
  private int crossing(int meter, int from, int before) {
    double[] its = life[meter];
    double wanted = nextLimit[meter];
    int week = from;
    while (week < before && its[week + 1] < wanted) {
      week++;
    }
    return week;
  }

  private void bring(UnitRun.TrayRun tray, int week) {
    for (int i = tray.tasks().nextSetBit(0); i >= 0; i = tray.tasks().nextSetBit(i + 1)) {
      waits[i] = false;
      done(i, week);
    }
    job((BitSet) tray.tasks().clone(), week, tray.out());
    BitSet along = new BitSet();
    tray.tasks().stream().forEach(i -> lead(i, along));
    if (!along.isEmpty()) {
      job(along, week, false);
    }
  }

  /** How often each task falls due by itself in a week; answers the most of them. */
  private int fallDue(int week) {
    int most = 0;
    for (int i = 0; i < tasks.length; i++) {
      now[i] = waits[i] || tasks[i].isLed() || doneIn[i] == week ? 0 : due(i, week);
      most = Math.max(most, now[i]);
    }
    return most;
  }

  private int due(int i, int week) {
    TaskRun task = tasks[i];
    if (moved[i]) {
      if (week < task.movedWeek) {
        return 0;
      }
      done(i, week);
      return 1;
    }
    int count = 0;
    if (task.meter != TaskRun.NO_METER) {
      if (week == 0 && task.isPassed()) {
        count = 1;
        limit[i] = task.lifeToday + task.span;
        pending[i] = task.span;
      }
      while (life[task.meter][week + 1] >= limit[i]) {
        count++;
        limit[i] += task.span;
        pending[i] = task.span;
      }
    }
    if (count > 0) {
      day[i] = task.dayOnceDone(week);
    } else if (day[i] <= unit.sundays[week]) {
      done(i, week);
      count = 1;
    }
    return count;
  }

  /** Counts on from the end of the week, as of what the months, a person or a tray brought. */
  private void done(int i, int week) {
    TaskRun task = tasks[i];
    moved[i] = false;
    day[i] = task.dayOnceDone(week);
    pending[i] = task.span;
    if (task.meter != TaskRun.NO_METER) {
      limit[i] = life[task.meter][week + 1] + task.span;
    }
    doneIn[i] = week;
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
    long soon = unit.sundays[week] + JOIN_DAYS;
    if (moved[i]) {
      return task.movedDay <= soon;
    }
    if (day[i] <= soon) {
      return true;
    }
    if (task.meter == TaskRun.NO_METER) {
      return false;
    }
    double left = limit[i] - life[task.meter][week + 1];
    return left <= pending[i] / TENTH_OF_IT && left <= unit.meters.get(task.meter).fortnight();
  }

  /** What is done for the so manieth time in the week, with what comes along. */
  private BitSet together(int time) {
    BitSet set = new BitSet(tasks.length);
    for (int i = 0; i < tasks.length; i++) {
      if (now[i] >= time) {
        set.set(i);
      }
    }
    if (unit.leads) {
      BitSet along = new BitSet(tasks.length);
      for (int i = set.nextSetBit(0); i >= 0; i = set.nextSetBit(i + 1)) {
        lead(i, along);
      }
      set.or(along);
    }
    return set;
  }

  private void lead(int i, BitSet along) {
    for (int led : unit.ledBy[i]) {
      if (!waits[led] && ++leads[led] >= tasks[led].nth) {
        leads[led] = 0;
        along.set(led);
      }
    }
  }

  private void job(BitSet set, int week, boolean out) {
    if (!out) {
      JobMemo.Entry entry = lines(set, unit.takes.version(week));
      for (int i = 0; i < entry.lines().length; i++) {
        take(entry.lines()[i], entry.columns()[i], week);
      }
    }
    for (int i = set.nextSetBit(0); i >= 0; i = set.nextSetBit(i + 1)) {
      times[i]++;
      kept[i] = isItsTurn(i) ? 0 : kept[i] + 1;
    }
  }

  private JobMemo.Entry lines(BitSet set, int version) {
    BitSet turns = unit.turns ? turns(set) : NONE;
    BitSet neglected = unit.neglects ? neglected(set) : NONE;
    return tasks.length <= Long.SIZE
        ? memo.of(word(set), word(turns), word(neglected), version)
        : memo.of(new JobTakes.Job(set, turns, neglected, version));
  }

  private static long word(BitSet set) {
    long[] words = set.isEmpty() ? new long[1] : set.toLongArray();
    return words[0];
  }

  private boolean isItsTurn(int i) {
    return tasks[i].turn > 0 && kept[i] + 1 >= tasks[i].turn;
  }

  private BitSet turns(BitSet set) {
    BitSet turns = new BitSet(tasks.length);
    for (int i = set.nextSetBit(0); i >= 0; i = set.nextSetBit(i + 1)) {
      turns.set(i, isItsTurn(i));
    }
    return turns;
  }

  private BitSet neglected(BitSet set) {
    BitSet neglected = new BitSet(tasks.length);
    for (int i = set.nextSetBit(0); i >= 0; i = set.nextSetBit(i + 1)) {
      neglected.set(i, tasks[i].neglected && times[i] == 0);
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
      if (laid != null && unit.holds.get(i).tasks().get(line.task())) {
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

  private void topUp(UnitRun.TopUpRun topUp) {
    double[] its = life[topUp.meter()];
    for (int week = 0; week < unit.weeks; week++) {
      long millilitres = Math.round((its[week + 1] - its[week]) * topUp.perRun()[week]);
      Optional<ItemId> item = topUp.items().get(week);
      if (millilitres > 0 && item.isPresent()) {
        sink.take(item.get(), trial, week, millilitres);
      }
    }
  }
}
