package dev.lonja.desk.count;

import dev.lonja.core.count.Spot;
import dev.lonja.core.item.ItemId;
import dev.lonja.core.ledger.LaidPieces;
import dev.lonja.core.ledger.LotCondition;
import dev.lonja.core.ledger.StockedLot;
import dev.lonja.core.place.BinId;
import dev.lonja.core.place.Place;
import dev.lonja.core.quantity.Quantity;
import dev.lonja.store.Session;
import dev.lonja.store.count.CountRepository.Stored;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/**
 * How many new ones are to be found in each bin: what the book has there less what lies on trays,
 * which is booked only when it is handed over.
 */
final class BinBook {

  private final Map<Spot, Quantity> found;
  private final Map<Spot, Quantity> onTrays;
  private final Map<Spot, Long> movements;

  private BinBook(
      Map<Spot, Quantity> found, Map<Spot, Quantity> onTrays, Map<Spot, Long> movements) {
    this.found = found;
    this.onTrays = onTrays;
    this.movements = movements;
  }

  static BinBook load(Session session, LocalDate today) {
    Map<Spot, Quantity> found = session.counts().book();
    // what was found once where nothing is to be, and waits for a second count
    for (Stored first : session.counts().firsts().values()) {
      found.putIfAbsent(first.count().spot(), Quantity.zero(first.count().counted().measure()));
    }
    Map<Spot, Quantity> onTrays = new HashMap<>();
    laid(session, today)
        .forEach(
            (spot, laid) -> {
              // a tank is dipped
              if (found.containsKey(spot)) {
                onTrays.put(spot, laid);
                found.put(spot, found.get(spot).minus(laid).atLeastZero());
              }
            });
    return new BinBook(found, onTrays, session.counts().stamps());
  }

  private static Map<Spot, Quantity> laid(Session session, LocalDate today) {
    Map<BinId, Place> places = session.places().ofBins();
    Map<Place, Map<ItemId, List<StockedLot>>> lots = new HashMap<>();
    session.binContents().all().values().stream()
        .flatMap(List::stream)
        .map(facts -> facts.lot())
        .filter(lot -> lot.condition() == LotCondition.NEW)
        .forEach(
            lot ->
                lots.computeIfAbsent(places.get(lot.place().binId()), place -> new HashMap<>())
                    .computeIfAbsent(lot.place().itemId(), item -> new ArrayList<>())
                    .add(lot));
    Map<Spot, Quantity> laid = new HashMap<>();
    session
        .placeStock()
        .held()
        .forEach(
            (place, held) ->
                held.forEach(
                    (key, quantity) -> {
                      if (key.condition() == LotCondition.NEW) {
                        List<StockedLot> its =
                            lots.getOrDefault(place, Map.of())
                                .getOrDefault(key.itemId(), List.of());
                        LaidPieces.byBin(its, quantity, today)
                            .forEach((bin, part) -> laid.put(new Spot(key.itemId(), bin), part));
                      }
                    }));
    return laid;
  }

  /** Everything that lies in a bin or belongs there. */
  Set<Spot> spots() {
    return found.keySet();
  }

  /** How many are to be found; empty where nothing lies or belongs. */
  Optional<Quantity> of(Spot spot) {
    return Optional.ofNullable(found.get(spot));
  }

  /** How many that the book has there are on trays. */
  Optional<Quantity> onTrays(Spot spot) {
    return Optional.ofNullable(onTrays.get(spot));
  }

  /** Changes with each movement there, and with what is laid of it: then a count is old. */
  String stamp(Spot spot) {
    return movements.getOrDefault(spot, 0L)
        + "-"
        + onTrays(spot).map(Quantity::millionths).orElse(0L);
  }
}
