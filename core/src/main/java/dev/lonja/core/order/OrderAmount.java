package dev.lonja.core.order;

import dev.lonja.core.quantity.Quantity;
import java.math.BigDecimal;
import java.math.RoundingMode;
import java.util.Optional;

/** Whether so much can be ordered: in whole packs, and no less than the least. */
public sealed interface OrderAmount {

  /**
   * It is no whole number of packs.
   *
   * @param below the nearest below it; nothing if that is less than the least
   * @param above the nearest above it
   */
  record NotInPacks(Quantity pack, Optional<Quantity> below, Quantity above)
      implements OrderAmount {}

  /** It is less than the least that can be ordered. */
  record BelowLeast(Quantity least) implements OrderAmount {}

  /** What is wrong with an amount above zero; empty if nothing is. */
  static Optional<OrderAmount> problem(Quantity amount, Quantity pack, Quantity least) {
    Quantity smallest = inPacks(least, pack, RoundingMode.CEILING);
    if (amount.compareTo(smallest) < 0) {
      return Optional.of(new BelowLeast(smallest));
    }
    Quantity below = inPacks(amount, pack, RoundingMode.FLOOR);
    return below.equals(amount)
        ? Optional.empty()
        : Optional.of(
            new NotInPacks(
                pack,
                Optional.of(below).filter(b -> b.compareTo(smallest) >= 0),
                inPacks(amount, pack, RoundingMode.CEILING)));
  }

  private static Quantity inPacks(Quantity amount, Quantity pack, RoundingMode rounding) {
    BigDecimal packs = amount.amount().divide(pack.amount(), 0, rounding);
    return Quantity.of(amount.measure(), packs.multiply(pack.amount()));
  }
}
