package dev.lonja.desk.service;

import dev.lonja.core.fleet.Unit;
import dev.lonja.core.inspection.Found;
import dev.lonja.core.meter.JudgedMeter;
import dev.lonja.core.meter.JudgedReading;
import dev.lonja.core.meter.LifePoint;
import dev.lonja.core.meter.MeterId;
import dev.lonja.core.meter.NewReading;
import dev.lonja.core.quantity.MeterValue;
import dev.lonja.core.service.Task;
import dev.lonja.core.service.TaskId;
import dev.lonja.core.service.TaskStanding;
import dev.lonja.desk.clock.StoreClock;
import dev.lonja.desk.fleet.FleetPicture;
import dev.lonja.desk.meter.ReadingRefusal;
import dev.lonja.desk.request.Outcome;
import dev.lonja.desk.request.Refusal;
import dev.lonja.desk.request.Sent;
import dev.lonja.store.Session;
import dev.lonja.store.fleet.ReadingRepository;
import dev.lonja.store.tray.Tray;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;

/** Noting work within a transaction: everything is judged before anything is written. */
final class WorkNoting {

  private final Session session;
  private final StoreClock clock;
  private final Sent sent;
  private final FleetPicture fleet;
  private final List<Refusal> refusals = new ArrayList<>();
  private final Map<MeterId, MeterValue> toNote = new TreeMap<>();
  private final Map<MeterId, MeterValue> lives = new HashMap<>();

  /**
   * @param fleet as it stood before any of the work was noted
   */
  WorkNoting(Session session, StoreClock clock, Sent sent, FleetPicture fleet) {
    this.session = session;
    this.clock = clock;
    this.sent = sent;
    this.fleet = fleet;
  }

  Outcome note(String code, WorkDesk.Work work) {
    Optional<Unit> unit = WorkDesk.unit(fleet, code);
    if (unit.isEmpty()) {
      return Outcome.refused(new WorkRefusal.UnknownUnit(code));
    }
    LocalDate first = unit.get().inServiceOn();
    if (work.day().isBefore(first) || work.day().isAfter(clock.today())) {
      return Outcome.refused(new WorkRefusal.OutsideService(work.day(), first, clock.today()));
    }
    List<Task> tasks = tasks(unit.get(), work);
    judge(unit.get(), tasks, work);
    if (!refusals.isEmpty()) {
      return new Outcome.Refused(refusals);
    }
    toNote.forEach((meter, value) -> addReading(meter, work.day(), value));
    tasks.forEach(task -> add(unit.get(), task, work));
    work.wrong()
        .forEach(
            words ->
                session
                    .findings()
                    .add(
                        unit.get().id(),
                        words,
                        work.day(),
                        Optional.empty(),
                        sent.actor(),
                        clock.now()));
    return Outcome.done();
  }

  private List<Task> tasks(Unit unit, WorkDesk.Work work) {
    List<Task> tasks =
        fleet.tasks(unit.id()).stream()
            .map(TaskStanding::task)
            .filter(task -> work.done().containsKey(task.id()))
            .toList();
    if (work.done().isEmpty()) {
      refusals.add(new WorkRefusal.NothingDone());
    } else if (tasks.size() < work.done().size()) {
      refusals.add(new WorkRefusal.UnknownTask());
    }
    return tasks;
  }

  private void judge(Unit unit, List<Task> tasks, WorkDesk.Work work) {
    Map<TaskId, String> out = out(unit);
    for (Task task : tasks) {
      if (out.containsKey(task.id())) {
        refusals.add(new WorkRefusal.OutWithTray(task, out.get(task.id())));
      }
      if (session.workLog().isDone(unit.id(), task.id(), work.day())) {
        refusals.add(new WorkRefusal.DoneThatDay(task, work.day()));
      }
      work.done()
          .get(task.id())
          .flatMap(found -> objection(task, found))
          .ifPresent(why -> refusals.add(new WorkRefusal.FoundWrong(task, why)));
      task.meterId()
          .filter(meter -> !work.meters().containsKey(meter))
          .ifPresent(meter -> refusals.add(new WorkRefusal.NoReading(meter, task)));
    }
    new TreeMap<>(work.meters())
        .forEach(
            (meter, value) -> {
              if (tasks.stream().anyMatch(t -> t.meterId().filter(meter::equals).isPresent())) {
                judge(meter, work.day(), value);
              }
            });
  }

  /** Of what lies back it may be known that it was sound, and not what was measured. */
  private static Optional<Found.Objection> objection(Task task, Found found) {
    return found.objection(found.value().isPresent() ? task.limits() : Optional.empty());
  }

  private Map<TaskId, String> out(Unit unit) {
    Map<TaskId, String> out = new HashMap<>();
    for (Tray tray : session.trays().out()) {
      if (tray.isFor(unit.id())) {
        tray.taskIds().forEach(task -> out.put(task, tray.number()));
      }
    }
    return out;
  }

  /** A reading that is on file for that day is not noted again. */
  private void judge(MeterId id, LocalDate day, MeterValue value) {
    JudgedMeter meter = FleetPicture.judged(session, fleet.meters().get(id));
    Optional<LifePoint> onFile =
        meter.log().readings().stream()
            .filter(known -> known.reading().day().equals(day))
            .filter(known -> known.reading().value().equals(value))
            .flatMap(known -> known.counted().stream())
            .findFirst();
    if (onFile.isPresent()) {
      lives.put(id, onFile.get().life());
      return;
    }
    JudgedMeter.Trial trial = meter.trying(new NewReading(day, Optional.empty(), value));
    refusals.addAll(ReadingRefusal.of(id, trial));
    JudgedReading judged = trial.judged();
    judged
        .counted()
        .ifPresent(
            point -> {
              lives.put(id, point.life());
              toNote.put(id, value);
            });
  }

  private void addReading(MeterId meter, LocalDate day, MeterValue value) {
    session
        .readings()
        .add(
            meter,
            new NewReading(day, Optional.empty(), value),
            ReadingRepository.Source.ENTERED,
            sent.actor(),
            clock.now());
  }

  private void add(Unit unit, Task task, WorkDesk.Work work) {
    long record =
        session
            .workLog()
            .add(
                unit.id(),
                task.id(),
                work.day(),
                task.meterId().map(lives::get),
                work.note(),
                sent.actor(),
                clock.now());
    work.done()
        .get(task.id())
        .ifPresent(
            found -> session.records().addFound(record, found, "", sent.actor(), clock.now()));
  }
}
