package dev.lonja.desk.fleet;

import dev.lonja.core.fleet.Unit;
import dev.lonja.core.fleet.UnitId;
import dev.lonja.core.forecast.UnitPlan;
import dev.lonja.core.meter.JudgedMeter;
import dev.lonja.core.meter.MeterId;
import dev.lonja.core.meter.MeterStanding;
import dev.lonja.core.service.IntervalPolicy;
import dev.lonja.core.service.OccurrencePlanner;
import dev.lonja.core.service.Task;
import dev.lonja.core.service.TaskStanding;
import dev.lonja.core.service.UnitFile;
import dev.lonja.core.service.UnitNeeds;
import dev.lonja.store.Session;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.concurrent.ConcurrentMap;

/**
 * The whole fleet as it stands on a day: meters judged, rates found, tasks with the points they
 * count from.
 *
 * @param tasks by unit, as they stand
 * @param files by unit, with its deviations and the store's school applied
 * @param makers by unit, the tasks of its variant as the maker has them
 * @param variants by variant, what its units are made of
 * @param plans those worked out already, by the day up to which they go
 */
public record FleetPicture(
    LocalDate today,
    List<Unit> units,
    Map<MeterId, MeterStanding> meters,
    Map<UnitId, List<TaskStanding>> tasks,
    Map<UnitId, UnitFile> files,
    Map<UnitId, List<Task>> makers,
    Map<Long, UnitNeeds> variants,
    IntervalPolicy policy,
    ConcurrentMap<LocalDate, List<UnitPlan>> plans) {

  /** How far ahead pages look for what is due, in years. */
  public static final int HORIZON_YEARS = 2;

  public static FleetPicture load(Session session, LocalDate today) {
    return session.remembered(
        FleetPicture.class, today, () -> new FleetLoader(session, today).picture());
  }

  /** What one unit is made of. */
  public UnitNeeds needs(UnitId unitId) {
    return files.get(unitId).needs();
  }

  /** The last day that pages look at. */
  public LocalDate horizon() {
    return today.plusYears(HORIZON_YEARS);
  }

  /** The occurrences of one unit up to a day. */
  public UnitPlan planOf(Unit unit, LocalDate until) {
    return planOf(unit, tasks.get(unit.id()), until);
  }

  /** The occurrences of one unit if its tasks stood otherwise. */
  public UnitPlan planOf(Unit unit, List<TaskStanding> standings, LocalDate until) {
    return new UnitPlan(
        unit.id(), unit.code(), OccurrencePlanner.plan(standings, today, until), needs(unit.id()));
  }

  /** The occurrences of all units up to a day, in order of the units; worked out once. */
  public List<UnitPlan> plans(LocalDate until) {
    return plans.computeIfAbsent(
        until, day -> units.parallelStream().map(unit -> planOf(unit, day)).toList());
  }

  /** One meter of the fleet with all its notes. */
  public static JudgedMeter judged(Session session, MeterStanding meter) {
    return JudgedMeter.of(meter, session.readings().of(meter.file().meter().id()));
  }

  public List<MeterStanding> metersOf(Unit unit) {
    return meters.values().stream()
        .filter(meter -> meter.file().unit().id().equals(unit.id()))
        .toList();
  }
}
