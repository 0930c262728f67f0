package dev.lonja.core.supplier;

import dev.lonja.core.quantity.Money;
import java.util.Optional;

/**
 * What bringing an order costs.
 *
 * @param each of every order, more than nothing
 * @param freeFrom for how much one has to be ordered for that to be free; empty if it never is
 */
public record Freight(Money each, Optional<Money> freeFrom) {

  public Freight {
    if (each.minor() <= 0 || freeFrom.filter(from -> from.minor() <= 0).isPresent()) {
      throw new IllegalArgumentException(
          "freight is " + each.exactText() + ", free from " + freeFrom + "; allowed is above 0");
    }
  }

  /** What of it an order of such worth pays; nothing for an order of nothing. */
  public Money of(Money worth) {
    boolean free =
        worth.minor() == 0 || freeFrom.filter(from -> !from.isMoreThan(worth)).isPresent();
    return free ? Money.zero(each.currency()) : each;
  }
}
