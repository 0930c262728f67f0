package dev.lonja.desk.forecast;

import dev.lonja.core.forecast.Cover;
import dev.lonja.core.forecast.Demand;
import dev.lonja.core.forecast.PlanLine;
import dev.lonja.core.forecast.TrayHold;
import dev.lonja.core.item.Item;
import dev.lonja.core.item.ItemId;
import dev.lonja.core.quantity.Quantity;
import dev.lonja.core.tray.TrayLine;
import dev.lonja.desk.fleet.FleetPicture;
import dev.lonja.store.Session;
import dev.lonja.store.tray.Tray;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
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
        PlanLine.of(
            fleet.plans(PlanLine.lastDay(today, weeks)),
            session.trays().open().stream().map(Forecast::hold).toList(),
            today,
            weeks);
    return new Forecast(plan, subjects(session, plan, today));
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

  private static List<Subject> subjects(Session session, PlanLine plan, LocalDate today) {
    Map<ItemId, Quantity> free = session.ledger().free(today);
    Map<ItemId, List<Demand>> demands = new HashMap<>();
    for (Demand demand : plan.demands()) {
      demands.computeIfAbsent(demand.itemId(), id -> new ArrayList<>()).add(demand);
    }
    Map<String, List<Item>> groups = new LinkedHashMap<>();
    for (Item item : session.items().all()) {
      String group =
          item.product().map(product -> "product " + product.id()).orElse("item " + item.id());
      groups.computeIfAbsent(group, name -> new ArrayList<>()).add(item);
    }
    return groups.values().stream().map(items -> subject(items, free, demands, today)).toList();
  }

  private static Subject subject(
      List<Item> items,
      Map<ItemId, Quantity> free,
      Map<ItemId, List<Demand>> demands,
      LocalDate today) {
    Quantity sum = Quantity.zero(items.get(0).measure());
    List<Demand> all = new ArrayList<>();
    for (Item item : items) {
      sum = sum.plus(free.getOrDefault(item.id(), Quantity.zero(item.measure())));
      all.addAll(demands.getOrDefault(item.id(), List.of()));
    }
    all.sort(java.util.Comparator.comparing(Demand::date).thenComparing(Demand::unitCode));
    return new Subject(
        List.copyOf(items), items.get(0).product(), sum, Cover.of(sum, all, today), all);
  }
}
