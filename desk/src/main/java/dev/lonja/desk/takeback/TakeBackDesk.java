package dev.lonja.desk.takeback;

import dev.lonja.core.fleet.Compartment;
import dev.lonja.core.fleet.CompartmentId;
import dev.lonja.core.item.Item;
import dev.lonja.core.ledger.LotCondition;
import dev.lonja.core.meter.MeterId;
import dev.lonja.core.meter.MeterStanding;
import dev.lonja.core.pour.FillLevel;
import dev.lonja.core.quantity.MeterValue;
import dev.lonja.core.quantity.Quantity;
import dev.lonja.core.quantity.Volume;
import dev.lonja.core.service.Task;
import dev.lonja.core.service.TaskId;
import dev.lonja.core.tray.OpenWork;
import dev.lonja.core.tray.TaskOutcome;
import dev.lonja.core.tray.TrayId;
import dev.lonja.core.tray.TrayLine;
import dev.lonja.core.wanted.WantedPart;
import dev.lonja.core.wanted.WantedPartId;
import dev.lonja.desk.answer.KeptAnswer;
import dev.lonja.desk.clock.StoreClock;
import dev.lonja.desk.fleet.FleetPicture;
import dev.lonja.desk.person.Allowed;
import dev.lonja.desk.request.OnceOnly;
import dev.lonja.desk.request.Outcome;
import dev.lonja.desk.request.RequestRefusal;
import dev.lonja.desk.request.Sent;
import dev.lonja.desk.tray.TrayMachine;
import dev.lonja.desk.tray.TrayRefusal;
import dev.lonja.store.LonjaStore;
import dev.lonja.store.Session;
import dev.lonja.store.audit.Deed;
import dev.lonja.store.audit.Facts;
import dev.lonja.store.audit.Matter;
import dev.lonja.store.tray.Tray;
import java.math.BigDecimal;
import java.time.LocalDate;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.springframework.stereotype.Service;

/**
 * Takes a job back: what became of each of its tasks, what the meters showed, what was poured and
 * whether substitutes fitted. Only what comes back as done is done; only then its clock restarts.
 */
@Service
@Allowed.ToSeeMachines
public class TakeBackDesk {

  private final LonjaStore store;
  private final StoreClock clock;
  private final OnceOnly once;

  public TakeBackDesk(LonjaStore store, StoreClock clock, OnceOnly once) {
    this.store = store;
    this.clock = clock;
    this.once = once;
  }

  /**
   * What is asked when a job comes back.
   *
   * @param handedOverOn the day it is taken to have been done, unless somebody says another
   * @param pours what the work fills if all of it was done
   * @param added fluids that went out beside the tasks
   * @param hasMachine true unless it was for the workshop itself, where nothing can be found wrong
   * @param leftOut what the tray went out without, and is wanted since
   */
  public record Asked(
      LocalDate handedOverOn,
      List<Read> meters,
      List<Work> works,
      List<Pour> pours,
      List<Added> added,
      boolean hasMachine,
      List<LeftOut> leftOut,
      List<Substituted> substituted,
      List<Removed> removed) {}

  /**
   * A meter that the work counts by.
   *
   * @param shown what it showed at the hand-over
   */
  public record Read(MeterStanding meter, Optional<MeterValue> shown) {}

  /**
   * A task of the tray.
   *
   * @param open true if something for it was left out, so that it stands at not done
   */
  public record Work(Task task, boolean open) {

    /** True if what it found is asked for. */
    public boolean inspects() {
      return task.inspects();
    }
  }

  /**
   * A fluid that no task asks for.
   *
   * @param places of the machine that hold such a fluid
   * @param out how much of it went out and did not come back
   */
  public record Added(TrayLine line, Item item, List<Compartment> places, Quantity out) {

    /** The compartment that it was put on for, if one was named. */
    public Optional<CompartmentId> named() {
      return line.compartmentId();
    }
  }

  /** What of it was added where. */
  public record AddedTo(CompartmentId into, Volume litres) {}

  /** A part that the tray went out without. */
  public record LeftOut(WantedPart part, Item item) {}

  /**
   * A place from which a part came off that may be kept.
   *
   * @param item that the machine takes there
   */
  public record Removed(TrayLine line, Item item) {}

  /**
   * A part that came off and is kept.
   *
   * @param number of it
   * @param condition used, good, or to recondition
   */
  public record Kept(String number, LotCondition condition, BigDecimal pieces) {}

  /** A line on which something else was laid than asked for. */
  public record Substituted(TrayLine line, Item laid, Item asked) {}

  /**
   * What was poured into a compartment.
   *
   * @param drained what ran out before, if somebody measured it
   * @param level how it stood then, if somebody read it
   */
  public record Poured(Volume litres, Optional<Volume> drained, Optional<FillLevel> level) {}

