package dev.lonja.core.service;

import dev.lonja.core.fleet.MeterOutlook;
import dev.lonja.core.quantity.MeterSpan;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.PriorityQueue;
import java.util.TreeMap;

/**
 * Lays the tasks of one unit out over a horizon and joins those that fall close together. A task
 * joins the earliest occurrence that another task set at most 14 days before its own planned date
 * and, if it has a meter interval, at most a tenth of that interval before it in expected life.
 * None is pushed back; a task that was pulled forward pulls no other; each counts on from the day
 * it is done.
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

  private OccurrencePlanner(LocalDate today, LocalDate until) {
    this.today = today;
    this.until = until;
  }

  /** All occurrences from {@code today} to {@code until}, both included, in order of their days. */
  public static List<Occurrence> plan(
      List<TaskStanding> standings, LocalDate today, LocalDate until) {
    // what falls due shortly after the horizon may still join an occurrence within it
    OccurrencePlanner planner = new OccurrencePlanner(today, until.plusDays(JOIN_DAYS));
    standings.forEach(planner::await);
    planner.run();
    return planner.planned.headMap(until, true).entrySet().stream()
        .map(entry -> new Occurrence(entry.getKey(), entry.getValue()))
        .toList();
  }

  private void await(TaskStanding standing) {
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
      planned
          .computeIfAbsent(date, day -> new ArrayList<>())
          .add(new Occurrence.OccurrenceTask(due, date.isBefore(ownDate)));
      await(due.standing().doneOn(date));
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
    return planned.get(day).stream().noneMatch(task -> task.task().id() == due.task().id())
        && !day.isBefore(due.standing().origin().day());
  }

  private static boolean isCloseInLife(Due due, LocalDate day, LocalDate ownDate) {
    Task task = due.task();
    Optional<MeterSpan> span = task.spanInForce(task.interval(due.standing().origin().recorded()));
    if (span.isEmpty()) {
      return true;
    }
    MeterOutlook outlook = due.standing().outlook().orElseThrow();
    return outlook.on(ownDate).isWithinTenthOf(span.get(), outlook.on(day));
  }
}
