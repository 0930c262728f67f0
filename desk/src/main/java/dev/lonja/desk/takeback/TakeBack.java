package dev.lonja.desk.takeback;

import dev.lonja.core.fleet.CompartmentId;
import dev.lonja.core.fleet.UnitId;
import dev.lonja.core.inspection.Found;
import dev.lonja.core.item.ItemId;
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
import dev.lonja.desk.tray.TrayMachine;
import dev.lonja.desk.tray.TrayRefusal;
import dev.lonja.store.Session;
import dev.lonja.store.fleet.ReadingRepository;
import dev.lonja.store.tray.Tray;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;

/** One taking back within its transaction: everything is judged before anything is written. */
final class TakeBack {

  private final Session session;
  private final StoreClock clock;
  private final Sent sent;
  private final Tray tray;
  private final LocalDate today;
  private final FleetPicture fleet;
  private final TrayMachine machine;

  TakeBack(Session session, StoreClock clock, Sent sent, Tray tray) {
    this.session = session;
    this.clock = clock;
    this.sent = sent;
    this.tray = tray;
    this.today = clock.today();
    this.fleet = FleetPicture.load(session, today);
    this.machine = TrayMachine.of(fleet, tray);
  }

  Outcome run(long version, TakeBackDesk.Notes notes) {
    List<Refusal> refusals = new ArrayList<>();
    LocalDate handedOver = tray.handedOverOn().orElseThrow();
    if (notes.day().isBefore(handedOver) || notes.day().isAfter(today)) {
      refusals.add(new TrayRefusal.OutsideJob(notes.day(), handedOver, today));
    } else {
      machine.meters().forEach(meter -> refusals.addAll(judge(meter, notes)));
    }
    machine.tasks().forEach(task -> judge(task, notes).ifPresent(refusals::add));
    List<Task> done = machine.tasks().stream().filter(task -> isDone(task, notes)).toList();
    List<Pour> pours = Pour.of(machine, tray, done);
    notes.poured().keySet().stream()
        .filter(id -> pours.stream().noneMatch(pour -> pour.compartmentId().equals(id)))
        .map(TrayRefusal.PouredWithoutWork::new)
        .forEach(refusals::add);
    if (tray.unit().isEmpty() && !notes.found().isEmpty()) {
      refusals.add(new TrayRefusal.NoMachine());
    }
    AddedFluids added = new AddedFluids(session, clock, tray, machine);
    refusals.addAll(added.judge(notes, filled(pours, notes)));
    RemovedParts removed = new RemovedParts(session, sent, tray, clock);
    refusals.addAll(removed.judge(notes));
    if (!refusals.isEmpty()) {
      return new Outcome.Refused(refusals);
    }
    if (!session.trays().takeBack(tray.id(), version, notes.day())) {
      return Outcome.refused(new TrayRefusal.Changed());
    }
    machine.meters().forEach(meter -> addReading(meter, notes));
    machine.tasks().forEach(task -> note(task, notes));
    for (Pour pour : pours) {
      Optional.ofNullable(notes.poured().get(pour.compartmentId()))
          .map(poured -> pour.filled(poured, notes.day(), sent))
          .ifPresent(
              fill ->
                  session.records().addFill(unit(), fill, Optional.of(tray.id()), "", clock.now()));
    }
    added.note(notes, sent);
    new Confirmations(session, tray, clock)
        .of(notes)
        .forEach(made -> session.statements().add(made, sent.actor(), clock.now()));
    notes
        .found()
        .forEach(
            words ->
                session
                    .findings()
                    .add(
                        unit(),
                        words,
                        notes.day(),
                        Optional.of(tray.id()),
                        sent.actor(),
                        clock.now()));
    drop(notes);
    removed.keep(notes);
    return Outcome.done();
  }

  private static Map<CompartmentId, ItemId> filled(List<Pour> pours, TakeBackDesk.Notes notes) {
    return pours.stream()
        .filter(pour -> notes.poured().containsKey(pour.compartmentId()))
        .collect(Collectors.toMap(Pour::compartmentId, Pour::itemId, (one, other) -> other));
  }

  /** What was dropped is one of the parts that this tray went out without. */
  private void drop(TakeBackDesk.Notes notes) {
    session.wanted().openLeftOutOf(tray.id()).stream()
        .filter(part -> notes.dropped().containsKey(part.id()))
        .forEach(part -> session.wanted().drop(part.id(), notes.dropped().get(part.id())));
  }

  /** A machine's part of it: only a tray with a machine has tasks, pours and findings. */
  private UnitId unit() {
    return tray.unitId().orElseThrow();
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
    return task.inspects() ? judge(task, ((TaskOutcome.Done) outcome).found()) : Optional.empty();
  }

  private static Optional<Refusal> judge(Task task, Optional<Found> found) {
    return found.isEmpty()
        ? Optional.of(new TrayRefusal.NothingFound(task))
        : found.get().objection(task.limits()).map(why -> new TrayRefusal.FoundWrong(task, why));
  }

  /** A job of an earlier day must not set aside what was read since. */
  private List<ReadingRefusal> judge(MeterStanding meter, TakeBackDesk.Notes notes) {
    MeterId id = meter.file().meter().id();
    MeterValue value = notes.meters().get(id);
    if (value == null) {
      return machine.countsByMeters() ? List.of(new ReadingRefusal.UnknownMeter(id)) : List.of();
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
        Optional.of(sent.happenedAt(clock.now()))
            .filter(at -> notes.day().equals(today) && clock.dayOf(at).equals(today)),
        value);
  }

  private void addReading(MeterStanding meter, TakeBackDesk.Notes notes) {
    MeterId id = meter.file().meter().id();
    if (notes.meters().containsKey(id) && !isOnFile(meter, notes)) {
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
                unit(),
                task.id(),
                notes.day(),
                task.meterId().map(id -> fleet.meters().get(id).life(notes.meters().get(id))),
                tray.id(),
                sent.actor(),
                clock.now());
    ((TaskOutcome.Done) outcome)
        .found()
        .ifPresent(
            found -> session.records().addFound(record, found, "", sent.actor(), clock.now()));
  }

  private void askAgain(TaskId task, LocalDate day, String why) {
    session.records().move(unit(), task, Optional.of(day), why, sent.actor(), clock.now());
  }
}
