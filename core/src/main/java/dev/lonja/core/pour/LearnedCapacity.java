package dev.lonja.core.pour;

import dev.lonja.core.fleet.Compartment;
import dev.lonja.core.fleet.FillCondition;
import dev.lonja.core.quantity.Volume;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;

/**
 * A capacity that recorded fills speak for against the book: the median of the last 5 in the same
 * condition, where there are 3 or more and it differs from the book by over 3 % (exactly 3 % is not
 * enough). It is proposed only; a person accepts it.
 *
 * @param median the middle fill; of four, the mean of the middle two, rounded half up to a
 *     microlitre
 * @param fills that it rests on, the latest first
 */
public record LearnedCapacity(
    Compartment compartment,
    FillCondition condition,
    Volume book,
    Volume median,
    List<RecordedFill> fills) {

  private static final int MOST_FILLS = 5;
  private static final int LEAST_FILLS = 3;
  private static final int PER_CENT = 3;

  public LearnedCapacity {
    fills = List.copyOf(fills);
  }

  /** What the fills of one unit, in any order, propose for its compartments. */
  public static List<LearnedCapacity> proposals(
      List<Compartment> compartments, List<RecordedFill> fills) {
    List<LearnedCapacity> proposals = new ArrayList<>();
    for (Compartment compartment : compartments) {
      for (FillCondition condition : FillCondition.values()) {
        compartment
            .capacity(condition)
            .flatMap(book -> proposal(compartment, condition, book, fills))
            .ifPresent(proposals::add);
      }
    }
    return proposals;
  }

  private static Optional<LearnedCapacity> proposal(
      Compartment compartment, FillCondition condition, Volume book, List<RecordedFill> all) {
    List<RecordedFill> latest =
        all.stream()
            .filter(fill -> fill.compartmentId().equals(compartment.id()))
            .filter(fill -> fill.condition() == condition)
            .sorted(
                Comparator.comparing(RecordedFill::day).thenComparing(RecordedFill::id).reversed())
            .limit(MOST_FILLS)
            .toList();
    if (latest.size() < LEAST_FILLS) {
      return Optional.empty();
    }
    Volume median = median(latest);
    long off = Math.abs(median.microlitres() - book.microlitres());
    return Math.multiplyExact(off, 100) > Math.multiplyExact(book.microlitres(), PER_CENT)
        ? Optional.of(new LearnedCapacity(compartment, condition, book, median, latest))
        : Optional.empty();
  }

  private static Volume median(List<RecordedFill> fills) {
    long[] sorted = fills.stream().mapToLong(f -> f.volume().microlitres()).sorted().toArray();
    int middle = sorted.length / 2;
    return new Volume(
        sorted.length % 2 == 1 ? sorted[middle] : (sorted[middle - 1] + sorted[middle] + 1) / 2);
  }
}
