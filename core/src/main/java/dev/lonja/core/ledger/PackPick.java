package dev.lonja.core.ledger;

import dev.lonja.core.quantity.Quantity;
import java.time.LocalDate;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Deque;
import java.util.List;

/**
 * From what a fluid is taken, as an issue will take it: in the order of the picking list, in which
 * of two that are good equally long the open one comes first; no new pack is opened while one that
 * comes before it holds enough.
 *
 * @param from the lot
 * @param kind whether it is open, leaves whole or is opened for this
 * @param quantity above zero
 * @param packs how many leave whole; 0 unless they do
 */
public record PackPick(StockedLot from, Kind kind, Quantity quantity, int packs) {

  /** In which state a pack is taken. */
  public enum Kind {
    /** Already open, or opened for something before it. */
    OPEN,
    WHOLE,
    /** Sealed until now. */
    OPENED
  }

  /** What is left in a lot, or in a pack that was opened. */
  private record Container(StockedLot lot, Quantity left, boolean open) {}

  /**
   * What each of several amounts is taken from, one after the other; what is not there is left out.
   *
   * @param pack what one holds, above zero
   */
  public static List<List<PackPick>> of(
      List<StockedLot> lots, List<Quantity> wanted, Quantity pack, LocalDate today) {
    Deque<Container> containers = new ArrayDeque<>();
    lots.stream()
        .filter(lot -> lot.mayBeIssued(today) && lot.quantity().isPositive())
        .sorted(StockedLot.PICKING_ORDER)
        .forEach(
            lot -> containers.add(new Container(lot, lot.quantity(), lot.openedOn().isPresent())));
    return wanted.stream().map(amount -> pick(containers, amount, pack)).toList();
  }

  private static List<PackPick> pick(Deque<Container> containers, Quantity wanted, Quantity pack) {
    List<PackPick> picks = new ArrayList<>();
    Quantity left = wanted;
    while (left.isPositive() && !containers.isEmpty()) {
      Container next = containers.removeFirst();
      Quantity taken = next.left().min(left);
      left = left.minus(taken);
      Quantity kept = next.left().minus(taken);
      if (next.open()) {
        picks.add(new PackPick(next.lot(), Kind.OPEN, taken, 0));
        keep(containers, next.lot(), kept, true);
      } else {
        Quantity rest = new Quantity(pack.measure(), taken.millionths() % pack.millionths());
        boolean opens = rest.isPositive() && kept.isPositive();
        Quantity whole = opens ? taken.minus(rest) : taken;
        if (whole.isPositive()) {
          picks.add(new PackPick(next.lot(), Kind.WHOLE, whole, packs(whole, pack)));
        }
        if (opens) {
          picks.add(new PackPick(next.lot(), Kind.OPENED, rest, 0));
          Quantity inIt = pack.minus(rest).min(kept);
          keep(containers, next.lot(), kept.minus(inIt), false);
          keep(containers, next.lot(), inIt, true);
        } else {
          keep(containers, next.lot(), kept, false);
        }
      }
    }
    return picks;
  }

  private static void keep(
      Deque<Container> containers, StockedLot lot, Quantity left, boolean open) {
    if (left.isPositive()) {
      containers.addFirst(new Container(lot, left, open));
    }
  }

  /** The last of a lot may be less than a pack. */
  private static int packs(Quantity whole, Quantity pack) {
    return Math.toIntExact((whole.millionths() + pack.millionths() - 1) / pack.millionths());
  }
}
