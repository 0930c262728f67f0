package dev.lonja.desk.tray;

import dev.lonja.core.meter.MeterId;
import dev.lonja.core.meter.MeterStanding;
import dev.lonja.core.meter.NewReading;
import dev.lonja.core.quantity.MeterValue;
import dev.lonja.core.service.Task;
import dev.lonja.core.service.TaskId;
import dev.lonja.core.tray.TaskOutcome;
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
import java.util.List;
import java.util.Optional;

/** One taking back within its transaction: everything is judged before anything is written. */
final class TakeBack {

  private final Session session;
  private final StoreClock clock;
  private final Sent sent;
  private final Tray tray;
  private final LocalDate today;
  private final FleetPicture fleet;
  private final List<Task> tasks;
  private final List<MeterStanding> meters;

  TakeBack(Session session, StoreClock clock, Sent sent, Tray tray) {
    this.session = session;
    this.clock = clock;
    this.sent = sent;
    this.tray = tray;
    this.today = clock.today();
    this.fleet = FleetPicture.load(session, today);
    this.tasks = TrayFile.tasks(fleet, tray);
    this.meters = TrayFile.meters(fleet, tasks);
  }

  Outcome run(long version, TakeBackDesk.Notes notes) {
    List<Refusal> refusals = new ArrayList<>();
    LocalDate handedOver = tray.handedOverOn().orElseThrow();
    if (notes.day().isBefore(handedOver) || notes.day().isAfter(today)) {
      refusals.add(new TrayRefusal.OutsideJob(notes.day(), handedOver, today));
    } else {
      meters.forEach(meter -> refusals.addAll(judge(meter, notes)));
    }
    tasks.forEach(task -> judge(task, notes).ifPresent(refusals::add));
    List<Task> done = tasks.stream().filter(task -> isDone(task, notes)).toList();
    List<Pour> pours = Pour.of(fleet, tray, done);
    notes.litres().keySet().stream()
        .filter(id -> pours.stream().noneMatch(pour -> pour.compartmentId().equals(id)))
        .map(TrayRefusal.PouredWithoutWork::new)
        .forEach(refusals::add);
    if (!refusals.isEmpty()) {
      return new Outcome.Refused(refusals);
    }
    if (!session.trays().takeBack(tray.id(), version, notes.day())) {
      return Outcome.refused(new TrayRefusal.Changed());
    }
    meters.forEach(meter -> addReading(meter, notes));
    tasks.forEach(task -> note(task, notes));
    for (Pour pour : pours) {
      Optional.ofNullable(notes.litres().get(pour.compartmentId()))
          .map(litres -> pour.filled(litres, notes.day(), sent))
          .ifPresent(
              fill ->
                  session
                      .records()
                      .addFill(tray.unitId(), fill, Optional.of(tray.id()), "", clock.now()));
    }
    new Confirmations(session, tray, clock)
        .of(notes)
        .forEach(made -> session.statements().add(made, sent.actor(), clock.now()));
    return Outcome.done();
  }

  private static boolean isDone(Task task, TakeBackDesk.Notes notes) {
    return notes.outcomes().get(task.id()) instanceof TaskOutcome.Done;
  }

  private Optional<Refusal> judge(Task task, TakeBackDesk.Notes notes) {
    TaskOutcome outcome = notes.outcomes().get(task.id());
    if (outcome == null) {
      return Optional.of(new TrayRefusal.NothingSaid(task));
    }
    if (outcome instanceof TaskOutcome.NotDone not) {
      return not.againOn()
          .filter(day -> day.isBefore(today))
          .map(day -> new TrayRefusal.AgainInPast(task.id(), day, today));
    }
    boolean inspects = task.action() instanceof Task.Action.Inspect;
    return inspects && ((TaskOutcome.Done) outcome).found().isEmpty()
        ? Optional.of(new TrayRefusal.NothingFound(task))
        : Optional.empty();
  }

  /** A job of an earlier day must not set aside what was read since. */
  private List<ReadingRefusal> judge(MeterStanding meter, TakeBackDesk.Notes notes) {
    MeterId id = meter.file().meter().id();
    MeterValue value = notes.meters().get(id);
    if (value == null) {
      return List.of(new ReadingRefusal.UnknownMeter(id));
    }
    return isOnFile(meter, notes)
        ? List.of()
        : ReadingRefusal.of(id, FleetPicture.judged(session, meter).trying(reading(notes, value)));
  }

  /** What the hand-over noted need not be noted again. */
  private boolean isOnFile(MeterStanding meter, TakeBackDesk.Notes notes) {
    MeterId id = meter.file().meter().id();
    return notes.day().equals(tray.handedOverOn().orElseThrow())
        && session
            .readings()
            .atHandOver(id, notes.day())
            .filter(value -> value.equals(notes.meters().get(id)))
            .isPresent();
  }

  private NewReading reading(TakeBackDesk.Notes notes, MeterValue value) {
    return new NewReading(
        notes.day(),
        notes.day().equals(today) ? Optional.of(clock.now()) : Optional.empty(),
        value);
  }

  private void addReading(MeterStanding meter, TakeBackDesk.Notes notes) {
    if (!isOnFile(meter, notes)) {
      MeterId id = meter.file().meter().id();
      session
          .readings()
          .add(
              id,
              reading(notes, notes.meters().get(id)),
              ReadingRepository.Source.TAKE_BACK,
              sent.actor(),
              clock.now());
    }
  }

  private void note(Task task, TakeBackDesk.Notes notes) {
    TaskOutcome outcome = notes.outcomes().get(task.id());
    session.trays().setOutcome(tray.id(), task.id(), outcome);
    if (outcome instanceof TaskOutcome.NotDone not) {
      not.againOn().ifPresent(day -> askAgain(task.id(), day, not.why()));
      return;
    }
    long record =
        session
            .services()
            .addDone(
                tray.unitId(),
                task.id(),
                notes.day(),
                task.meterId().map(id -> fleet.meters().get(id).life(notes.meters().get(id))),
                tray.id(),
                sent.actor(),
                clock.now());
    ((TaskOutcome.Done) outcome)
        .found()
        .ifPresent(
            found -> session.records().addOutcome(record, found, "", sent.actor(), clock.now()));
  }

  private void askAgain(TaskId task, LocalDate day, String why) {
    session.records().move(tray.unitId(), task, Optional.of(day), why, sent.actor(), clock.now());
  }
}
