package dev.lonja.desk.forecast;

import dev.lonja.core.forecast.PlanLine;
import dev.lonja.core.forecast.Subject;
import dev.lonja.core.forecast.TrayHold;
import dev.lonja.core.item.ItemId;
import dev.lonja.core.quantity.Quantity;
import dev.lonja.core.tray.TrayLine;
import dev.lonja.desk.fleet.FleetPicture;
import dev.lonja.store.Session;
import dev.lonja.store.tray.Tray;
import java.time.LocalDate;
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
    PlanLine plan =
        fleet.planLine(session.trays().open().stream().map(Forecast::hold).toList(), weeks);
    return new Forecast(
        plan,
        Subject.all(session.items().all(), session.ledger().free(today), plan.demands(), today));
  }

  /** The subject that an item belongs to; empty for an unknown item. */
  public Optional<Subject> subjectOf(ItemId itemId) {
    return subjects.stream()
        .filter(subject -> subject.items().stream().anyMatch(item -> item.id().equals(itemId)))
        .findFirst();
  }

  private static TrayHold hold(Tray tray) {
    Map<ItemId, Quantity> laid = new HashMap<>();
    for (TrayLine line : tray.lines()) {
      laid.merge(line.askedItemId(), line.laid(), Quantity::plus);
    }
    return new TrayHold(tray.unitId(), Set.copyOf(tray.taskIds()), laid);
  }
}
