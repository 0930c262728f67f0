package dev.lonja.core.forecast;

import dev.lonja.core.quantity.Quantity;
import dev.lonja.core.service.Occurrence;
import dev.lonja.core.service.TaskId;
import dev.lonja.core.take.ServiceTake;
import dev.lonja.core.take.Take;
import dev.lonja.core.take.TakeLine;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;

/**
 * What one unit's plan will take, whatever lies on trays already.
 *
 * @param demands in order of the plan
 * @param topUps what is added between services, in order of compartment and week
 * @param gaps what could not be counted, in order of the plan
 */
public record UnitDemand(
    List<ServiceDemand> demands, List<TopUpDemand> topUps, List<DatedGap> gaps) {

  /** Nothing at all. */
  public static final UnitDemand NONE = new UnitDemand(List.of(), List.of(), List.of());

  /** What a unit's data lack for the occurrence of a day. */
  record DatedGap(LocalDate day, PlanLine.UnitGap gap) {}

  public UnitDemand {
    demands = List.copyOf(demands);
    topUps = List.copyOf(topUps);
    gaps = List.copyOf(gaps);
  }

  /**
   * What every occurrence of the plan takes, without what is added between them; one whose tray is
   * out takes nothing more.
   */
  public static UnitDemand of(UnitPlan unit) {
    List<ServiceDemand> demands = new ArrayList<>();
    List<DatedGap> gaps = new ArrayList<>();
    Map<TaskId, Integer> repeats = new HashMap<>();
    for (Occurrence occurrence : unit.occurrences()) {
      Map<TaskId, Occurrence.OccurrenceTask> tasks = new HashMap<>();
      occurrence.tasks().forEach(task -> tasks.put(task.task().id(), task));
      Take take =
          occurrence.isOut()
              ? Take.NOTHING
              : ServiceTake.of(
                  unit.needs().on(occurrence.date()),
                  occurrence.tasks().stream().map(Occurrence.OccurrenceTask::task).toList(),
                  occurrence.neglected());
      for (TakeLine line : take.lines()) {
        demands.add(
            new ServiceDemand(
                unit.unitId(),
                unit.unitCode(),
                occurrence.title(),
                occurrence.date(),
                tasks.get(line.taskId()).due(),
                line,
                Quantity.zero(line.expected().measure()),
                repeats.getOrDefault(line.taskId(), 0)));
      }
      take.gaps()
          .forEach(
              gap ->
                  gaps.add(
                      new DatedGap(occurrence.date(), new PlanLine.UnitGap(unit.unitCode(), gap))));
      tasks.keySet().forEach(id -> repeats.merge(id, 1, Integer::sum));
    }
    return new UnitDemand(demands, List.of(), gaps);
  }

  /** The same with what is added between services. */
  public UnitDemand with(List<TopUpDemand> added) {
    return new UnitDemand(demands, added, gaps);
  }

  /**
   * The part of it up to a day, that day included; it is to end a week, of which the top-ups are
   * not parted.
   */
  public UnitDemand until(LocalDate day) {
    return new UnitDemand(
        demands.stream().filter(demand -> !demand.date().isAfter(day)).toList(),
        topUps.stream().filter(topUp -> !topUp.date().isAfter(day)).toList(),
        gaps.stream().filter(gap -> !gap.day().isAfter(day)).toList());
  }
}
