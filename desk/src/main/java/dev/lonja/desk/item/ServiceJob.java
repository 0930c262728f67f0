package dev.lonja.desk.item;

import dev.lonja.core.fleet.Unit;
import dev.lonja.core.fleet.Variant;
import dev.lonja.core.machine.UnitNeeds;
import dev.lonja.core.service.Task;
import dev.lonja.desk.fleet.FleetPicture;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;

/** A service of a variant that some unit in service is of, as if all its tasks were due at once. */
public record ServiceJob(Variant variant, String service) {

  /** What a job takes. */
  record Work(UnitNeeds needs, List<Task> tasks) {}

  /** A name by which it can be asked for again. */
  public String name() {
    return variant.id() + "/" + service;
  }

  /** Every job, in order of the variants. */
  static Map<ServiceJob, Work> all(FleetPicture fleet) {
    Map<Long, Unit> oneOfEach = new LinkedHashMap<>();
    fleet.units().stream()
        .sorted(Comparator.comparing(unit -> unit.variant().display()))
        .forEach(unit -> oneOfEach.putIfAbsent(unit.variant().id(), unit));
    Map<ServiceJob, Work> jobs = new LinkedHashMap<>();
    oneOfEach.forEach(
        (variant, unit) ->
            byService(fleet.makers(unit.id()))
                .forEach(
                    (service, of) ->
                        jobs.put(
                            new ServiceJob(unit.variant(), service),
                            new Work(fleet.variants().get(variant), of))));
    return jobs;
  }

  private static Map<String, List<Task>> byService(List<Task> tasks) {
    return tasks.stream()
        .collect(Collectors.groupingBy(Task::serviceName, LinkedHashMap::new, Collectors.toList()));
  }
}
