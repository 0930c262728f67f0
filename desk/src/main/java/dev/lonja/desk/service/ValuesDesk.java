package dev.lonja.desk.service;

import dev.lonja.core.fleet.Unit;
import dev.lonja.core.inspection.Found;
import dev.lonja.core.inspection.ValueLimits;
import dev.lonja.core.inspection.ValueTrend;
import dev.lonja.core.meter.ExpectedLife;
import dev.lonja.core.quantity.MeterValue;
import dev.lonja.core.service.Task;
import dev.lonja.core.service.TaskId;
import dev.lonja.core.service.TaskStanding;
import dev.lonja.desk.clock.StoreClock;
import dev.lonja.desk.fleet.FleetPicture;
import dev.lonja.desk.person.Allowed;
import dev.lonja.store.LonjaStore;
import dev.lonja.store.Session;
import dev.lonja.store.service.WorkLog;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import org.springframework.stereotype.Service;

/** Shows what an inspection of a machine has measured over its life, and where it is heading. */
@Service
@Allowed.ToSeeMachines
public class ValuesDesk {

  private final LonjaStore store;
  private final StoreClock clock;

  public ValuesDesk(LonjaStore store, StoreClock clock) {
    this.store = store;
    this.clock = clock;
  }

  /**
   * What was measured.
   *
   * @param checks the first one first; of another kind than is asked for now there are none
   * @param reach where a limit is about to be reached, if the values run towards one
   */
  public record Sheet(
      Unit unit, Task task, ValueLimits limits, List<Check> checks, Optional<Reach> reach) {}

  /**
   * One inspection with its value.
   *
   * @param life of the machine by the task's meter, if it counts by one
   */
  public record Check(LocalDate day, Optional<MeterValue> life, Found found) {}

  /**
   * A limit ahead.
   *
   * @param ahead which, and at which life of the machine
   * @param about the day on which that life is expected, if it can be said
   */
  public record Reach(ValueTrend.Ahead ahead, Optional<LocalDate> about) {}

  /** Empty for a unit that is not in service, and for a task of it that asks for no value. */
  public Optional<Sheet> sheet(String code, TaskId taskId) {
    return store.read(
        session -> {
          FleetPicture fleet = FleetPicture.load(session, clock.today());
          return WorkDesk.unit(fleet, code)
              .flatMap(
                  unit ->
                      fleet.tasks(unit.id()).stream()
                          .filter(standing -> standing.task().id().equals(taskId))
                          .filter(standing -> standing.task().limits().isPresent())
                          .findFirst()
                          .map(standing -> sheet(session, unit, standing)));
        });
  }

  private Sheet sheet(Session session, Unit unit, TaskStanding standing) {
    ValueLimits limits = standing.task().limits().orElseThrow();
    List<WorkLog.Noted> noted = session.workLog().of(unit.id(), standing.task().id());
    List<Check> checks = noted.stream().flatMap(one -> check(one, limits).stream()).toList();
    return new Sheet(unit, standing.task(), limits, checks, reach(standing, noted, limits));
  }

  private static Optional<Check> check(WorkLog.Noted noted, ValueLimits limits) {
    return noted
        .found()
        .filter(found -> found.value().filter(v -> v.kind() == limits.kind()).isPresent())
        .map(found -> new Check(noted.doneOn(), noted.life(), found));
  }

  /** What was put right without a value ends what was measured before it all the same. */
  private Optional<Reach> reach(
      TaskStanding standing, List<WorkLog.Noted> noted, ValueLimits limits) {
    List<ValueTrend.Checked> lived =
        noted.stream()
            .flatMap(
                one ->
                    one
                        .found()
                        .filter(
                            found -> found.value().map(v -> v.kind() == limits.kind()).orElse(true))
                        .flatMap(found -> one.life().map(l -> new ValueTrend.Checked(l, found)))
                        .stream())
            .toList();
    LocalDate today = clock.today();
    return ValueTrend.ahead(ValueTrend.sinceRemedy(lived), limits)
        .map(
            ahead ->
                new Reach(
                    ahead,
                    standing
                        .outlook()
                        .flatMap(
                            outlook ->
                                outlook.firstDayReaching(
                                    ExpectedLife.of(ahead.life()),
                                    today,
                                    today.plusYears(FleetPicture.HORIZON_YEARS)))));
  }
}
