package dev.lonja.core.grade;

import dev.lonja.core.quantity.Temperature;
import java.time.Month;
import java.util.List;

/**
 * The temperature year of a store.
 *
 * @param months January first, twelve in all
 */
public record Climate(List<MonthRange> months) {

  /**
   * The lowest and the highest ambient temperature of a month, the lowest not above the highest.
   */
  public record MonthRange(Temperature lowest, Temperature highest) {
    public MonthRange {
      if (lowest.compareTo(highest) > 0) {
        throw new IllegalArgumentException(
            "lowest is " + lowest.display() + "; allowed is at most " + highest.display());
      }
    }
  }

  public Climate {
    months = List.copyOf(months);
    if (months.size() != 12) {
      throw new IllegalArgumentException("months are " + months.size() + "; allowed are 12");
    }
  }

  public MonthRange of(Month month) {
    return months.get(month.getValue() - 1);
  }
}
