package dev.lonja.core.quantity;

import java.math.BigDecimal;
import java.math.RoundingMode;
import java.util.Currency;

/**
 * A price or moving-average cost per piece or per litre, held in ten-thousandths of a minor unit of
 * one currency, zero or more. Derived prices are rounded half away from zero once.
 */
public record UnitPrice(long tenThousandthsOfMinor, Currency currency) {

  private static final BigDecimal MINOR = BigDecimal.valueOf(10_000);

  public UnitPrice {
    BaseUnits.within("tenThousandthsOfMinor", tenThousandthsOfMinor, 0, Long.MAX_VALUE);
  }

  /** What one piece or litre costs if {@code quantity} (above zero) is worth {@code value}. */
  public static UnitPrice average(Money value, Quantity quantity) {
    BigDecimal price =
        BigDecimal.valueOf(value.minor())
            .multiply(MINOR)
            .divide(quantity.amount(), 0, RoundingMode.HALF_UP);
    return new UnitPrice(price.longValueExact(), value.currency());
  }

  /** The value of {@code quantity} at this price, rounded half away from zero to the minor unit. */
  public Money valueOf(Quantity quantity) {
    BigDecimal minor =
        quantity
            .amount()
            .multiply(BigDecimal.valueOf(tenThousandthsOfMinor))
            .divide(MINOR, 0, RoundingMode.HALF_UP);
    return new Money(minor.longValueExact(), currency);
  }

  /**
   * The price of one in whole currency units, rounded half away from zero to a ten-thousandth of a
   * minor unit; a price below zero is refused with an exception.
   */
  public static UnitPrice of(BigDecimal price, Currency currency) {
    BigDecimal minor = price.movePointRight(currency.getDefaultFractionDigits());
    return new UnitPrice(BaseUnits.from(minor, MINOR), currency);
  }

  /**
   * In whole currency units, exact, with at least the digits of the currency: "4.10", "0.7525";
   * what a form shows and reads back.
   */
  public String exactText() {
    int digits = currency.getDefaultFractionDigits();
    BigDecimal price = BigDecimal.valueOf(tenThousandthsOfMinor, digits + 4).stripTrailingZeros();
    return price.setScale(Math.max(digits, price.scale())).toPlainString();
  }

  /**
   * In whole currency units with the digits of the currency, and up to two more where they say
   * something, rounded half away from zero: "11.80 EUR", "4.125 EUR", "3.3333 EUR".
   */
  public String display() {
    int digits = currency.getDefaultFractionDigits();
    BigDecimal price =
        BigDecimal.valueOf(tenThousandthsOfMinor, digits + 4)
            .setScale(digits + 2, RoundingMode.HALF_UP)
            .stripTrailingZeros();
    return price.setScale(Math.max(digits, price.scale())).toPlainString()
        + " "
        + currency.getCurrencyCode();
  }
}
