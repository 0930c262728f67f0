package dev.lonja.core.ledger;

import dev.lonja.core.item.ItemId;
import dev.lonja.core.quantity.Money;
import dev.lonja.core.quantity.Quantity;
import dev.lonja.core.quantity.UnitPrice;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * Quantity, value and moving average of one item while the lines of a booking are laid down one
 * after the other. The last piece takes the rest of the value, and the value never falls below
 * zero.
 */
final class RunningValue {

  private final ItemId itemId;
  private Quantity quantity;
  private Money value;
  private UnitPrice average;
  private final List<MovementLine> lines = new ArrayList<>();

  RunningValue(ItemStock stock) {
    this.itemId = stock.itemId();
    this.quantity = stock.onHand();
    this.value = stock.value();
    this.average = stock.average();
  }

  /** Takes {@code amount} (positive) out at the moving average. */
  void out(MovementKind kind, LotInBin place, Quantity amount) {
    Money atAverage = average.valueOf(amount);
    add(kind, place, amount.negated(), atAverage.negated(), Optional.empty());
  }

  /** Puts {@code amount} in at the moving average. */
  void inAtAverage(MovementKind kind, LotInBin place, Quantity amount) {
    add(kind, place, amount, average.valueOf(amount), Optional.empty());
  }

  /** Moves {@code amount} from one place to another with its value at the moving average. */
  void move(MovementKind kind, LotInBin from, LotInBin to, Quantity amount) {
    Money atAverage = average.valueOf(amount);
    lines.add(
        new MovementLine(
            kind, own(from), amount.negated(), atAverage.negated(), average, Optional.empty()));
    lines.add(new MovementLine(kind, own(to), amount, atAverage, average, Optional.empty()));
  }

  private LotInBin own(LotInBin place) {
    if (!place.itemId().equals(itemId)) {
      throw new IllegalArgumentException(
          "place is a lot of item " + place.itemId() + "; allowed is one of item " + itemId);
    }
    return place;
  }

  /** Adds a signed line of a stated value, which the rules of the last piece may still change. */
  void add(
      MovementKind kind, LotInBin place, Quantity change, Money stated, Optional<Long> refersTo) {
    quantity = quantity.plus(change);
    Money booked = bookedValue(stated);
    value = value.plus(booked);
    if (kind.setsAverage(change) && quantity.isPositive()) {
      average = UnitPrice.average(value, quantity);
    }
    lines.add(new MovementLine(kind, own(place), change, booked, average, refersTo));
  }

  private Money bookedValue(Money stated) {
    boolean wouldGoBelowZero = value.plus(stated).minor() < 0;
    return quantity.isZero() || wouldGoBelowZero ? value.negated() : stated;
  }

  Booking booked() {
    return new Booking.Booked(lines);
  }
}
