package dev.lonja.core.choice;

import dev.lonja.core.item.Item;
import dev.lonja.core.ledger.StockedLot;
import dev.lonja.core.quantity.Quantity;
import dev.lonja.core.quantity.UnitPrice;
import dev.lonja.core.quantity.Volume;
import dev.lonja.core.supplier.Supply;
import java.math.RoundingMode;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;

/** The packs of a fluid's item that may be bought, and those that lie on the shelf. */
public final class PackOffers {

  private PackOffers() {}

  /**
   * A pack as it is sold, at the lowest price; empty if nobody sells it or no room is left for one.
   * The least order is rounded up to whole packs, the room down.
   *
   * @param item with a pack
   * @param room what still goes into its bins; empty if none of them has a limit
   */
  public static Optional<Pack> forSale(Item item, List<Supply> supplies, Optional<Quantity> room) {
    Volume litres = item.litres().orElseThrow();
    return supplies.stream()
        .min(Comparator.comparing(supply -> supply.price().tenThousandthsOfMinor()))
        .map(
            supply ->
                sealed(
                    item,
                    supply.price(),
                    Math.max(1, wholePacks(supply.least(), litres, RoundingMode.CEILING)),
                    room.map(left -> wholePacks(left.atLeastZero(), litres, RoundingMode.FLOOR))))
        .filter(pack -> pack.exist().filter(most -> most == 0).isEmpty());
  }

  /**
   * What may be taken off the shelf: each open container with what is in it, as far as it is free,
   * then whole packs. What open trays hold is thereby taken off the sealed ones.
   *
   * @param item with a pack
   * @param worth of a litre on the shelf
   * @param free what may be issued and no tray holds
   */
  public static List<Pack> onTheShelf(
      Item item, UnitPrice worth, Quantity free, List<StockedLot> lots, LocalDate today) {
    List<Pack> offers = new ArrayList<>();
    Quantity left = free;
    for (StockedLot lot : lots) {
      boolean open = lot.openedOn().isPresent() && lot.mayBeIssued(today);
      Quantity inIt = open ? lot.quantity().min(left) : Quantity.zero(left.measure());
      if (inIt.isPositive()) {
        left = left.minus(inIt);
        offers.add(opened(item, worth, lot, new Volume(inIt.millionths()), today));
      }
    }
    int whole = wholePacks(left, item.litres().orElseThrow(), RoundingMode.FLOOR);
    if (whole > 0) {
      offers.add(sealed(item, worth, 1, Optional.of(whole)));
    }
    return offers;
  }

  private static Pack sealed(Item item, UnitPrice price, int least, Optional<Integer> exist) {
    Volume litres = item.litres().orElseThrow();
    return new Pack(
        new Pack.Origin.Sealed(item.id()),
        item.number(),
        litres,
        price.valueOf(Quantity.of(litres)),
        least,
        item.keeping().shelfLifeDays(),
        item.keeping().openLifeDays(),
        exist);
  }

  private static Pack opened(
      Item item, UnitPrice worth, StockedLot lot, Volume inIt, LocalDate today) {
    Optional<Integer> days = lot.expiresOn().map(day -> (int) ChronoUnit.DAYS.between(today, day));
    return new Pack(
        new Pack.Origin.Opened(item.id(), lot.place().lotId()),
        item.number(),
        inIt,
        worth.valueOf(Quantity.of(inIt)),
        1,
        days,
        days,
        Optional.of(1));
  }

  private static int wholePacks(Quantity quantity, Volume litres, RoundingMode rounding) {
    return quantity.amount().divide(litres.litres(), 0, rounding).intValueExact();
  }
}
