package dev.lonja.desk.tray;

import dev.lonja.core.fleet.CompartmentId;
import dev.lonja.core.inspection.InspectionOutcome;
import dev.lonja.core.item.Item;
import dev.lonja.core.pour.NewFill;
import dev.lonja.core.quantity.Volume;
import dev.lonja.core.service.TaskId;
import dev.lonja.core.tray.TrayId;
import dev.lonja.core.tray.TrayLine;
import dev.lonja.desk.clock.StoreClock;
import dev.lonja.desk.fleet.FleetPicture;
import dev.lonja.desk.person.Allowed;
import dev.lonja.desk.request.OnceOnly;
import dev.lonja.desk.request.Outcome;
import dev.lonja.desk.request.RequestRefusal;
import dev.lonja.desk.request.Sent;
import dev.lonja.store.LonjaStore;
import dev.lonja.store.Session;
import dev.lonja.store.tray.Tray;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import org.springframework.stereotype.Service;

/**
 * Notes what came of a job: what its inspections found, how many litres were poured, and whether
 * substitutes fitted. The chance of a replacement, the capacity and the cross-reference are learned
 * from them.
 */
@Service
@Allowed.ToSeeMachines
public class FindingsDesk {

  private final LonjaStore store;
  private final StoreClock clock;
  private final OnceOnly once;

  public FindingsDesk(LonjaStore store, StoreClock clock, OnceOnly once) {
    this.store = store;
    this.clock = clock;
    this.once = once;
  }

  /**
   * What there is to note of a tray that is handed over.
   *
   * @param poured what was noted of each compartment
   */
  public record ToNote(
      List<Look> looks,
      List<Pour> pours,
      Map<CompartmentId, Volume> poured,
      List<Substituted> substituted) {

    static final ToNote NOTHING = new ToNote(List.of(), List.of(), Map.of(), List.of());
  }

  /** An inspection; its outcome once it is noted. */
  public record Look(long recordId, String task, Optional<InspectionOutcome> outcome) {}

  /** A line on which something else was laid than asked for. */
  public record Substituted(TrayLine line, Item laid, Item asked) {}

  /**
   * What somebody notes; what is absent says nothing.
   *
   * @param outcomes by the record of the inspection
   * @param litres by compartment
   * @param fitted lines whose substitute fitted
   * @param wrong lines whose substitute did not fit, and why
   */
  public record Notes(
      Map<Long, InspectionOutcome> outcomes,
      Map<CompartmentId, Volume> litres,
      Set<Long> fitted,
      Map<Long, String> wrong) {}

  /** Nothing for a tray that is not handed over. */
  public ToNote toNote(TrayId trayId) {
    return store.read(
        session ->
            session
                .trays()
                .byId(trayId)
                .filter(tray -> tray.state() == Tray.State.HANDED_OVER)
                .map(tray -> toNote(session, tray))
                .orElse(ToNote.NOTHING));
  }

  private ToNote toNote(Session session, Tray tray) {
    FleetPicture fleet = FleetPicture.load(session, clock.today());
    Map<TaskId, String> names = new HashMap<>();
    TrayFile.tasks(fleet, tray).forEach(task -> names.put(task.id(), task.name()));
    Map<CompartmentId, Volume> poured = new HashMap<>();
    session
        .records()
        .fillsOf(tray.id())
        .forEach(fill -> poured.put(fill.compartmentId(), fill.volume()));
    return new ToNote(
        session.records().inspectionsOf(tray.id()).stream()
            .filter(look -> names.containsKey(look.taskId()))
            .map(look -> new Look(look.recordId(), names.get(look.taskId()), look.outcome()))
            .toList(),
        Pour.of(fleet, tray),
        poured,
        Confirmations.substituted(tray).stream()
            .map(
                line ->
                    new Substituted(
                        line,
                        session.items().byId(line.itemId()).orElseThrow(),
                        session.items().byId(line.askedItemId()).orElseThrow()))
            .toList());
  }

  /** Notes what came of a job; litres that were noted before give way. */
  @Allowed.ToKeepStore
  public Outcome note(Sent sent, TrayId trayId, Notes notes) {
    return once.run(
        sent,
        session ->
            session
                .trays()
                .byId(trayId)
                .filter(tray -> tray.state() == Tray.State.HANDED_OVER)
                .map(tray -> note(session, sent, tray, notes))
                .orElseGet(() -> Outcome.refused(new TrayRefusal.NotHandedOver())));
  }

  private Outcome note(Session session, Sent sent, Tray tray, Notes notes) {
    FleetPicture fleet = FleetPicture.load(session, clock.today());
    List<Pour> pours = Pour.of(fleet, tray);
    Map<Long, Optional<InspectionOutcome>> before = new HashMap<>();
    session
        .records()
        .inspectionsOf(tray.id())
        .forEach(look -> before.put(look.recordId(), look.outcome()));
    if (!pours.stream().map(Pour::compartmentId).toList().containsAll(notes.litres().keySet())
        || !before.keySet().containsAll(notes.outcomes().keySet())) {
      return Outcome.refused(RequestRefusal.CHANGED_MEANWHILE);
    }
    new TreeMap<>(notes.outcomes())
        .forEach(
            (record, outcome) -> {
              if (!before.get(record).equals(Optional.of(outcome))) {
                session.records().addOutcome(record, outcome, "", sent.actor(), clock.now());
              }
            });
    session.records().withdrawFillsOf(tray.id(), "noted anew", sent.actor(), clock.now());
    for (Pour pour : pours) {
      Optional.ofNullable(notes.litres().get(pour.compartmentId()))
          .map(litres -> pour.filled(litres, tray, sent))
          .ifPresent(fill -> addFill(session, tray, fill));
    }
    new Confirmations(session, tray, clock)
        .of(notes)
        .forEach(made -> session.statements().add(made, sent.actor(), clock.now()));
    return Outcome.done();
  }

  private void addFill(Session session, Tray tray, NewFill fill) {
    session.records().addFill(tray.unitId(), fill, Optional.of(tray.id()), "", clock.now());
  }
}
