package dev.lonja.desk.forecast;

import dev.lonja.core.forecast.CertainDemand;
import dev.lonja.core.forecast.PlanLine;
import dev.lonja.core.forecast.Subject;
import dev.lonja.core.forecast.TrayHold;
import dev.lonja.core.item.ItemId;
import dev.lonja.core.machine.Boxes;
import dev.lonja.core.quantity.Quantity;
import dev.lonja.core.tray.BroughtByHand;
import dev.lonja.core.tray.LineReason;
import dev.lonja.core.tray.TrayLine;
import dev.lonja.core.wanted.WantedPart;
import dev.lonja.desk.fleet.FleetPicture;
import dev.lonja.desk.fleet.Kits;
import dev.lonja.store.Session;
import dev.lonja.store.tray.Tray;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/** The plan line of the store, with stock held against it. */
public record Forecast(PlanLine plan, List<Subject> subjects) {

  public static Forecast load(Session session, LocalDate today, int weeks) {
    FleetPicture fleet = FleetPicture.load(session, today);
    return of(session, fleet, weeks);
  }

  /** For callers that hold the fleet's picture already. */
  public static Forecast of(Session session, FleetPicture fleet, int weeks) {
    LocalDate today = fleet.today();
    PlanLine plan = fleet.planLine(beside(session, today), Kits.of(session, fleet), weeks);
    return new Forecast(
        plan,
        Subject.all(
            session.items().all(),
            new Subject.There(session.ledger().free(today), session.orders().coming()),
            plan.demands(),
            today));
  }

  /** What counts beside the plans of the units. */
  static PlanLine.Beside beside(Session session, LocalDate today) {
    List<Tray> open = session.trays().open();
    List<WantedPart> wanted = session.wanted().open();
    List<TrayHold> holds = new ArrayList<>();
    List<CertainDemand> certain = new ArrayList<>();
    Boxes boxes =
        open.stream().anyMatch(tray -> BroughtByHand.isOn(tray.lines()))
            ? session.boxes().ofStockedItems()
            : Boxes.NONE;
    open.forEach(tray -> hold(tray, boxes).ifPresent(holds::add));
    wanted.forEach(part -> hold(part).ifPresent(holds::add));
    open.forEach(tray -> certain.addAll(waiting(tray, today)));
    wanted.forEach(part -> certain.add(CertainDemand.of(part, today)));
    return new PlanLine.Beside(holds, certain, session.unplanned().uses(today));
  }

  /** The subject that an item belongs to; empty for an unknown item. */
  public Optional<Subject> subjectOf(ItemId itemId) {
    return subjects.stream()
        .filter(subject -> subject.items().stream().anyMatch(item -> item.id().equals(itemId)))
        .findFirst();
  }

  private static Optional<TrayHold> hold(Tray tray, Boxes boxes) {
    Map<ItemId, Quantity> laid = new HashMap<>(BroughtByHand.of(tray.lines(), boxes));
    for (TrayLine line : tray.lines()) {
      laid.merge(line.askedItemId(), line.laid(), Quantity::plus);
    }
    return tray.unitId().map(unit -> new TrayHold(unit, Set.copyOf(tray.taskIds()), laid));
  }

  /**
   * What was left out last time and is wanted by itself is asked for by its task no second time.
   */
  private static Optional<TrayHold> hold(WantedPart part) {
    return part.taskId()
        .map(
            task ->
                new TrayHold(
                    part.unit().orElseThrow().id(),
                    Set.of(task),
                    Map.of(part.itemId(), part.quantity())));
  }

  /** The lines of a tray that no service asks for; a kit stands for lines that one does. */
  private static List<CertainDemand> waiting(Tray tray, LocalDate today) {
    LocalDate day = tray.plannedOn().isBefore(today) ? today : tray.plannedOn();
    return tray.lines().stream()
        .filter(line -> line.taskId().isEmpty() && !(line.reason() instanceof LineReason.Kit))
        .filter(line -> line.missing().isPositive())
        .map(
            line ->
                new CertainDemand(
                    line.itemId(),
                    day,
                    line.missing(),
                    tray.unitCode(),
                    line.place(),
                    new CertainDemand.Because.OnTray(tray.number(), tray.title())))
        .toList();
  }
}
