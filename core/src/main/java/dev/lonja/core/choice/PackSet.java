package dev.lonja.core.choice;

import dev.lonja.core.item.ItemId;
import dev.lonja.core.quantity.Money;
import dev.lonja.core.quantity.Quantity;
import dev.lonja.core.quantity.UnitPrice;
import dev.lonja.core.quantity.Volume;
import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * Packs that cover a need, and what becomes of what is left over.
 *
 * @param counts the kinds taken with how many of each, the largest packs first
 * @param usedInTime of the litres left over
 * @param wastedSealed litres that would outlive their shelf life even if nothing were opened
 */
public record PackSet(
    List<Count> counts, Volume need, Volume total, Volume usedInTime, Volume wastedSealed) {

  private static final Comparator<Count> LARGEST_FIRST =
      Comparator.comparing((Count count) -> count.pack().litres())
          .reversed()
          .thenComparing(count -> count.pack().origin());

  /** So many of a kind. */
  public record Count(Pack pack, int packs) {}

  /** Something left over: litres that keep for so many days. */
  private record Left(int days, long microlitres) {}

  static PackSet of(List<Count> counts, Volume need, FutureUse use) {
    List<Count> taken =
        counts.stream().filter(count -> count.packs() > 0).sorted(LARGEST_FIRST).toList();
    long total = taken.stream().mapToLong(c -> c.packs() * c.pack().litres().microlitres()).sum();
    long over = total - need.microlitres();
    long usedSealed = usedOf(leftovers(taken, over, false), use);
    return new PackSet(
        taken,
        need,
        new Volume(total),
        new Volume(usedOf(leftovers(taken, over, true), use)),
        new Volume(over - usedSealed));
  }

  /** What is bought beyond the need. */
  public Volume over() {
    return total.minus(need);
  }

  /** What all packs cost together. */
  public Money paid() {
    Money paid = Money.zero(counts.get(0).pack().price().currency());
    for (Count count : counts) {
      long minor = Math.multiplyExact(count.pack().price().minor(), (long) count.packs());
      paid = paid.plus(new Money(minor, paid.currency()));
    }
    return paid;
  }

  /** How many packs they are, of whatever kind. */
  public int packs() {
    return counts.stream().mapToInt(Count::packs).sum();
  }

  /**
   * What of the need comes from each item, the largest packs first: whole packs are poured out, and
   * what is left over stays in the smallest.
   */
  public Map<ItemId, Quantity> amounts() {
    Map<ItemId, Quantity> amounts = new LinkedHashMap<>();
    for (int i = 0; i < counts.size(); i++) {
      Count count = counts.get(i);
      Quantity all = Quantity.of(count.pack().litres()).times(BigDecimal.valueOf(count.packs()));
      boolean smallest = i == counts.size() - 1;
      amounts.merge(
          count.pack().origin().item(),
          smallest ? all.minus(Quantity.of(over())) : all,
          Quantity::plus);
    }
    return amounts;
  }

  /** What a litre costs that is used in time. */
  public UnitPrice pricePerLitreUsed() {
    return UnitPrice.average(paid(), Quantity.of(need.plus(usedInTime)));
  }

  /**
   * True if a pack could be left out, or all of a kind, and the rest would still cover the need.
   */
  boolean holdsTooMuch() {
    long over = over().microlitres();
    return counts.stream()
        .anyMatch(
            count -> {
              long one = count.pack().litres().microlitres();
              boolean mayLessen = count.packs() > count.pack().least();
              return (mayLessen && one <= over) || one * count.packs() <= over;
            });
  }

  /**
   * What is left over: whole packs of the kinds that keep longest, and the rest of one pack, which
   * is open and keeps as the kind with the shortest opened life does.
   */
  private static List<Left> leftovers(List<Count> taken, long over, boolean opened) {
    List<Left> left = new ArrayList<>();
    long rest = over;
    List<Count> longestFirst =
        taken.stream()
            .sorted(
                Comparator.comparing((Count c) -> days(c.pack().shelfDays()))
                    .thenComparing(c -> c.pack().litres())
                    .reversed())
            .toList();
    for (Count count : longestFirst) {
      long one = count.pack().litres().microlitres();
      long whole = Math.min(count.packs(), rest / one);
      if (whole > 0) {
        left.add(new Left(days(count.pack().shelfDays()), whole * one));
        rest -= whole * one;
      }
    }
    if (rest > 0) {
      Pack shortest =
          taken.stream()
              .map(Count::pack)
              .min(
                  Comparator.comparing((Pack p) -> days(p.openDays()))
                      .thenComparing(p -> days(p.shelfDays())))
              .orElseThrow();
      int sealed = days(shortest.shelfDays());
      left.add(new Left(opened ? Math.min(sealed, days(shortest.openDays())) : sealed, rest));
    }
    return left;
  }

  /** First expired, first used. */
  private static long usedOf(List<Left> left, FutureUse use) {
    long used = 0;
    for (Left lot : left.stream().sorted(Comparator.comparing(Left::days)).toList()) {
      long most = use.within(lot.days()).microlitres() - used;
      used += Math.min(lot.microlitres(), Math.max(0, most));
    }
    return used;
  }

  private static int days(Optional<Integer> days) {
    return days.orElse(FutureUse.EVER);
  }
}
