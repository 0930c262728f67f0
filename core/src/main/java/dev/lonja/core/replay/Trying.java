package dev.lonja.core.replay;

import dev.lonja.core.quantity.Money;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * Chooses among ways of ordering by how each would have done over the same past: the fewest lines
 * that waited, then the fewest days short, then the least money on the shelf in the mean, then the
 * fewest orders.
 */
public final class Trying {

  private Trying() {}

  /** How one way did over several things. */
  public record Score(int waited, int daysShort, Money stock, int orders) {

    /** Of several things together; there is one at least. */
    public static Score of(List<Course> courses) {
      return courses.stream().map(Score::of).reduce(Score::and).orElseThrow();
    }

    private static Score of(Course course) {
      return new Score(
          course.lines().all() - course.lines().atOnce(),
          course.daysShort(),
          course.stock(),
          course.orders().count());
    }

    private Score and(Score other) {
      return new Score(
          waited + other.waited,
          daysShort + other.daysShort,
          stock.plus(other.stock),
          orders + other.orders);
    }
  }

  private static final Comparator<Score> BEST_FIRST =
      Comparator.comparingInt(Score::waited)
          .thenComparingInt(Score::daysShort)
          .thenComparing(score -> score.stock().minor())
          .thenComparingInt(Score::orders);

  /**
   * The way that did best; empty if none did better than the usual one.
   *
   * @param usual one of the ways
   * @param scores by way
   */
  public static <W> Optional<W> better(W usual, Map<W, Score> scores) {
    return scores.entrySet().stream()
        .min(
            Map.Entry.<W, Score>comparingByValue(BEST_FIRST)
                .thenComparing(entry -> !entry.getKey().equals(usual)))
        .map(Map.Entry::getKey)
        .filter(best -> !best.equals(usual));
  }
}
