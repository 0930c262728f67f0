package dev.lonja.desk.crossref;

import dev.lonja.core.fleet.Position;
import dev.lonja.core.item.Item;
import dev.lonja.core.item.ItemId;
import dev.lonja.core.machine.UnitNeeds;
import dev.lonja.core.policy.Question;
import dev.lonja.core.policy.School;
import dev.lonja.core.quantity.Measure;
import dev.lonja.core.quantity.Quantity;
import dev.lonja.core.quantity.UnitPrice;
import dev.lonja.core.tray.TrayLine;
import dev.lonja.desk.fleet.PlaceDemands;
import dev.lonja.store.Session;
import dev.lonja.store.ledger.FreeStock;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;

/** An item that fits where another is short, with what of it is free. */
public record Substitute(Item item, Quantity free) {

  /**
   * Empty if nothing that fits without a look is free in the quantity that lacks.
   *
   * @param stock what is free where it is laid
   */
  public static Optional<Substitute> of(
      Session session, FreeStock stock, UnitNeeds needs, TrayLine line, Quantity lacking) {
    if (lacking.measure() != Measure.PIECES) {
      return Optional.empty();
    }
    Item asked = session.items().byId(line.askedItemId()).orElseThrow();
    Alternatives all =
        Alternatives.of(
            session, stock, asked.partId(), PlaceDemands.of(session, needs, line.positionId()));
    Optional<Position> position = line.positionId().flatMap(needs::knownPosition);
    Stream<Item> allowed =
        all.thatFit(line.itemId(), lacking)
            .filter(item -> position.map(p -> needs.ways().takesMake(p, item.make())).orElse(true));
    Optional<Item> best =
        position.filter(p -> wantsCheapest(needs, p)).isPresent()
            ? cheapest(session, allowed.toList())
            : allowed.findFirst();
    return best.map(item -> new Substitute(item, all.shelf().freeOf(item)));
  }

  private static boolean wantsCheapest(UnitNeeds needs, Position position) {
    return Question.FILTER_MAKE.kinds().contains(position.kind())
        && needs.ways().policies().at(Question.FILTER_MAKE, position).is(School.CHEAPEST_THAT_FITS);
  }

  /** Whoever looks; what has no price comes last. */
  private static Optional<Item> cheapest(Session session, List<Item> items) {
    Map<ItemId, UnitPrice> prices =
        session.supplies().lowestPrices(items.stream().map(Item::id).toList());
    return items.stream()
        .min(
            Comparator.comparing(
                item ->
                    Optional.ofNullable(prices.get(item.id()))
                        .map(UnitPrice::tenThousandthsOfMinor)
                        .orElse(Long.MAX_VALUE)));
  }
}
