package dev.lonja.core.choice;

import dev.lonja.core.item.ItemId;
import dev.lonja.core.ledger.LotId;
import dev.lonja.core.quantity.Money;
import dev.lonja.core.quantity.Volume;
import java.util.Comparator;
import java.util.Optional;

/**
 * A kind of pack that may be bought or opened.
 *
 * @param number of its item, as printed
 * @param litres in one, above zero
 * @param price of one, zero or more
 * @param least how many are taken if any are, 1 or more
 * @param shelfDays it keeps unopened after receipt; for ever if empty
 * @param openDays it keeps once opened; for ever if empty
 * @param exist how many there are or there is room for; any number if empty
 */
public record Pack(
    Origin origin,
    String number,
    Volume litres,
    Money price,
    int least,
    Optional<Integer> shelfDays,
    Optional<Integer> openDays,
    Optional<Integer> exist) {

  /** Where it comes from; in order, what is open goes before what is sealed. */
  public sealed interface Origin extends Comparable<Origin> {

    /** The item that it is a pack of. */
    ItemId item();

    /** Sealed, as many as there are. */
    record Sealed(ItemId item) implements Origin {}

    /** One container that is open already. */
    record Opened(ItemId item, LotId lot) implements Origin {}

    @Override
    default int compareTo(Origin other) {
      return Comparator.comparing((Origin o) -> o instanceof Sealed)
          .thenComparing(Origin::item)
          .thenComparing(o -> o instanceof Opened opened ? opened.lot().value() : 0L)
          .compare(this, other);
    }
  }

  public Pack {
    if (litres.microlitres() <= 0) {
      throw new IllegalArgumentException("litres are 0; allowed is more than 0");
    }
    if (price.minor() < 0) {
      throw new IllegalArgumentException("price is " + price.display() + "; allowed is 0 or more");
    }
    if (least < 1) {
      throw new IllegalArgumentException("least is " + least + "; allowed is 1 or more");
    }
  }

  /** The fewest that hold {@code litres} and may be taken; empty if there are not so many. */
  Optional<Integer> fewest(long microlitres) {
    long packs = Math.max(-Math.floorDiv(-microlitres, litres.microlitres()), least);
    return exist.filter(most -> packs > most).isPresent() || packs > Integer.MAX_VALUE
        ? Optional.empty()
        : Optional.of((int) packs);
  }
}
