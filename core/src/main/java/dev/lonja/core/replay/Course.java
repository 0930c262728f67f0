package dev.lonja.core.replay;

import dev.lonja.core.quantity.Money;
import dev.lonja.core.quantity.Quantity;
import java.time.LocalDate;
import java.util.Currency;
import java.util.List;

/**
 * How it went with one thing.
 *
 * @param weeks one after the other, the first from the span's first day, the others from Monday
 * @param daysShort days that end with something owed
 * @param lacked what was not there when it was wanted, summed over the lines
 * @param lines that asked for it, and how many of them were served whole at once
 * @param stock what lay there at the ends of the weeks, in the mean
 * @param orders how many were placed, and what they cost
 */
public record Course(
    List<Week> weeks, int daysShort, Quantity lacked, Lines lines, Money stock, Orders orders) {

  public Course {
    weeks = List.copyOf(weeks);
  }

  /**
   * A week, or the part of one.
   *
   * @param monday its first day within the span
   * @param there at its end
   * @param owed at its end
   */
  public record Week(
      LocalDate monday,
      Quantity asked,
      Quantity ordered,
      Quantity came,
      Quantity there,
      Quantity owed) {}

  /** How many lines, and how many of them were served whole at once. */
  public record Lines(int all, int atOnce) {}

  /**
   * How many orders, and what they cost.
   *
   * @param dear what of it was paid above the lowest price, for what came sooner or in smaller
   *     packs
   */
  public record Orders(int count, Money cost, Money dear) {

    /** None. */
    public static Orders none(Currency currency) {
      return new Orders(0, Money.zero(currency), Money.zero(currency));
    }

    /** One more. */
    public Orders and(Money moreCost, Money moreDear) {
      return new Orders(count + 1, cost.plus(moreCost), dear.plus(moreDear));
    }
  }
}
