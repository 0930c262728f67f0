package dev.lonja.web.fleet;

import dev.lonja.core.fleet.Meter;
import dev.lonja.core.fleet.MeterFile;
import dev.lonja.core.fleet.MeterOutlook;
import dev.lonja.core.fleet.MeterStanding;
import dev.lonja.core.fleet.Reading;
import dev.lonja.core.fleet.Unit;
import dev.lonja.core.fleet.UsageCalendar;
import dev.lonja.core.forecast.UnitPlan;
import dev.lonja.core.service.Deviation;
import dev.lonja.core.service.OccurrencePlanner;
import dev.lonja.core.service.Origin;
import dev.lonja.core.service.Task;
import dev.lonja.core.service.TaskStanding;
import dev.lonja.core.service.UnitFile;
import dev.lonja.core.service.UnitNeeds;
import dev.lonja.store.Session;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.Collectors;

/**
 * The whole fleet as it stands on a day: meters judged, rates found, tasks with the points they
 * count from.
 */
public record FleetPicture(
    LocalDate today,
    List<Unit> units,
    Map<Long, MeterStanding> meters,
    Map<Long, List<TaskStanding>> tasks,
    Map<Long, UnitFile> files) {

  public static FleetPicture load(Session session, LocalDate today) {
    List<Unit> units = session.fleet().units();
    Map<Long, MeterStanding> meters = MeterStanding.ofFleet(meterFiles(session, units), today);
    Map<Long, Map<Long, Origin>> lastDone = session.services().lastDone();
    Map<Long, UnitFile> files = unitFiles(session, units);
    Map<Long, List<TaskStanding>> standings =
        units.stream()
            .collect(
                Collectors.toMap(
                    Unit::id,
                    unit ->
                        files.get(unit.id()).tasks().stream()
                            .map(
                                task ->
                                    standing(
                                        unit,
                                        task,
                                        meters,
                                        lastDone.getOrDefault(unit.id(), Map.of())))
                            .toList()));
    return new FleetPicture(today, units, meters, standings, files);
  }

  private static Map<Long, UnitFile> unitFiles(Session session, List<Unit> units) {
    Map<Long, UnitNeeds> needs = session.fleet().needs();
    Map<Long, List<Task>> tasks = session.services().tasksByUnit();
    Map<Long, List<Deviation>> deviations = session.deviations().byUnit();
    return units.stream()
        .collect(
            Collectors.toMap(
                Unit::id,
                unit ->
                    UnitFile.of(
                        needs.get(unit.variant().id()),
                        tasks.getOrDefault(unit.id(), List.of()),
                        deviations.getOrDefault(unit.id(), List.of()))));
  }

  /** What one unit is made of. */
  public UnitNeeds needs(long unitId) {
    return files.get(unitId).needs();
  }

  /** The occurrences of one unit up to a day. */
  public UnitPlan planOf(Unit unit, LocalDate until) {
    return new UnitPlan(
        unit.id(),
        unit.code(),
        OccurrencePlanner.plan(tasks.get(unit.id()), today, until),
        needs(unit.id()));
  }

  /** The occurrences of all units up to a day. */
  public List<UnitPlan> plans(LocalDate until) {
    return units.stream().map(unit -> planOf(unit, until)).toList();
  }

  public List<MeterStanding> metersOf(Unit unit) {
    return meters.values().stream().filter(meter -> meter.file().unit().id() == unit.id()).toList();
  }

  private static List<MeterFile> meterFiles(Session session, List<Unit> units) {
    Map<Long, Unit> byId = units.stream().collect(Collectors.toMap(Unit::id, Function.identity()));
    Map<Long, UsageCalendar> calendars = session.fleet().calendars();
    Map<Long, List<Reading>> readings = session.readings().byMeter();
    List<MeterFile> files = new ArrayList<>();
    for (Meter meter : session.fleet().meters()) {
      files.add(
          new MeterFile(
              byId.get(meter.unitId()),
              meter,
              calendars.get(meter.unitId()),
              readings.getOrDefault(meter.id(), List.of())));
    }
    return files;
  }

  private static TaskStanding standing(
      Unit unit, Task task, Map<Long, MeterStanding> meters, Map<Long, Origin> lastDone) {
    Optional<MeterStanding> meter = task.meterId().map(meters::get);
    Optional<MeterOutlook> outlook = meter.map(MeterStanding::outlook);
    Origin origin =
        Optional.ofNullable(lastDone.get(task.id()))
            .orElseGet(
                () ->
                    Origin.startOfService(
                        unit.inServiceOn(), meter.map(m -> m.file().meter().start())));
    return new TaskStanding(task, origin, outlook);
  }
}
