package dev.lonja.desk.ledger;

import dev.lonja.core.item.Item;
import dev.lonja.core.ledger.Booking;
import dev.lonja.core.ledger.Ledger;
import dev.lonja.core.ledger.LotCondition;
import dev.lonja.core.ledger.LotInBin;
import dev.lonja.core.ledger.StockKey;
import dev.lonja.core.part.Part;
import dev.lonja.core.place.BinId;
import dev.lonja.core.quantity.Money;
import dev.lonja.core.quantity.Quantity;
import dev.lonja.store.Session;
import java.time.LocalDate;
import java.util.Optional;

/**
 * A part that came off a machine and goes on the shelf.
 *
 * @param condition used, good, or to recondition
 * @param from where it came off, under which its lot is kept
 * @param day on which it came off
 * @param worth of all of it
 */
public record Salvage(
    Item item,
    LotCondition condition,
    Quantity quantity,
    BinId binId,
    String from,
    LocalDate day,
    Money worth) {

  /** Why it is not kept; empty if it may be. */
  public static Optional<StockRefusal> refusal(Session session, Item item) {
    return session.parts().byId(item.partId()).filter(Part::mayBeUsedAgain).isPresent()
        ? Optional.empty()
        : Optional.of(new StockRefusal.IsWaste(item));
  }

  /** Books it into the lot of what came off there in that condition. */
  public Booking booking(Session session) {
    LotInBin place =
        new LotInBin(item.id(), session.lots().salvaged(item.id(), from, day, condition), binId);
    return Ledger.salvage(
        session.ledger().stockOf(new StockKey(item.id(), condition)), place, quantity, worth);
  }
}
