package dev.lonja.desk.crossref;

import dev.lonja.core.item.Item;
import dev.lonja.core.machine.UnitNeeds;
import dev.lonja.core.quantity.Measure;
import dev.lonja.core.quantity.Quantity;
import dev.lonja.core.tray.TrayLine;
import dev.lonja.store.Session;
import java.time.LocalDate;
import java.util.Optional;

/** An item that fits where another is short, with what of it is free. */
public record Substitute(Item item, Quantity free) {

  /** Empty if nothing that fits without a look is free in the quantity that lacks. */
  public static Optional<Substitute> of(
      Session session, LocalDate today, UnitNeeds needs, TrayLine line, Quantity lacking) {
    if (lacking.measure() != Measure.PIECES) {
      return Optional.empty();
    }
    Item asked = session.items().byId(line.askedItemId()).orElseThrow();
    Alternatives all =
        Alternatives.of(
            session, today, asked.partId(), PlaceDemands.of(session, needs, line.positionId()));
    return all.firstThatFits(line.itemId(), lacking)
        .map(item -> new Substitute(item, all.shelf().freeOf(item)));
  }
}
