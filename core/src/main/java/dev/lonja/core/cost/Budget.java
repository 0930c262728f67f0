package dev.lonja.core.cost;

import dev.lonja.core.quantity.Money;
import java.math.BigDecimal;
import java.math.RoundingMode;
import java.time.LocalDate;
import java.time.Year;

/**
 * What the jobs of a year may cost.
 *
 * @param amount above zero
 */
public record Budget(int year, Money amount) {

  public Budget {
    if (amount.minor() <= 0) {
      throw new IllegalArgumentException("amount is " + amount.exactText() + "; allowed is more");
    }
  }

  /** What is left of it; below zero if more was spent. */
  public Money left(Money spent) {
    return amount.plus(spent.negated());
  }

  /**
   * The part of it for the days of its year up to {@code today}, that day included, rounded half up
   * to a minor unit: all of it once the year is over, nothing before it begins.
   */
  public Money upTo(LocalDate today) {
    int days = Year.of(year).length();
    int gone = today.getYear() < year ? 0 : today.getYear() > year ? days : today.getDayOfYear();
    BigDecimal part =
        BigDecimal.valueOf(amount.minor())
            .multiply(BigDecimal.valueOf(gone))
            .divide(BigDecimal.valueOf(days), 0, RoundingMode.HALF_UP);
    return new Money(part.longValueExact(), amount.currency());
  }
}
