package dev.lonja.core.cost;

import dev.lonja.core.quantity.Money;
import java.util.Currency;

/**
 * What jobs would have cost elsewhere, by the quotes on file.
 *
 * @param quoted for the services of which there is a quote
 * @param unquoted how many services were done of which there is none
 */
public record Outside(Money quoted, int unquoted) {

  public static Outside nothing(Currency currency) {
    return new Outside(Money.zero(currency), 0);
  }

  /** The sum of each. */
  public Outside plus(Outside other) {
    return new Outside(quoted.plus(other.quoted), unquoted + other.unquoted);
  }
}
