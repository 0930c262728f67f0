package dev.lonja.core.cost;

import dev.lonja.core.quantity.Money;
import java.util.Currency;

/**
 * What was used, at what each thing was worth on the shelf when it left, less what came back.
 *
 * @param parts whatever is counted in pieces or weighed, but for kits
 * @param kits what left as a kit, less what of it came back
 */
public record Spent(Money parts, Money fluids, Money kits) {

  public static Spent nothing(Currency currency) {
    Money zero = Money.zero(currency);
    return new Spent(zero, zero, zero);
  }

  /** The sum of each. */
  public Spent plus(Spent other) {
    return new Spent(parts.plus(other.parts), fluids.plus(other.fluids), kits.plus(other.kits));
  }

  public Money total() {
    return parts.plus(fluids).plus(kits);
  }
}
