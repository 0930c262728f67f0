package dev.lonja.core.trial;

import dev.lonja.core.fleet.Compartment;
import dev.lonja.core.forecast.TrayHold;
import dev.lonja.core.item.ItemId;
import dev.lonja.core.meter.MeterId;
import dev.lonja.core.meter.MeterOutlook;
import dev.lonja.core.pour.TopUpUse;
import dev.lonja.core.quantity.MeterValue;
import dev.lonja.core.service.InHand;
import dev.lonja.core.service.TaskId;
import dev.lonja.core.service.TaskStanding;
import dev.lonja.core.service.Timing;
import java.math.BigDecimal;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.BitSet;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;

/**
 * What one unit uses in trials (rules §7). Each of its meters runs from its last accepted reading
 * on, a week at a time, and all its tasks see the same run: every limit that is crossed in a week
 * is an occurrence of that week and the overshoot carries over; months bring one at the latest; a
 * task that is close joins. What an occurrence takes is worked out for the tasks that really come
 * together, inspections end as they do by their chance, and a tray stands for the next time of its
 * tasks. May be used by several threads.
 *
 * <p>A meter none of whose limits it will reach within the weeks with a chance of a thousandth, and
 * by which nothing is topped up, runs as expected and costs no draws.
 */
public final class UnitTrials {

  private static final double WORTH_DRAWING = 0.001;
  private static final int JOIN_DAYS = 14;
  private static final int TENTH_OF_IT = 10;

  /** More than any task comes up in the longest look, and than there are items. */
  private static final long OCCASIONS = 1L << 20;

  private final TrialUnit unit;
  private final TrialRules rules;
  private final List<MeterRun> meters = new ArrayList<>();
  private final boolean[] byChance;
  private final TaskRun[] tasks;
  private final int[][] ledBy;
  private final List<TrayRun> trays = new ArrayList<>();
  private final int[] trayOf;
  private final List<HoldRun> holds = new ArrayList<>();
  private final List<TopUpRun> topUps = new ArrayList<>();
  private final JobTakes takes;
  private final long[] sundays;
  private final int weeks;

  /** A tray as trials see it: the week in which its work is done, and whether it is out. */
  private record TrayRun(int week, boolean out, BitSet tasks) {}

  /** What is taken off the first occurrences of some tasks, in thousandths. */
  private record HoldRun(BitSet tasks, Map<ItemId, Long> laid) {}

  /**
   * A compartment that is topped up: by week, of which item how many thousandths each hour or km.
   */
  private record TopUpRun(int meter, List<Optional<ItemId>> items, double[] perRun) {}

  public UnitTrials(TrialUnit unit, TrialRules rules) {
    this.unit = unit;
    this.rules = rules;
    this.weeks = unit.lastDay().map(day -> weeksUntil(day, rules)).orElse(rules.weeks());
    this.sundays = new long[rules.weeks()];
    for (int week = 0; week < rules.weeks(); week++) {
      sundays[week] = rules.sunday(week).toEpochDay();
    }
    Map<TaskId, Integer> places = new HashMap<>();
    unit.tasks().forEach(standing -> places.put(standing.task().id(), places.size()));
    Map<MeterId, Integer> known = new LinkedHashMap<>();
    this.tasks = new TaskRun[unit.tasks().size()];
    for (int i = 0; i < tasks.length; i++) {
      TaskStanding standing = unit.tasks().get(i);
      int meter =
          standing
              .task()
              .meterId()
              .map(id -> meter(known, id, standing.outlook().orElseThrow()))
              .orElse(TaskRun.NO_METER);
      int lead =
          standing.task().timing() instanceof Timing.EveryNth every
              ? places.get(every.leadTaskId())
              : -1;
      tasks[i] = new TaskRun(standing, meter, lead, rules);
    }
    this.ledBy = ledBy();
    this.trayOf = trays(places);
    for (TrayHold hold : unit.holds()) {
      BitSet its = places(places, hold.taskIds());
      Map<ItemId, Long> laid = new TreeMap<>();
      hold.laid().forEach((item, quantity) -> laid.put(item, JobLine.thousandths(quantity)));
      holds.add(new HoldRun(its, laid));
    }
    unit.topUps().entrySet().stream()
        .sorted(Map.Entry.comparingByKey((a, b) -> a.id().compareTo(b.id())))
        .forEach(
            entry ->
                topUps.add(
                    topUp(
                        entry,
                        meter(
                            known,
                            entry.getValue().meter().file().meter().id(),
                            entry.getValue().meter().outlook()))));
    this.takes = new JobTakes(unit, rules);
    this.byChance = byChance();
  }

