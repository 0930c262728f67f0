package dev.lonja.core.grade;

import dev.lonja.core.quantity.Temperature;
import java.time.Month;
import java.util.EnumSet;
import java.util.Set;
import java.util.TreeSet;

/** When and where a fluid has to serve. */
public sealed interface Window {

  /** Some months of a store's year; at least one. */
  record Months(Climate climate, Set<Month> months) implements Window {
    public Months {
      if (months.isEmpty()) {
        throw new IllegalArgumentException("months are none; allowed is at least one");
      }
      months = new TreeSet<>(months);
    }
  }

  /** One range whatever the season, such as a cold room; both ends included. */
  record Range(Temperature lowest, Temperature highest) implements Window {
    public Range {
      if (lowest.compareTo(highest) > 0) {
        throw new IllegalArgumentException(
            "lowest is " + lowest.display() + "; allowed is at most " + highest.display());
      }
    }
  }

  /** The whole year. */
  static Window year(Climate climate) {
    return new Months(climate, EnumSet.allOf(Month.class));
  }
}
