package dev.lonja.desk.transfer;

import dev.lonja.core.item.Item;
import dev.lonja.core.item.ItemId;
import dev.lonja.core.ledger.ItemStock;
import dev.lonja.core.ledger.Ledger;
import dev.lonja.core.ledger.LotInBin;
import dev.lonja.core.ledger.StockKey;
import dev.lonja.core.place.Place;
import dev.lonja.core.quantity.Quantity;
import dev.lonja.store.Session;
import dev.lonja.store.ledger.LotFacts;
import dev.lonja.store.place.TransferRepository.Stored;
import java.time.LocalDate;
import java.util.HashMap;
import java.util.List;
import java.util.Map;

/** What the place that gives has of a thing. */
final class TransferStock {

  private TransferStock() {}

  /** What of it may go with a transfer: what is picked for it already is among that. */
  static Quantity free(Session session, Stored transfer, Item item, LocalDate today) {
    return stock(session, item.id(), transfer.from())
        .usable(today)
        .minus(held(session, transfer, item))
        .atLeastZero();
  }

  /** What is spoken for at the place that gives by others than this transfer, by stock. */
  static Map<StockKey, Quantity> held(Session session, Stored transfer) {
    return session.placeStock().heldBesides(transfer.id(), transfer.from());
  }

  /** What is spoken for at the place that gives by others than this transfer. */
  static Quantity held(Session session, Stored transfer, Item item) {
    return held(session, transfer)
        .getOrDefault(StockKey.ofNew(item.id()), Quantity.zero(item.measure()));
  }

  static ItemStock stock(Session session, ItemId item, Place place) {
    return session.placeStock().of(StockKey.ofNew(item), place);
  }

  /** Where it lies in the bins that are reached, in picking order. */
  static List<LotFacts> lots(Session session, ItemStock stock, LocalDate today) {
    Map<LotInBin, LotFacts> facts = new HashMap<>();
    session.ledger().lotsOf(stock.itemId()).forEach(lot -> facts.put(lot.lot().place(), lot));
    return Ledger.pickingList(stock, today).stream().map(lot -> facts.get(lot.place())).toList();
  }

  /** True if a tank holds it. */
  static boolean liesInTank(Session session, ItemId item) {
    return session.tanks().all().stream().anyMatch(tank -> tank.itemId().equals(item));
  }
}