  private static int weeksUntil(LocalDate lastDay, TrialRules rules) {
    return lastDay.isBefore(rules.today()) ? 0 : Math.min(rules.weeks(), rules.week(lastDay) + 1);
  }

  private int meter(Map<MeterId, Integer> known, MeterId id, MeterOutlook outlook) {
    return known.computeIfAbsent(
        id,
        meter -> {
          meters.add(new MeterRun(meter, outlook, rules));
          return meters.size() - 1;
        });
  }

  private int[][] ledBy() {
    List<List<Integer>> led = new ArrayList<>();
    for (int i = 0; i < tasks.length; i++) {
      led.add(new ArrayList<>());
    }
    for (int i = 0; i < tasks.length; i++) {
      if (tasks[i].isLed()) {
        led.get(tasks[i].lead).add(i);
      }
    }
    return led.stream()
        .map(its -> its.stream().mapToInt(Integer::intValue).toArray())
        .toArray(int[][]::new);
  }

  /** Which tray stands for each task; -1 for none. */
  private int[] trays(Map<TaskId, Integer> places) {
    int[] trayOfTask = new int[tasks.length];
    Arrays.fill(trayOfTask, -1);
    for (InHand tray : unit.inHand()) {
      BitSet its = places(places, tray.taskIds());
      if (!its.isEmpty()) {
        its.stream().forEach(task -> trayOfTask[task] = trays.size());
        trays.add(new TrayRun(rules.week(tray.on(rules.today())), tray.out(), its));
      }
    }
    return trayOfTask;
  }

  private static BitSet places(Map<TaskId, Integer> places, Iterable<TaskId> ids) {
    BitSet its = new BitSet();
    for (TaskId id : ids) {
      Integer place = places.get(id);
      if (place != null) {
        its.set(place);
      }
    }
    return its;
  }

  private TopUpRun topUp(Map.Entry<Compartment, TopUpUse> entry, int meter) {
    Compartment compartment = entry.getKey();
    TopUpUse use = entry.getValue();
    List<Optional<ItemId>> items = new ArrayList<>();
    double[] perRun = new double[rules.weeks()];
    // millilitres of the fluid for each hour or kilometre
    double each = use.volume().microlitres() / 1_000.0 / (use.span().tenths() / 10.0);
    for (int week = 0; week < rules.weeks(); week++) {
      Optional<ItemId> item =
          compartment.on(week == 0 ? rules.today() : rules.sunday(week)).itemId();
      items.add(item);
      perRun[week] =
          item.map(i -> unit.needs().shelf().mixes().partOfProduct(compartment, i).doubleValue())
                  .orElse(0.0)
              * each;
    }
    return new TopUpRun(meter, items, perRun);
  }

  private boolean[] byChance() {
    boolean[] drawn = new boolean[meters.size()];
    LocalDate end = rules.sunday(rules.weeks() - 1);
    for (int i = 0; i < tasks.length; i++) {
      TaskRun task = tasks[i];
      if (task.meter != TaskRun.NO_METER && task.limit != TaskRun.NO_LIMIT) {
        MeterOutlook outlook = meters.get(task.meter).outlook();
        MeterValue limit = MeterValue.of(BigDecimal.valueOf(task.limit), outlook.measure());
        drawn[task.meter] |= outlook.chanceOfReaching(limit, end) > WORTH_DRAWING;
      }
    }
    topUps.forEach(topUp -> drawn[topUp.meter()] = true);
    return drawn;
  }

  /**
   * Draws trials, from one to another, the first included.
   *
   * @param sink is told what each uses, a week after the other
   */
  public void draw(int from, int to, TrialSink sink) {
    if (weeks == 0) {
      return;
    }
    List<MeterRun.Draws> draws = new ArrayList<>();
    for (int i = 0; i < meters.size(); i++) {
      draws.add(meters.get(i).draws(byChance[i]));
    }
    for (int trial = from; trial < to; trial++) {
      double[][] life = new double[meters.size()][];
      for (int i = 0; i < life.length; i++) {
        life[i] = draws.get(i).of(rules.seed(), trial);
      }
      new Trial(trial, life, sink).run();
    }
  }

  /** One trial: where each task stands as the weeks go by. */
  private final class Trial {