  /**
   * What somebody notes.
   *
   * @param day on which the work was done
   * @param meters what each of them showed then
   * @param outcomes by task, every one of the tray
   * @param poured by compartment, what was poured; what is absent says nothing
   * @param added by line, what was added of a fluid that no task asks for; what is absent says
   *     nothing
   * @param fitted lines whose substitute fitted
   * @param wrong lines whose substitute did not fit, and why
   * @param found what was found wrong with the machine, one finding each
   * @param dropped what the tray went out without and nobody wants any more, and why
   * @param kept by line, what came off the machine there and is not thrown away
   */
  public record Notes(
      LocalDate day,
      Map<MeterId, MeterValue> meters,
      Map<TaskId, TaskOutcome> outcomes,
      Map<CompartmentId, Poured> poured,
      Map<Long, AddedTo> added,
      Set<Long> fitted,
      Map<Long, String> wrong,
      List<String> found,
      Map<WantedPartId, String> dropped,
      Map<Long, Kept> kept) {}

  /** Empty for a tray that is not out. */
  @KeptAnswer
  public Optional<Asked> asked(TrayId trayId) {
    return store.read(session -> out(session, trayId).map(tray -> asked(session, tray)));
  }

  private static Optional<Tray> out(Session session, TrayId trayId) {
    return session.trays().byId(trayId).filter(tray -> tray.state() == Tray.State.HANDED_OVER);
  }

  private Asked asked(Session session, Tray tray) {
    FleetPicture fleet = FleetPicture.load(session, clock.today());
    TrayMachine machine = TrayMachine.of(fleet, tray);
    Set<TaskId> open = OpenWork.of(tray.lines());
    return new Asked(
        tray.handedOverOn().orElseThrow(),
        machine.meters().stream().map(meter -> read(session, tray, meter)).toList(),
        machine.tasks().stream().map(task -> new Work(task, open.contains(task.id()))).toList(),
        Pour.of(machine, tray, machine.tasks()),
        new AddedFluids(session, clock, tray, machine).asked(),
        tray.unit().isPresent(),
        leftOut(session, tray),
        Confirmations.substituted(tray).stream()
            .map(
                line ->
                    new Substituted(
                        line,
                        session.items().byId(line.itemId()).orElseThrow(),
                        session.items().byId(line.askedItemId()).orElseThrow()))
            .toList(),
        RemovedParts.of(session, tray));
  }

  private static List<LeftOut> leftOut(Session session, Tray tray) {
    return session.wanted().openLeftOutOf(tray.id()).stream()
        .map(part -> new LeftOut(part, session.items().byId(part.itemId()).orElseThrow()))
        .toList();
  }

  private static Read read(Session session, Tray tray, MeterStanding meter) {
    return new Read(
        meter,
        session
            .readings()
            .atHandOver(meter.file().meter().id(), tray.handedOverOn().orElseThrow()));
  }

  /**
   * Takes a job back.
   *
   * @param version of the tray when the form was shown
   */
  @Allowed.ToKeepStore
  public Outcome takeBack(Sent sent, TrayId trayId, long version, Notes notes) {
    return once.run(
        sent,
        session ->
            out(session, trayId)
                .map(tray -> new TakeBack(session, clock, sent, tray).run(version, notes))
                .orElseGet(() -> Outcome.refused(new TrayRefusal.NotHandedOver())));
  }

  /**
   * Undoes a taking back: its records, its pours, the days asked for again and the findings of
   * which nobody has said anything since are withdrawn, what was kept of the machine leaves the
   * shelf, and the tray is out again. What was said of meters, substitutes and wanted parts stays.
   */
  @Allowed.ToKeepStore
  public Outcome undo(Sent sent, TrayId trayId, long version, String reason) {
    return once.run(
        sent,
        session ->
            session
                .trays()
                .byId(trayId)
                .filter(tray -> tray.state() == Tray.State.BACK)
                .map(tray -> undo(session, sent, tray, version, reason))
                .orElseGet(() -> Outcome.refused(new TrayRefusal.NotBack())));
  }

  private Outcome undo(Session session, Sent sent, Tray tray, long version, String reason) {
    if (!session.trays().outAgain(tray.id(), version)) {
      return Outcome.refused(RequestRefusal.CHANGED_MEANWHILE);
    }
    Outcome unkept = new RemovedParts(session, sent, tray, clock).undo(reason);
    if (unkept instanceof Outcome.Refused) {
      return unkept;
    }
    session.services().withdrawOfTray(tray.id(), reason, sent.actor(), clock.now());
    session.records().withdrawFillsOf(tray.id(), reason, sent.actor(), clock.now());
    session.pours().withdrawTopUpsOf(tray.id(), reason, sent.actor(), clock.now());
    session.findings().strikeOpenOf(tray.id());
    Map<TaskId, LocalDate> again = new HashMap<>();
    for (Tray.Served served : tray.tasks()) {
      served
          .outcome()
          .filter(TaskOutcome.NotDone.class::isInstance)
          .flatMap(outcome -> ((TaskOutcome.NotDone) outcome).againOn())
          .ifPresent(day -> again.put(served.taskId(), day));
    }
    again
        .keySet()
        .forEach(
            task ->
                session
                    .records()
                    .move(
                        tray.unitId().orElseThrow(),
                        task,
                        Optional.empty(),
                        reason,
                        sent.actor(),
                        clock.now()));
    session
        .audit()
        .add(
            sent.line(
                clock.now(),
                Matter.TRAY,
                tray.number(),
                Deed.CORRECTED,
                Facts.of("taken_back_on", tray.backOn().orElseThrow()),
                Facts.of("reason", reason)));
    return Outcome.done();
  }
}
