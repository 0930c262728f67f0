package dev.lonja.core.count;

import dev.lonja.core.quantity.Money;
import dev.lonja.core.quantity.Quantity;
import java.math.BigDecimal;

/** What a count comes to, held against the book (rules §12). */
public enum CountVerdict {
  AGREES,
  /** It differs, and a reason is enough. */
  DIFFERS,
  /** It differs by so much that somebody counts again. */
  COUNT_AGAIN;

  /** A difference up to so many per cent of the book needs no second count. */
  private static final BigDecimal PERCENT = new BigDecimal("0.02");

  /** Nor does one that is worth up to ten of the currency. */
  private static final long MAJOR = 10;

  /**
   * @param worth of the difference, by its size
   */
  public static CountVerdict of(Quantity counted, Quantity book, Money worth) {
    Quantity difference = counted.minus(book);
    if (difference.isZero()) {
      return AGREES;
    }
    Quantity size = difference.isNegative() ? difference.negated() : difference;
    boolean much = size.compareTo(book.times(PERCENT)) > 0;
    long unit =
        BigDecimal.TEN
            .pow(Math.max(0, worth.currency().getDefaultFractionDigits()))
            .longValueExact();
    boolean dear = Math.abs(worth.minor()) > MAJOR * unit;
    return much && dear ? COUNT_AGAIN : DIFFERS;
  }
}
