package dev.lonja.core.pour;

import dev.lonja.core.fleet.Capacity;
import dev.lonja.core.fleet.Compartment;
import dev.lonja.core.fleet.FillCondition;
import dev.lonja.core.quantity.Volume;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.LongSummaryStatistics;
import java.util.Optional;

/**
 * A capacity that recorded fills speak for against the book: the median of the last 5 in the same
 * condition, where there are 3 or more and it differs from the book by over 3 % (exactly 3 % is not
 * enough). Of a capacity that the book states as a range the lowest to the highest of those fills,
 * if that is narrower. A fill after which the level stood low or high says nothing. It is proposed
 * only; a person accepts it.
 *
 * @param proposed the middle fill; of four, the mean of the middle two, rounded half up to a
 *     microlitre; or the range of the fills
 * @param fills that it rests on, the latest first
 */
public record LearnedCapacity(
    Compartment compartment,
    FillCondition condition,
    Capacity book,
    Capacity proposed,
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
            .range(condition)
            .flatMap(book -> proposal(compartment, condition, book, fills))
            .ifPresent(proposals::add);
      }
    }
    return proposals;
  }

  private static Optional<LearnedCapacity> proposal(
      Compartment compartment, FillCondition condition, Capacity book, List<RecordedFill> all) {
    List<RecordedFill> latest =
        all.stream()
            .filter(fill -> fill.compartmentId().equals(compartment.id()))
            .filter(fill -> fill.condition() == condition)
            .filter(RecordedFill::wasRight)
            .sorted(
                Comparator.comparing(RecordedFill::day).thenComparing(RecordedFill::id).reversed())
            .limit(MOST_FILLS)
            .toList();
    if (latest.size() < LEAST_FILLS) {
      return Optional.empty();
    }
    return (book.isRange() ? narrower(book, latest) : middle(book, latest))
        .map(proposed -> new LearnedCapacity(compartment, condition, book, proposed, latest));
  }

  private static Optional<Capacity> narrower(Capacity book, List<RecordedFill> fills) {
    LongSummaryStatistics poured =
        fills.stream().mapToLong(fill -> fill.volume().microlitres()).summaryStatistics();
    long width = book.high().microlitres() - book.low().microlitres();
    return poured.getMax() - poured.getMin() < width
        ? Optional.of(new Capacity(new Volume(poured.getMin()), new Volume(poured.getMax())))
        : Optional.empty();
  }

  private static Optional<Capacity> middle(Capacity book, List<RecordedFill> fills) {
    Volume median = median(fills);
    long listed = book.low().microlitres();
    long off = Math.abs(median.microlitres() - listed);
    return Math.multiplyExact(off, 100) > Math.multiplyExact(listed, PER_CENT)
        ? Optional.of(Capacity.exactly(median))
        : Optional.empty();
  }

  private static Volume median(List<RecordedFill> fills) {
    long[] sorted = fills.stream().mapToLong(f -> f.volume().microlitres()).sorted().toArray();
    int middle = sorted.length / 2;
    return new Volume(
        sorted.length % 2 == 1 ? sorted[middle] : (sorted[middle - 1] + sorted[middle] + 1) / 2);
  }
}
