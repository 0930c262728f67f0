package dev.lonja.core.forecast;

import dev.lonja.core.item.ItemId;
import dev.lonja.core.place.Place;
import dev.lonja.core.quantity.Quantity;
import java.math.BigDecimal;
import java.math.RoundingMode;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * What is used of an item at one place beside services (rules §7): breakdowns, clips, bulbs, what
 * the workshop itself uses, in each of the whole weeks that are looked back on.
 *
 * @param weeks the oldest first, those without use too; none below zero
 * @param issues how many there were
 */
public record UnplannedUse(ItemId itemId, Place place, List<Quantity> weeks, int issues) {

  /** Further back nobody looks. */
  public static final int MOST_WEEKS = 104;

  /** Of an item that is younger, so many weeks are looked at all the same. */
  public static final int LEAST_WEEKS = 26;

  /** With fewer issues nothing is forecast. */
  public static final int LEAST_ISSUES = 3;

  private static final int DAYS = 7;

  public UnplannedUse {
    weeks = List.copyOf(weeks);
  }

  /** An issue that belongs to no occurrence, on its day, less what came back of it. */
  public record Issue(LocalDate day, Quantity left) {}

  /**
   * The use of one item at a place in the last 104 whole weeks, or in those since its first
   * movement, 26 at least. Issues of which all came back are none. Empty with fewer than three.
   *
   * @param firstMovement of the item there, on any day
   */
  public static Optional<UnplannedUse> of(
      ItemId item, Place place, List<Issue> issues, LocalDate firstMovement, LocalDate today) {
    LocalDate monday = IsoWeek.of(today).monday();
    long since = ChronoUnit.DAYS.between(IsoWeek.of(firstMovement).monday(), monday) / DAYS;
    int count = (int) Math.max(LEAST_WEEKS, Math.min(MOST_WEEKS, since));
    LocalDate first = monday.minusDays((long) DAYS * count);
    List<Issue> counted =
        issues.stream()
            .filter(issue -> issue.left().isPositive())
            .filter(issue -> !issue.day().isBefore(first) && issue.day().isBefore(monday))
            .toList();
    if (counted.size() < LEAST_ISSUES) {
      return Optional.empty();
    }
    List<Quantity> weeks = new ArrayList<>();
    for (int i = 0; i < count; i++) {
      weeks.add(Quantity.zero(counted.get(0).left().measure()));
    }
    for (Issue issue : counted) {
      int week = (int) (ChronoUnit.DAYS.between(first, issue.day()) / DAYS);
      weeks.set(week, weeks.get(week).plus(issue.left()));
    }
    return Optional.of(new UnplannedUse(item, place, weeks, counted.size()));
  }

  /** What all these weeks used together. */
  private Quantity sum() {
    return weeks.stream().reduce(Quantity::plus).orElseThrow();
  }

  /**
   * What a week is expected to use: the mean, rounded half up to a millionth; of the week that
   * holds today the part from today on.
   */
  Quantity expected(IsoWeek week, LocalDate today) {
    long days =
        week.monday().isBefore(today) ? ChronoUnit.DAYS.between(today, week.sunday()) + 1 : DAYS;
    BigDecimal mean =
        sum()
            .amount()
            .multiply(BigDecimal.valueOf(days))
            .divide(BigDecimal.valueOf((long) DAYS * weeks.size()), 6, RoundingMode.HALF_UP);
    return Quantity.of(weeks.get(0).measure(), mean);
  }

  /** The plan line of it: each week's on its Monday, or today. */
  public List<Demand> demands(LocalDate today, int horizon) {
    List<Demand> demands = new ArrayList<>();
    for (int i = 0; i < horizon; i++) {
      IsoWeek week = IsoWeek.of(today).plusWeeks(i);
      Quantity expected = expected(week, today);
      if (expected.isPositive()) {
        demands.add(new UnplannedDemand(this, i == 0 ? today : week.monday(), expected));
      }
    }
    return demands;
  }
}
