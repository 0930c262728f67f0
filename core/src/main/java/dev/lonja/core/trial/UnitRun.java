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
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;

/**
 * A unit as its trials begin: its tasks, meters, trays and what else they walk through. Nothing of
 * it changes while they do.
 */
final class UnitRun {

  private static final double WORTH_DRAWING = 0.001;

  final TrialUnit unit;
  final TrialRules rules;
  final List<MeterRun> meters = new ArrayList<>();
  final boolean[] byChance;
  final TaskRun[] tasks;
  final int[][] ledBy;
  final TrayRun[] trays;
  final int[] trayOf;
  final List<HoldRun> holds = new ArrayList<>();
  final List<TopUpRun> topUps = new ArrayList<>();
  final JobTakes takes;
  final int weeks;

  /** Whether any task leads another, has turns, or was left for too long. */
  final boolean leads;

  final boolean turns;
  final boolean neglects;

  /** A tray as trials see it: the week in which its work is done, and whether it is out. */
  record TrayRun(int week, boolean out, TaskSet tasks) {}

  /** What is taken off the first occurrences of some tasks, in thousandths. */
  record HoldRun(TaskSet tasks, Map<ItemId, Long> laid) {}

  /**
   * A compartment that is topped up: by week, of which item how many thousandths each hour or km.
   *
   * @param items one for each week
   */
  record TopUpRun(int meter, List<Optional<ItemId>> items, double[] perRun) {}

  UnitRun(TrialUnit unit, TrialRules rules) {
    this.unit = unit;
    this.rules = rules;
    this.weeks = unit.lastDay().map(day -> weeksUntil(day, rules)).orElse(rules.weeks());
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
      double fortnight = meter == TaskRun.NO_METER ? 0 : meters.get(meter).fortnight();
      tasks[i] = new TaskRun(standing, meter, fortnight, lead, rules);
    }
    this.ledBy = ledBy();
    this.leads = Arrays.stream(tasks).anyMatch(TaskRun::isLed);
    this.turns = Arrays.stream(tasks).anyMatch(task -> task.turn > 0);
    this.neglects = Arrays.stream(tasks).anyMatch(task -> task.neglected);
    List<TrayRun> inHand = new ArrayList<>();
    this.trayOf = trays(places, inHand);
    this.trays = inHand.toArray(TrayRun[]::new);
    for (TrayHold hold : unit.holds()) {
      TaskSet its = places(places, hold.taskIds());
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

  /** Which of the trays, which are added, stands for each task; -1 for none. */
  private int[] trays(Map<TaskId, Integer> places, List<TrayRun> inHand) {
    int[] trayOfTask = new int[tasks.length];
    Arrays.fill(trayOfTask, -1);
    for (InHand tray : unit.inHand()) {
      TaskSet its = places(places, tray.taskIds());
      if (!its.isEmpty()) {
        for (int task = its.next(0); task >= 0; task = its.next(task + 1)) {
          trayOfTask[task] = inHand.size();
        }
        inHand.add(new TrayRun(rules.week(tray.on(rules.today())), tray.out(), its));
      }
    }
    return trayOfTask;
  }

  private static TaskSet places(Map<TaskId, Integer> places, Iterable<TaskId> ids) {
    TaskSet its = new TaskSet(places.size());
    for (TaskId id : ids) {
      Integer place = places.get(id);
      if (place != null) {
        its.add(place);
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

  long seed() {
    return rules.seed();
  }

  /** The number of a task by its place. */
  long number(int task) {
    return tasks[task].number;
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
}
