package dev.lonja.core.ledger;

import dev.lonja.core.item.ItemId;
import dev.lonja.core.quantity.Money;
import dev.lonja.core.quantity.Quantity;
import java.math.BigDecimal;
import java.time.LocalDate;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/**
 * Kits broken into their contents and made from them. The value goes along: what a broken kit was
 * worth is shared among its contents by what they are worth loose, each share rounded half up to
 * minor units, the last one taking the rest; a made kit is worth what its contents were.
 */
public final class KitBooking {

  private KitBooking() {}

  /**
   * Something that comes out of a kit.
   *
   * @param place where it goes
   * @param perKit pieces in one kit
   */
  public record Out(ItemStock stock, LotInBin place, int perKit) {}

  /**
   * Something that goes into a kit.
   *
   * @param perKit pieces in one kit
   * @param held what open trays hold of it
   */
  public record In(ItemStock stock, int perKit, Quantity held) {}

  /** What is booked, by item and in order; or every reason against it, by item. */
  public record Result(Map<ItemId, Booking> byItem) {

    /** True if any of its bookings is; then none is made. */
    public boolean isRefused() {
      return byItem.values().stream().anyMatch(Booking.Refused.class::isInstance);
    }
  }

  /** Takes {@code kits} out of stock and puts what is in them on the shelf. */
  public static Result broken(
      ItemStock kit, Quantity held, Quantity kits, List<Out> contents, LocalDate today) {
    Map<ItemId, Booking> byItem = new LinkedHashMap<>();
    Booking out = Ledger.pick(MovementKind.KIT_BROKEN, kit, kits, held, today);
    byItem.put(kit.itemId(), out);
    if (out instanceof Booking.Booked booked) {
      List<Money> shares =
          value(booked)
              .negated()
              .shared(contents.stream().map(content -> weight(content, kits)).toList());
      for (int i = 0; i < contents.size(); i++) {
        Out content = contents.get(i);
        byItem.put(
            content.stock().itemId(),
            Ledger.putIn(
                MovementKind.KIT_BROKEN,
                content.stock(),
                content.place(),
                pieces(content.perKit(), kits),
                shares.get(i)));
      }
    }
    return new Result(byItem);
  }

  /** Takes the contents of {@code kits} off the shelf and puts the kits at a place. */
  public static Result made(
      ItemStock kit, LotInBin place, Quantity kits, List<In> contents, LocalDate today) {
    Map<ItemId, Booking> byItem = new LinkedHashMap<>();
    Money worth = new Money(0, kit.value().currency());
    for (In content : contents) {
      Booking out =
          Ledger.pick(
              MovementKind.KIT_MADE,
              content.stock(),
              pieces(content.perKit(), kits),
              content.held(),
              today);
      byItem.put(content.stock().itemId(), out);
      if (out instanceof Booking.Booked booked) {
        worth = worth.plus(value(booked).negated());
      }
    }
    Result contentsOut = new Result(byItem);
    if (!contentsOut.isRefused()) {
      byItem.put(kit.itemId(), Ledger.putIn(MovementKind.KIT_MADE, kit, place, kits, worth));
    }
    return new Result(byItem);
  }

  private static Quantity pieces(int perKit, Quantity kits) {
    return kits.times(BigDecimal.valueOf(perKit));
  }

  private static Money value(Booking.Booked booked) {
    return booked.lines().stream()
        .map(MovementLine::value)
        .reduce(Money::plus)
        .orElseThrow(() -> new IllegalArgumentException("booked has no lines; one is needed"));
  }

  private static BigDecimal weight(Out content, Quantity kits) {
    return BigDecimal.valueOf(content.stock().average().tenThousandthsOfMinor())
        .multiply(pieces(content.perKit(), kits).amount());
  }
}
