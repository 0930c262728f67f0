package dev.lonja.desk.service;

import dev.lonja.core.fleet.Unit;
import dev.lonja.core.inspection.Found;
import dev.lonja.core.meter.MeterId;
import dev.lonja.core.meter.MeterStanding;
import dev.lonja.core.quantity.MeterValue;
import dev.lonja.core.service.Task;
import dev.lonja.core.service.TaskId;
import dev.lonja.core.service.TaskStanding;
import dev.lonja.desk.clock.StoreClock;
import dev.lonja.desk.fleet.FleetPicture;
import dev.lonja.desk.person.Allowed;
import dev.lonja.desk.person.KeepersDesk;
import dev.lonja.desk.request.OnceOnly;
import dev.lonja.desk.request.Outcome;
import dev.lonja.desk.request.Refusal;
import dev.lonja.desk.request.Sent;
import dev.lonja.store.LonjaStore;
import dev.lonja.store.Session;
import dev.lonja.store.audit.Deed;
import dev.lonja.store.audit.Facts;
import dev.lonja.store.audit.Matter;
import dev.lonja.store.service.WorkLog;
import java.math.BigDecimal;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;

/**
 * Notes work that no tray brought about: a fleet that is taken in, an inspection without parts, a
 * service done elsewhere. It may lie back years.
 */
@Service
@Allowed.ToSeeStore
public class WorkDesk extends KeepersDesk {

  private static final int LATEST = 40;

  private final LonjaStore store;
  private final StoreClock clock;
  private final OnceOnly once;

  public WorkDesk(LonjaStore store, StoreClock clock, OnceOnly once) {
    this.store = store;
    this.clock = clock;
    this.once = once;
  }

  /**
   * What can be noted of a unit, and what is.
   *
   * @param meters that its tasks count by
   * @param latest work on record, the last done first
   */
  public record Sheet(
      Unit unit,
      List<TaskStanding> standings,
      List<MeterStanding> meters,
      List<WorkLog.Noted> latest) {

    public List<Task> tasks() {
      return standings.stream().map(TaskStanding::task).toList();
    }
  }

  /**
   * Work as somebody notes it.
   *
   * @param meters what they showed that day
   * @param done by task; for an inspection what it found, where that is known
   * @param note where it was done, by whom, and what proves it
   * @param wrong what was found wrong with the machine, one finding each
   */
  public record Work(
      LocalDate day,
      Map<MeterId, MeterValue> meters,
      Map<TaskId, Optional<Found>> done,
      String note,
      List<String> wrong) {}

  /** Empty for a unit that is not in service. */
  public Optional<Sheet> sheet(String code) {
    return store.read(
        session -> {
          FleetPicture fleet = FleetPicture.load(session, clock.today());
          return unit(fleet, code).map(unit -> sheet(session, fleet, unit));
        });
  }

  private static Sheet sheet(Session session, FleetPicture fleet, Unit unit) {
    List<TaskStanding> standings = fleet.tasks(unit.id());
    return new Sheet(
        unit,
        standings,
        fleet.metersOf(unit).stream()
            .filter(
                meter ->
                    standings.stream()
                        .anyMatch(
                            standing ->
                                standing
                                    .task()
                                    .meterId()
                                    .filter(meter.file().meter().id()::equals)
                                    .isPresent()))
            .toList(),
        session.workLog().latest(unit.id(), LATEST));
  }

  static Optional<Unit> unit(FleetPicture fleet, String code) {
    return fleet.units().stream().filter(unit -> unit.code().equals(code)).findFirst();
  }

  /** Notes work on a unit, with what its meters showed where that is not on file yet. */
  @Allowed.ToKeepStore
  public Outcome note(Sent sent, String code, Work work) {
    return once.run(
        sent,
        session ->
            new WorkNoting(session, clock, sent, FleetPicture.load(session, clock.today()))
                .note(code, work));
  }

  /**
   * One line of a table of work.
   *
   * @param task its name, or its service's and its own as "Small service: Change engine oil"
   * @param reading of the meter that it counts by; absent for one that counts by none
   */
  public record Line(
      String unit, LocalDate day, String task, Optional<BigDecimal> reading, String note) {}

  /** A line that is not noted; {@code line} is its place in the table, 0 for the first. */
  public record Bad(int line, Refusal why) implements Refusal {}

  /** Notes a whole table of work, or nothing of it; answers how many tasks. */
  @Allowed.ToKeepStore
  public Outcome noteAll(Sent sent, List<Line> lines) {
    return once.run(sent, session -> new WorkTable(session, clock, sent, lines).note());
  }

  /** A task and the last day on which it was done, with what its meter showed if it has one. */
  public record LastDone(TaskId task, LocalDate day, Optional<MeterValue> shown) {}

  /**
   * Notes when the tasks of a unit were last done, or nothing of it; what is refused names its
   * place in the list.
   *
   * @param note where all of that is known from
   */
  @Allowed.ToKeepStore
  public Outcome noteLast(Sent sent, String code, List<LastDone> last, String note) {
    return once.run(
        sent,
        session -> {
          FleetPicture fleet = FleetPicture.load(session, clock.today());
          Optional<Unit> unit = unit(fleet, code);
          if (unit.isEmpty()) {
            return Outcome.refused(new WorkRefusal.UnknownUnit(code));
          }
          if (last.isEmpty()) {
            return Outcome.refused(new WorkRefusal.NothingDone());
          }
          Map<TaskId, Task> tasks =
              fleet.tasks(unit.get().id()).stream()
                  .map(TaskStanding::task)
                  .collect(Collectors.toMap(Task::id, Function.identity()));
          if (!last.stream().allMatch(done -> tasks.containsKey(done.task()))) {
            return Outcome.refused(new WorkRefusal.UnknownTask());
          }
          Visits visits = new Visits(session, clock, sent, fleet);
          for (int i = 0; i < last.size(); i++) {
            LastDone done = last.get(i);
            visits.add(i, unit.get(), done.day(), tasks.get(done.task()), done.shown(), note);
          }
          List<Bad> bad = visits.note();
          return bad.isEmpty() ? Outcome.done() : new Outcome.Refused(bad);
        });
  }

  /** Withdraws work that was noted in error; a reading that came with it stays. */
  @Allowed.ToKeepStore
  public Outcome withdraw(Sent sent, String code, long record, String reason) {
    return once.run(
        sent,
        session -> {
          Optional<Unit> unit = unit(FleetPicture.load(session, clock.today()), code);
          Optional<WorkLog.Noted> wrong = unit.flatMap(u -> session.workLog().byId(u.id(), record));
          if (wrong.isEmpty()) {
            return Outcome.refused(new WorkRefusal.NotOnFile());
          }
          if (wrong.get().tray().isPresent()) {
            return Outcome.refused(new WorkRefusal.OfTray(wrong.get().tray().get()));
          }
          session
              .workLog()
              .withdraw(unit.get().id(), wrong.get(), reason, sent.actor(), clock.now());
          session
              .audit()
              .add(
                  sent.line(
                      clock.now(),
                      Matter.UNIT,
                      code,
                      Deed.CORRECTED,
                      Facts.of("task", wrong.get().task()).with("done_on", wrong.get().doneOn()),
                      Facts.of("reason", reason)));
          return Outcome.done();
        });
  }
}
