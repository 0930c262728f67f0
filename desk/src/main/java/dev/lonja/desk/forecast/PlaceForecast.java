package dev.lonja.desk.forecast;

import dev.lonja.core.forecast.Demand;
import dev.lonja.core.forecast.Homes;
import dev.lonja.core.forecast.PlanLine;
import dev.lonja.core.forecast.Subject;
import dev.lonja.core.item.Item;
import dev.lonja.core.item.ItemId;
import dev.lonja.core.ledger.LotCondition;
import dev.lonja.core.place.Place;
import dev.lonja.core.quantity.Quantity;
import dev.lonja.desk.fleet.FleetPicture;
import dev.lonja.store.Session;
import java.time.LocalDate;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.stream.Collectors;

/**
 * The plan line with stock held against it at each place by itself. Orders come to the main store.
 * The subjects are the same at every place, in the same order.
 *
 * @param free by place and item, what may be issued as new and is spoken for by nobody
 */
public record PlaceForecast(Map<Place, Forecast> places, Map<Place, Map<ItemId, Quantity>> free) {

  /**
   * @param forecast of the whole store
   */
  public static PlaceForecast of(Session session, FleetPicture fleet, Forecast forecast) {
    LocalDate today = fleet.today();
    PlanLine plan = forecast.plan();
    Homes homes = fleet.homes();
    Map<Place, List<Demand>> demands =
        plan.demands().stream().collect(Collectors.groupingBy(homes::of));
    Map<Place, List<PlanLine.UnitGap>> gaps =
        plan.gaps().stream().collect(Collectors.groupingBy(gap -> homes.of(gap.unitCode())));
    Map<Place, Map<ItemId, Quantity>> free = free(session, today);
    Set<Place> all = session.places().names().keySet();
    List<Item> items = session.items().all();
    Map<Place, Forecast> places = new TreeMap<>();
    for (Place place : all) {
      List<Demand> its = demands.getOrDefault(place, List.of());
      places.put(
          place,
          new Forecast(
              new PlanLine(today, plan.weeks(), its, gaps.getOrDefault(place, List.of())),
              Subject.all(
                  items,
                  new Subject.There(
                      free.getOrDefault(place, Map.of()),
                      place.isMain() ? session.orders().coming() : Map.of()),
                  its,
                  today)));
    }
    return new PlaceForecast(places, free);
  }

  private static Map<Place, Map<ItemId, Quantity>> free(Session session, LocalDate today) {
    Map<Place, Map<ItemId, Quantity>> free = new HashMap<>();
    session
        .placeStock()
        .free(today)
        .forEach(
            (place, its) ->
                its.forEach(
                    (key, quantity) -> {
                      if (key.condition() == LotCondition.NEW) {
                        free.computeIfAbsent(place, p -> new HashMap<>())
                            .put(key.itemId(), quantity);
                      }
                    }));
    return free;
  }
}
