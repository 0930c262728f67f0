package dev.lonja.core.quantity;

import java.math.BigDecimal;
import java.math.RoundingMode;
import java.util.ArrayList;
import java.util.Currency;
import java.util.List;

/**
 * An amount of money, held in whole minor units (cents) of one currency; negative for what leaves.
 * Amounts of different currencies are never added. Values that need more digits than the currency
 * has are rounded half away from zero once, at entry.
 */
public record Money(long minor, Currency currency) {

  /** Nothing of a currency. */
  public static Money zero(Currency currency) {
    return new Money(0, currency);
  }

  /** {@code amount} whole units, rounded half away from zero to the minor unit of the currency. */
  public static Money of(BigDecimal amount, Currency currency) {
    BigDecimal minor = amount.movePointRight(currency.getDefaultFractionDigits());
    return new Money(minor.setScale(0, RoundingMode.HALF_UP).longValueExact(), currency);
  }

  /**
   * The sum, exact.
   *
   * @throws IllegalArgumentException if the other is in another currency
   */
  public Money plus(Money other) {
    if (!currency.equals(other.currency)) {
      throw new IllegalArgumentException(
          "currency is " + other.currency + "; allowed is " + currency);
    }
    return new Money(Math.addExact(minor, other.minor), currency);
  }

  /** The amount without its sign. */
  public Money abs() {
    return minor < 0 ? negated() : this;
  }

  /**
   * True if this is more than the other.
   *
   * @throws IllegalArgumentException if it is another currency
   */
  public boolean isMoreThan(Money other) {
    return minus(other).minor > 0;
  }

  /** The same with the other sign. */
  public Money negated() {
    return new Money(Math.negateExact(minor), currency);
  }

  /**
   * The difference, exact.
   *
   * @throws IllegalArgumentException if the other is in another currency
   */
  public Money minus(Money other) {
    return plus(other.negated());
  }

  /**
   * This amount shared out by weights: each share rounded half up to minor units and never beyond
   * what is left, the last taking the rest; by equal parts rounded down if the weights sum to zero.
   *
   * @param weights zero or more each
   */
  public List<Money> shared(List<BigDecimal> weights) {
    BigDecimal sum = weights.stream().reduce(BigDecimal.ZERO, BigDecimal::add);
    BigDecimal whole = BigDecimal.valueOf(Math.abs(minor));
    List<Money> shares = new ArrayList<>();
    long left = Math.abs(minor);
    for (int i = 0; i < weights.size(); i++) {
      BigDecimal share =
          sum.signum() == 0
              ? whole.divide(BigDecimal.valueOf(weights.size()), 0, RoundingMode.DOWN)
              : whole.multiply(weights.get(i)).divide(sum, 0, RoundingMode.HALF_UP);
      long given = i == weights.size() - 1 ? left : Math.min(share.longValueExact(), left);
      shares.add(new Money(minor < 0 ? -given : given, currency));
      left -= given;
    }
    return shares;
  }

  /** In whole units of the currency, exact. */
  public BigDecimal amount() {
    return BigDecimal.valueOf(minor, currency.getDefaultFractionDigits());
  }

  /** In whole currency units, exact: "12.40"; what a form shows and reads back. */
  public String exactText() {
    return amount().toPlainString();
  }

  /** "12.40 EUR". */
  public String display() {
    return exactText() + " " + currency.getCurrencyCode();
  }
}
