package dev.lonja.core.ledger;

import dev.lonja.core.place.BinId;
import dev.lonja.core.quantity.Quantity;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;

/**
 * Where what comes is put: first home, then into other bins that are to hold it, then where it lies
 * already, then into the empty bin nearest to its home.
 */
public final class PutAway {

  private PutAway() {}

  /** Why a bin is proposed, the best first. */
  public enum Why {
    HOME,
    /** It is to hold some of it. */
    KEPT,
    /** Some of it lies there. */
    SAME,
    /** Nothing lies there, and nothing is at home there. */
    EMPTY,
    /** Nowhere is room left: its home takes the rest all the same. */
    NO_ROOM
  }

  /**
   * A bin that may take it.
   *
   * @param walk its place on the walk
   * @param why never {@link Why#NO_ROOM}
   * @param there how much of it lies there
   * @param most how much the bin is to hold of it; empty if nothing is said, and any amount fits
   */
  public record Shelf(BinId bin, int walk, Why why, Quantity there, Optional<Quantity> most) {
    private Quantity takes(Quantity coming) {
      return most.map(room -> room.minus(there).atLeastZero().min(coming)).orElse(coming);
    }
  }

  /** How much of it goes where. */
  public record Part(BinId bin, Quantity quantity, Why why) {}

  /**
   * Shares out what comes over bins; the parts add up to it.
   *
   * @param coming more than zero
   * @param shelves at least one; the best of them takes what none has room for
   */
  public static List<Part> of(Quantity coming, List<Shelf> shelves) {
    Shelf home =
        shelves.stream()
            .min(Comparator.comparing(Shelf::why).thenComparing(Shelf::walk))
            .orElseThrow(() -> new IllegalArgumentException("no shelves; allowed are 1 or more"));
    List<Shelf> best =
        shelves.stream()
            .sorted(
                Comparator.comparing(Shelf::why)
                    .thenComparing(shelf -> Math.abs(shelf.walk() - home.walk()))
                    .thenComparing(Shelf::walk))
            .toList();
    List<Part> parts = new ArrayList<>();
    Quantity left = coming;
    for (Shelf shelf : best) {
      Quantity taken = shelf.takes(left);
      if (taken.isPositive()) {
        parts.add(new Part(shelf.bin(), taken, shelf.why()));
        left = left.minus(taken);
      }
    }
    if (left.isPositive()) {
      parts.add(new Part(home.bin(), left, Why.NO_ROOM));
    }
    return parts;
  }
}
