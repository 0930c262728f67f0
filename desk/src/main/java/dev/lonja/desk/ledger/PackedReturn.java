package dev.lonja.desk.ledger;

import dev.lonja.core.item.Item;
import dev.lonja.core.ledger.Booking;
import dev.lonja.core.ledger.ItemStock;
import dev.lonja.core.ledger.LotId;
import dev.lonja.core.ledger.LotInBin;
import dev.lonja.core.ledger.ReturnOfIssue;
import dev.lonja.core.ledger.StockKey;
import dev.lonja.core.quantity.Quantity;
import dev.lonja.store.Session;
import java.time.LocalDate;
import java.util.HashMap;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/**
 * Books what comes back of an issue; of a pack that went out sealed and was opened on the job the
 * rest becomes a lot of its own.
 */
public final class PackedReturn {

  private PackedReturn() {}

  /**
   * @param openedOn the day on which a pack that comes back in part counts as opened
   */
  public static Booking of(Session session, StockKey key, ReturnOfIssue back, LocalDate openedOn) {
    ItemStock stock = session.ledger().stockOf(key);
    Item item = session.items().byId(key.itemId()).orElseThrow();
    Optional<Quantity> pack = item.pack();
    Booking plain = back.booking(stock);
    if (pack.isEmpty() || plain instanceof Booking.Refused) {
      return plain;
    }
    Set<LotId> open = session.lots().openLots(item.id());
    Map<LotInBin, LotId> containers = new HashMap<>();
    for (LotInBin sealed : back.opened(pack.get(), open)) {
      containers.put(sealed, OpenContainers.add(session, item, sealed.lotId(), openedOn));
    }
    return back.booking(stock, pack.get(), containers);
  }
}
