package dev.lonja.core.transfer;

import dev.lonja.core.place.Place;
import dev.lonja.core.quantity.Quantity;
import java.math.BigDecimal;
import java.time.LocalDate;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * What satellites are filled up with from the main store, before anything is ordered outside (rules
 * §8, <i>Places</i>).
 */
public final class Refill {

  private static final Comparator<Need> FIRST_TO_RUN_SHORT =
      Comparator.comparing((Need need) -> need.shortOn().orElse(LocalDate.MAX))
          .thenComparing(Need::name)
          .thenComparing(Need::place);

  private Refill() {}

  /**
   * How a satellite stands with one thing.
   *
   * @param name of the satellite
   * @param position free there, with what is on its way there or asked for
   * @param level below which it is filled up
   * @param upTo to so much; not below the level
   * @param shortOn the day on which it runs short; empty if it does not
   */
  public record Need(
      Place place,
      String name,
      Quantity position,
      Quantity level,
      Quantity upTo,
      Optional<LocalDate> shortOn) {

    public Need {
      if (upTo.compareTo(level) < 0) {
        throw new IllegalArgumentException(
            "up to " + upTo.display() + "; allowed is the level, " + level.display() + ", or more");
      }
    }

    /** True if it is to be filled up. */
    public boolean isBelow() {
      return position.compareTo(level) < 0;
    }
  }

  /**
   * By satellite, how much goes there; one that needs nothing, or for which nothing is left, is
   * absent. Where it does not suffice for all, whoever runs short first is filled up first, then by
   * name.
   *
   * @param spare what the main store has above its own level, zero or more
   * @param step what it goes in, above zero: one piece, or a pack. No satellite gets more than it
   *     is filled up to, unless one step more is needed to reach its level
   */
  public static Map<Place, Quantity> of(Quantity spare, Quantity step, List<Need> needs) {
    Map<Place, Quantity> filled = new LinkedHashMap<>();
    Quantity left = spare;
    for (Need need : needs.stream().sorted(FIRST_TO_RUN_SHORT).toList()) {
      if (need.isBelow()) {
        long room = steps(need.upTo().minus(need.position()), step, false);
        long least = steps(need.level().minus(need.position()), step, true);
        long there = steps(left, step, false);
        Quantity part = step.times(BigDecimal.valueOf(Math.min(Math.max(room, least), there)));
        if (part.isPositive()) {
          filled.put(need.place(), part);
          left = left.minus(part);
        }
      }
    }
    return filled;
  }

  private static long steps(Quantity quantity, Quantity step, boolean roundUp) {
    long whole = quantity.millionths() / step.millionths();
    boolean rest = quantity.millionths() % step.millionths() != 0;
    return roundUp && rest ? whole + 1 : whole;
  }
}
