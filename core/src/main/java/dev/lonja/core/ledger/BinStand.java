package dev.lonja.core.ledger;

import dev.lonja.core.item.ItemBin;
import dev.lonja.core.item.ItemId;
import dev.lonja.core.quantity.Quantity;
import java.math.BigDecimal;
import java.math.RoundingMode;
import java.time.LocalDate;
import java.util.EnumSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;

/**
 * What lies in one bin, held against what it is to hold.
 *
 * @param lots all of them with something in it
 * @param kept by item, the least and most that the bin is to hold of it; of most items nothing is
 *     said
 */
public record BinStand(List<StockedLot> lots, Map<ItemId, ItemBin> kept) {

  /** So many days before its last good one a lot is called expiring. */
  public static final int EXPIRING_DAYS = 90;

  private static final BigDecimal WHOLE = BigDecimal.valueOf(100);

  /** Something about a bin that somebody should see, the most pressing first. */
  public enum Mark {
    /** A lot in it is past its last good day. */
    EXPIRED,
    /** Less of something lies in it than is to be there. */
    BELOW_LEAST,
    /** A lot in it is good for {@value #EXPIRING_DAYS} days at most. */
    EXPIRING,
    /** Something in it is set aside. */
    SET_ASIDE,
    /** As much of something lies in it as it is to hold, or more. */
    FULL,
    /** Several things lie in it. */
    MIXED,
    /** Nothing lies in it. */
    EMPTY
  }

  public BinStand {
    lots = List.copyOf(lots);
    kept = Map.copyOf(kept);
  }

  /** By item in order of their ids, what lies in it, whatever its condition. */
  public Map<ItemId, Quantity> there() {
    Map<ItemId, Quantity> there = new TreeMap<>();
    lots.forEach(lot -> there.merge(lot.place().itemId(), lot.quantity(), Quantity::plus));
    return there;
  }

  /**
   * How full it is in per cent of the most that it is to hold, rounded down, 100 at most; of
   * several things the fullest. Empty if nothing is said of any.
   */
  public Optional<Integer> percent() {
    Map<ItemId, Quantity> there = there();
    return kept.entrySet().stream()
        .map(entry -> percent(there.get(entry.getKey()), entry.getValue()))
        .max(Integer::compare);
  }

  private static int percent(Quantity there, ItemBin bin) {
    return there == null
        ? 0
        : there
            .amount()
            .multiply(WHOLE)
            .divide(bin.most().amount(), 0, RoundingMode.DOWN)
            .min(WHOLE)
            .intValueExact();
  }

  /** What is to be seen of it. */
  public Set<Mark> marks(LocalDate today) {
    Set<Mark> marks = EnumSet.noneOf(Mark.class);
    Map<ItemId, Quantity> there = there();
    LocalDate soon = today.plusDays(EXPIRING_DAYS);
    for (StockedLot lot : lots) {
      if (lot.isExpired(today)) {
        marks.add(Mark.EXPIRED);
      } else if (lot.isExpired(soon)) {
        marks.add(Mark.EXPIRING);
      }
      if (lot.quarantined()) {
        marks.add(Mark.SET_ASIDE);
      }
    }
    kept.forEach(
        (item, bin) -> {
          Quantity lies = there.getOrDefault(item, Quantity.zero(bin.least().measure()));
          if (lies.compareTo(bin.least()) < 0) {
            marks.add(Mark.BELOW_LEAST);
          }
          if (lies.compareTo(bin.most()) >= 0) {
            marks.add(Mark.FULL);
          }
        });
    if (there.isEmpty()) {
      marks.add(Mark.EMPTY);
    } else if (there.size() > 1) {
      marks.add(Mark.MIXED);
    }
    return marks;
  }
}
