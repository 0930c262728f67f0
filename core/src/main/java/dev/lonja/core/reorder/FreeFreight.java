package dev.lonja.core.reorder;

import dev.lonja.core.quantity.Money;
import java.math.BigDecimal;
import java.math.RoundingMode;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;

/**
 * Which lines to bring forward or to raise so that an order's freight becomes free (rules §8): of
 * all ways to fill it up the one that costs least to keep, at 18 % of its price a year for the days
 * that each pack comes before it would have been ordered anyway. Of several such the one worth
 * less, then the one that takes more of what comes first by name. Exact: the ways are built up
 * option by option, and one that brings less for as much is dropped. For some dozens of options of
 * some dozens of steps each.
 */
public final class FreeFreight {

  /** What keeping costs in a year, in per cent of the price. */
  public static final int KEEPING_PER_CENT = 18;

  private static final int WHOLE = 100;
  private static final int YEAR_DAYS = 365;

  private FreeFreight() {}

  /**
   * One more step of a line.
   *
   * @param minor what it costs, more than nothing
   * @param days before it would have been ordered anyway, 0 or more
   */
  public record Step(long minor, int days) {}

  /**
   * A line that can be brought forward or raised.
   *
   * @param steps that can only be taken one after the other
   */
  public record Option(String name, List<Step> steps) {
    public Option {
      steps = List.copyOf(steps);
    }
  }

  /**
   * What to take along.
   *
   * @param counts how many steps of each option
   * @param keeping what keeping it costs until it would have been ordered, rounded half up
   */
  public record Choice(List<Integer> counts, Money keeping) {}

  /** A way to fill an order up, of the options looked at so far. */
  private record Way(long minor, long minorDays, int[] counts) {

    private static final Comparator<Way> BEST_FIRST = Way::compare;

    /** By hand, since some thousands of ways are compared for each page of proposals. */
    private static int compare(Way a, Way b) {
      int cost = Long.compare(a.minorDays, b.minorDays);
      int worth = cost == 0 ? Long.compare(a.minor, b.minor) : cost;
      return worth == 0 ? Arrays.compare(b.counts, a.counts) : worth;
    }

    boolean costsLessThan(Money freight) {
      return minorDays * KEEPING_PER_CENT < freight.minor() * WHOLE * YEAR_DAYS;
    }

    Way with(int option, int count, long more, long moreDays) {
      int[] all = counts.clone();
      all[option] = count;
      return new Way(minor + more, minorDays + moreDays, all);
    }
  }

  /**
   * What to take along; empty if nothing reaches it, or keeping it costs as much as the freight.
   *
   * @param gap what the order lacks, more than nothing
   * @param freight that is saved
   */
  public static Optional<Choice> choose(List<Option> options, Money gap, Money freight) {
    List<Option> byName = new ArrayList<>(options);
    byName.sort(Comparator.comparing(Option::name));
    List<Way> ways = List.of(new Way(0, 0, new int[options.size()]));
    for (int i = 0; i < byName.size(); i++) {
      ways = undominated(grown(ways, i, byName.get(i), freight), gap.minor());
    }
    return ways.stream()
        .filter(way -> way.minor() >= gap.minor())
        .min(Way.BEST_FIRST)
        .map(way -> choice(way, options, byName, gap));
  }

  /** With one more option, as far as keeping costs less than the freight that it saves. */
  private static List<Way> grown(List<Way> ways, int place, Option option, Money freight) {
    List<Way> grown = new ArrayList<>();
    for (Way way : ways) {
      Way next = way;
      for (int count = 1; count <= option.steps().size() && next.costsLessThan(freight); count++) {
        grown.add(next);
        Step step = option.steps().get(count - 1);
        next = next.with(place, count, step.minor(), step.minor() * step.days());
      }
      if (next.costsLessThan(freight)) {
        grown.add(next);
      }
    }
    return grown;
  }

  /** Without those that bring no more for no less; beyond the gap more brings nothing. */
  private static List<Way> undominated(List<Way> ways, long gap) {
    ways.sort(
        (a, b) -> {
          int brings = Long.compare(Math.min(b.minor(), gap), Math.min(a.minor(), gap));
          return brings == 0 ? Way.compare(a, b) : brings;
        });
    List<Way> kept = new ArrayList<>();
    Optional<Way> best = Optional.empty();
    for (Way way : ways) {
      if (best.filter(b -> Way.BEST_FIRST.compare(b, way) <= 0).isEmpty()) {
        kept.add(way);
        best = Optional.of(way);
      }
    }
    return kept;
  }

  private static Choice choice(Way way, List<Option> options, List<Option> byName, Money gap) {
    List<Integer> counts = new ArrayList<>();
    options.forEach(option -> counts.add(way.counts()[byName.indexOf(option)]));
    BigDecimal keeping =
        BigDecimal.valueOf(way.minorDays() * KEEPING_PER_CENT)
            .divide(BigDecimal.valueOf((long) WHOLE * YEAR_DAYS), 0, RoundingMode.HALF_UP);
    return new Choice(List.copyOf(counts), new Money(keeping.longValueExact(), gap.currency()));
  }
}