    private final int trial;
    private final double[][] life;
    private final TrialSink sink;
    private final double[] limit = new double[tasks.length];
    private final double[] pending = new double[tasks.length];
    private final long[] day = new long[tasks.length];
    private final int[] leads = new int[tasks.length];
    private final int[] kept = new int[tasks.length];
    private final int[] times = new int[tasks.length];
    private final boolean[] moved = new boolean[tasks.length];
    private final boolean[] waits = new boolean[tasks.length];
    private final int[] doneIn = new int[tasks.length];
    private final int[] now = new int[tasks.length];
    private final List<Map<ItemId, Long>> held = new ArrayList<>();

    private Trial(int trial, double[][] life, TrialSink sink) {
      this.trial = trial;
      this.life = life;
      this.sink = sink;
      for (int i = 0; i < tasks.length; i++) {
        limit[i] = tasks[i].limit;
        pending[i] = tasks[i].pendingSpan;
        day[i] = tasks[i].day;
        leads[i] = tasks[i].leadsDone;
        kept[i] = tasks[i].kept;
        moved[i] = tasks[i].movedWeek >= 0;
        waits[i] = trayOf[i] >= 0;
        doneIn[i] = -1;
      }
      holds.forEach(hold -> held.add(new HashMap<>(hold.laid())));
    }

    private void run() {
      for (int week = 0; week < weeks; week++) {
        for (TrayRun tray : trays) {
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
        topUp(week);
      }
    }

    private void bring(TrayRun tray, int week) {
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
      } else if (day[i] <= sundays[week]) {
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
      long soon = sundays[week] + JOIN_DAYS;
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
      return left <= pending[i] / TENTH_OF_IT && left <= meters.get(task.meter).fortnight();
    }

    /** What is done for the so manieth time in the week, with what comes along. */
    private BitSet together(int time) {
      BitSet set = new BitSet();
      for (int i = 0; i < tasks.length; i++) {
        if (now[i] >= time) {
          set.set(i);
        }
      }
      BitSet along = new BitSet();
      set.stream().forEach(i -> lead(i, along));
      set.or(along);
      return set;
    }

    private void lead(int i, BitSet along) {
      for (int led : ledBy[i]) {
        if (!waits[led] && ++leads[led] >= tasks[led].nth) {
          leads[led] = 0;
          along.set(led);
        }
      }
    }

    private void job(BitSet set, int week, boolean out) {
      if (!out) {
        BitSet turns = new BitSet();
        BitSet neglected = new BitSet();
        for (int i = set.nextSetBit(0); i >= 0; i = set.nextSetBit(i + 1)) {
          turns.set(i, tasks[i].turn > 0 && kept[i] + 1 >= tasks[i].turn);
          neglected.set(i, tasks[i].neglected && times[i] == 0);
        }
        for (JobLine line :
            takes.of(new JobTakes.Job(set, turns, neglected, takes.version(week)))) {
          take(line, week);
        }
      }
      for (int i = set.nextSetBit(0); i >= 0; i = set.nextSetBit(i + 1)) {
        times[i]++;
        kept[i] = tasks[i].turn > 0 && kept[i] + 1 >= tasks[i].turn ? 0 : kept[i] + 1;
      }
    }

    private void take(JobLine line, int week) {
      boolean used =
          line.chance() >= 1 || Chance.falls(line.chance(), rules.seed(), occasion(line), trial);
      long left = used ? line.amount() : 0;
      if (times[line.task()] == 0) {
        for (int i = 0; i < holds.size(); i++) {
          Long laid = held.get(i).get(line.item());
          if (laid != null && holds.get(i).tasks().get(line.task())) {
            left -= Math.min(left, Math.min(laid, line.toLay()));
            held.get(i).put(line.item(), laid - Math.min(laid, line.toLay()));
          }
        }
      }
      if (left > 0) {
        sink.take(line.item(), trial, week, left);
      }
    }

    /** Each look at a part is a chance of its own, the same one whatever else changes. */
    private long occasion(JobLine line) {
      long which = unit.tasks().get(line.task()).task().id().value();
      return (which * OCCASIONS + times[line.task()]) * OCCASIONS + line.item().value();
    }

    private void topUp(int week) {
      for (TopUpRun topUp : topUps) {
        double[] its = life[topUp.meter()];
        long millilitres = Math.round((its[week + 1] - its[week]) * topUp.perRun()[week]);
        Optional<ItemId> item = topUp.items().get(week);
        if (millilitres > 0 && item.isPresent()) {
          sink.take(item.get(), trial, week, millilitres);
        }
      }
    }
  }
}
