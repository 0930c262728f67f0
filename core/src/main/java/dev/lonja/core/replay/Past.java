package dev.lonja.core.replay;

import dev.lonja.core.quantity.Quantity;
import dev.lonja.core.quantity.UnitPrice;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.Comparator;
import java.util.List;
import java.util.stream.Stream;

/**
 * What happened to one thing within a span, corrections netted on the day of what they correct.
 *
 * @param atStart what there was before the first day, zero or more
 * @param asked what was used, line by line, on the day on which it was wanted
 * @param changes what counts, scraps and the like added or took, whoever ordered what
 * @param came what was received
 * @param lines that stood short when they were wanted
 * @param worth of one, by which its stock is valued
 */
public record Past(
    Quantity atStart,
    List<On> asked,
    List<On> changes,
    List<On> came,
    List<ShortLine> lines,
    UnitPrice worth) {

  /** Between the first and the last movement lie so many days, or it is left out. */
  public static final int LEAST_DAYS = 56;

  /** So much, on a day. */
  public record On(LocalDate day, Quantity quantity) {}

  /**
   * A line that stood short.
   *
   * @param from the day on which it was wanted
   * @param until the day on which it was served or dropped; beyond the span if it was not
   */
  public record ShortLine(LocalDate from, LocalDate until, Quantity lacking) {}

  public Past {
    asked = inOrder(asked);
    changes = inOrder(changes);
    came = inOrder(came);
    lines = List.copyOf(lines);
  }

  private static List<On> inOrder(List<On> all) {
    return all.stream().sorted(Comparator.comparing(On::day)).toList();
  }

  /** True if enough days lie between its first and last movement to say anything of it. */
  public boolean saysEnough() {
    List<LocalDate> days =
        Stream.of(asked, changes, came).flatMap(List::stream).map(On::day).sorted().toList();
    return !days.isEmpty()
        && ChronoUnit.DAYS.between(days.get(0), days.get(days.size() - 1)) >= LEAST_DAYS;
  }
}
