package dev.lonja.desk.ledger;

import dev.lonja.core.item.Item;
import dev.lonja.core.ledger.Booking;
import dev.lonja.core.ledger.ItemStock;
import dev.lonja.core.ledger.Ledger;
import dev.lonja.core.ledger.LotId;
import dev.lonja.core.ledger.PackOpening;
import dev.lonja.core.quantity.Measure;
import dev.lonja.core.quantity.Quantity;
import dev.lonja.store.Session;
import java.time.LocalDate;

/**
 * Books an issue; if it takes a pack of what is not counted in pieces in part, the pack is opened
 * and what is left in it becomes a lot of its own with the day it was opened on.
 */
public final class PackedIssue {

  private PackedIssue() {}

  /**
   * @param stock at the place out of whose bins it is taken
   * @param held what is spoken for there by others than what this issue is for
   */
  public static Booking of(
      Session session, ItemStock stock, Quantity wanted, Quantity held, LocalDate today) {
    Booking plain = Ledger.issue(stock, wanted, held, today);
    if (plain instanceof Booking.Refused || stock.measure() == Measure.PIECES) {
      return plain;
    }
    Item item = session.items().byId(stock.itemId()).orElseThrow();
    return item.pack()
        .flatMap(pack -> PackOpening.of(stock, wanted, pack, today))
        .map(
            opening -> {
              LotId container =
                  OpenContainers.add(session, item, opening.from().place().lotId(), today);
              return opening.issue(stock, wanted, held, today, container);
            })
        .orElse(plain);
  }
}
