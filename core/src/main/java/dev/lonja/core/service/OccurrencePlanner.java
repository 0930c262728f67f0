package dev.lonja.core.service;

import dev.lonja.core.meter.MeterOutlook;
import dev.lonja.core.quantity.MeterSpan;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.PriorityQueue;
import java.util.TreeMap;
import java.util.stream.Stream;

/**
 * Lays the tasks of one unit out over a horizon and joins those that fall close together. A task
 * joins the earliest occurrence that another task set at most 14 days before its own planned date
 * and, if it has a meter interval, at most a tenth of that interval before it in expected life.
 * None is pushed back; a task that was pulled forward pulls no other; each counts on from the day
 * it is done. A task that another leads is done with every nth occurrence of that one; one that a
 * person moved stands on its new day, as if the rules had set it there.
 *
 * <p>Costs one due computation per task and occurrence; a horizon of two years is ample.
 */
public final class OccurrencePlanner {

  private static final int JOIN_DAYS = 14;

  private final LocalDate today;
  private final LocalDate until;
  private final PriorityQueue<Due> waiting =
      new PriorityQueue<>(
          Comparator.comparing((Due due) -> due.plannedDate().orElseThrow())
              .thenComparing(due -> due.task().id()));
  private final TreeMap<LocalDate, List<Occurrence.OccurrenceTask>> planned = new TreeMap<>();
  private final Map<TaskId, List<TaskStanding>> led = new HashMap<>();

  private OccurrencePlanner(LocalDate today, LocalDate until) {
    this.today = today;
    this.until = until;
  }

  /** The same with nothing laid or handed over. */
  public static List<Occurrence> plan(
      List<TaskStanding> standings, LocalDate today, LocalDate until) {
    return plan(standings, List.of(), today, until);
  }

  /**
   * All occurrences from {@code today} to {@code until}, both included, in order of their days;
   * those that a tray stands for come first on theirs.
   *
   * @param inHand the trays of the unit that are laid or out; no task is on two of them
   */
  public static List<Occurrence> plan(
      List<TaskStanding> standings, List<InHand> inHand, LocalDate today, LocalDate until) {
    // what falls due shortly after the horizon may still join an occurrence within it
    OccurrencePlanner planner = new OccurrencePlanner(today, until.plusDays(JOIN_DAYS));
    List<Occurrence> onTrays = planner.stand(standings, inHand);
    planner.run();
    Stream<Occurrence> free =
        planner.planned.entrySet().stream()
            .map(entry -> new Occurrence(entry.getKey(), entry.getValue()));
    return Stream.concat(onTrays.stream(), free)
        .filter(occurrence -> !occurrence.date().isAfter(until))
        .sorted(Comparator.comparing(Occurrence::date))
        .toList();
  }

  /** Lets every task wait for its turn, after the tray that stands for it if there is one. */
  private List<Occurrence> stand(List<TaskStanding> standings, List<InHand> inHand) {
    Map<TaskId, TaskStanding> left = new LinkedHashMap<>();
    standings.forEach(standing -> left.put(standing.task().id(), standing));
    List<Occurrence> onTrays = new ArrayList<>();
    TreeMap<LocalDate, List<TaskStanding>> onTheirDay = new TreeMap<>();
    for (InHand tray : inHand) {
      List<TaskStanding> its =
          standings.stream().filter(s -> tray.taskIds().contains(s.task().id())).toList();
      if (!its.isEmpty()) {
        LocalDate day = tray.on(today);
        onTrays.add(
            new Occurrence(day, its.stream().map(s -> onTray(s, day)).toList(), Optional.of(tray)));
        onTheirDay.computeIfAbsent(day, d -> new ArrayList<>()).addAll(its);
        its.forEach(standing -> left.remove(standing.task().id()));
      }
    }
    left.values().forEach(this::await);
    // a task that comes along only counts where the lead is done on a day after it
    onTheirDay.forEach((day, its) -> its.forEach(standing -> lead(standing.task().id(), day)));
    onTheirDay.forEach((day, its) -> its.forEach(standing -> await(standing.doneOn(day))));
    return onTrays;
  }

  private Occurrence.OccurrenceTask onTray(TaskStanding standing, LocalDate day) {
    boolean isLed = standing.task().timing() instanceof Timing.EveryNth;
    Due due = isLed ? DueRule.ledOn(standing, day) : DueRule.due(standing, today, until);
    return new Occurrence.OccurrenceTask(
        due, due.plannedDate().filter(own -> own.isAfter(day)).isPresent());
  }

  private void await(TaskStanding standing) {
    if (standing.task().timing() instanceof Timing.EveryNth every) {
      led.computeIfAbsent(every.leadTaskId(), id -> new ArrayList<>()).add(standing);
      return;
    }
    Due due = DueRule.due(standing, today, until);
    if (due.plannedDate().isPresent()) {
      waiting.add(due);
    }
  }

  private void run() {
    while (!waiting.isEmpty()) {
      Due due = waiting.remove();
      LocalDate ownDate = due.plannedDate().orElseThrow();
      LocalDate date = occurrenceToJoin(due, ownDate).orElse(ownDate);
      add(date, new Occurrence.OccurrenceTask(due, date.isBefore(ownDate)));
      lead(due.task().id(), date);
      await(due.standing().doneOn(date));
    }
  }

  private void add(LocalDate date, Occurrence.OccurrenceTask task) {
    planned.computeIfAbsent(date, day -> new ArrayList<>()).add(task);
  }

  /** Counts an occurrence for the tasks that this one leads; those whose turn it is come along. */
  private void lead(TaskId leadTaskId, LocalDate date) {
    List<TaskStanding> followers = led.getOrDefault(leadTaskId, new ArrayList<>());
    for (int i = 0; i < followers.size(); i++) {
      TaskStanding counted = followers.get(i).leadDone();
      boolean itsTurn = counted.leadsDone() >= ((Timing.EveryNth) counted.task().timing()).nth();
      if (itsTurn) {
        add(date, new Occurrence.OccurrenceTask(DueRule.ledOn(counted, date), false));
      }
      followers.set(i, itsTurn ? counted.doneOn(date) : counted);
    }
  }

  /** Every day in {@code planned} was set by a task on its own date, so all may be joined. */
  private Optional<LocalDate> occurrenceToJoin(Due due, LocalDate ownDate) {
    Map<LocalDate, ?> near = planned.subMap(ownDate.minusDays(JOIN_DAYS), true, ownDate, true);
    return near.keySet().stream()
        .filter(day -> isNotYetIn(due, day))
        .filter(day -> isCloseInLife(due, day, ownDate))
        .findFirst();
  }

  private boolean isNotYetIn(Due due, LocalDate day) {
    return planned.get(day).stream().noneMatch(task -> task.task().id().equals(due.task().id()))
        && !day.isBefore(due.standing().origin().day());
  }

  private static boolean isCloseInLife(Due due, LocalDate day, LocalDate ownDate) {
    boolean doneBefore = due.standing().origin().recorded();
    Optional<MeterSpan> span =
        due.task().byInterval().flatMap(timed -> timed.spanInForce(timed.interval(doneBefore)));
    if (span.isEmpty()) {
      return true;
    }
    MeterOutlook outlook = due.standing().outlook().orElseThrow();
    return outlook.on(ownDate).isWithinTenthOf(span.get(), outlook.on(day));
  }
}
