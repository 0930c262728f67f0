package dev.lonja.desk.ledger;

import dev.lonja.core.item.Item;
import dev.lonja.core.ledger.LotId;
import dev.lonja.store.Session;
import java.time.LocalDate;
import java.util.Optional;
import java.util.stream.Stream;

/** Lots for containers that are opened out of sealed ones. */
final class OpenContainers {

  private OpenContainers() {}

  /** A lot of its own, good for the opened life and never longer than sealed. */
  static LotId add(Session session, Item item, LotId sealed, LocalDate openedOn) {
    Optional<LocalDate> openUntil = item.keeping().openLifeDays().map(openedOn::plusDays);
    Optional<LocalDate> expires =
        Stream.concat(openUntil.stream(), session.lots().expiryOf(sealed).stream())
            .min(LocalDate::compareTo);
    return session.lots().addOpenLot(sealed, openedOn, expires);
  }
}
