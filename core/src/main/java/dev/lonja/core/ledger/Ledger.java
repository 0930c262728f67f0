package dev.lonja.core.ledger;

import dev.lonja.core.place.BinId;
import dev.lonja.core.quantity.Limits;
import dev.lonja.core.quantity.Money;
import dev.lonja.core.quantity.Quantity;
import java.math.BigDecimal;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;

/**
 * Bookings on the stock of one item. Each either yields the lines to write or refuses whole, naming
 * every reason; nothing is ever issued below zero. Values are signed like their quantities and
 * rounded half away from zero to the minor unit; the average cost changes at receipts, returns and
 * corrections.
 */
public final class Ledger {

  private Ledger() {}

  /** Receives {@code quantity} worth {@code cost} in all. */
  public static Booking receive(ItemStock stock, LotInBin place, Quantity quantity, Money cost) {
    return refusalOfAmount(quantity)
        .or(() -> refusalOfPrice(quantity, cost))
        .<Booking>map(Booking::refused)
        .orElseGet(() -> putIn(MovementKind.RECEIPT, stock, place, quantity, cost));
  }

  /**
   * Puts a part that came off a machine on the shelf.
   *
   * @param stock in the condition that it is in, which is not new
   * @param worth of all of it, zero unless somebody states one
   */
  public static Booking salvage(ItemStock stock, LotInBin place, Quantity quantity, Money worth) {
    if (stock.condition() == LotCondition.NEW) {
      throw new IllegalArgumentException(
          "condition of what is salvaged is NEW; allowed are USED_GOOD and TO_RECONDITION");
    }
    return refusalOfAmount(quantity)
        .or(() -> refusalOfPrice(quantity, worth))
        .<Booking>map(Booking::refused)
        .orElseGet(() -> putIn(MovementKind.SALVAGE, stock, place, quantity, worth));
  }

  /** Why so much may not cost so much; empty if it may. */
  static Optional<Refusal> refusalOfPrice(Quantity quantity, Money cost) {
    BigDecimal most = quantity.amount().multiply(BigDecimal.valueOf(Limits.PRICE_MINOR));
    return BigDecimal.valueOf(cost.minor()).compareTo(most) > 0
        ? Optional.of(
            new Refusal.TooDear(cost, quantity, new Money(Limits.PRICE_MINOR, cost.currency())))
        : Optional.empty();
  }

  /** Puts {@code quantity} in at a stated worth; the average is worked out anew. */
  static Booking putIn(
      MovementKind kind, ItemStock stock, LotInBin place, Quantity quantity, Money worth) {
    Optional<Refusal> refusal = refusalOfAmount(quantity);
    if (refusal.isPresent()) {
      return Booking.refused(refusal.get());
    }
    RunningValue running = new RunningValue(stock);
    running.add(kind, place, quantity, worth, Optional.empty());
    return running.booked();
  }

  /**
   * Issues from usable lots, first expired first out, then oldest; lots without expiry last.
   *
   * @param held what open trays, other than the one this issue is for, hold of the item
   */
  public static Booking issue(ItemStock stock, Quantity wanted, Quantity held, LocalDate today) {
    return pick(MovementKind.ISSUE, stock, wanted, held, today);
  }

  /** Takes out of the lots of the picking list whatever it is for; whole or not at all. */
  static Booking pick(
      MovementKind kind, ItemStock stock, Quantity wanted, Quantity held, LocalDate today) {
    Optional<Refusal> refusal = refusalOfIssue(stock, wanted, held, today);
    if (refusal.isPresent()) {
      return Booking.refused(refusal.get());
    }
    RunningValue running = new RunningValue(stock);
    Quantity left = wanted;
    for (StockedLot lot : pickingList(stock, today)) {
      Quantity picked = lot.quantity().min(left);
      if (picked.isPositive()) {
        running.out(kind, lot.place(), picked);
        left = left.minus(picked);
      }
    }
    return running.booked();
  }

  /** Why so much may not be issued; empty if it may. */
  static Optional<Refusal> refusalOfIssue(
      ItemStock stock, Quantity wanted, Quantity held, LocalDate today) {
    Quantity free = stock.usable(today).minus(held).atLeastZero();
    return refusalOfAmount(wanted)
        .or(
            () ->
                wanted.compareTo(free) > 0
                    ? Optional.of(
                        new Refusal.NotEnough(
                            wanted, free, held, stock.expired(today), stock.quarantined()))
                    : Optional.empty());
  }

  /** Usable lots in the order in which they are picked. */
  public static List<StockedLot> pickingList(ItemStock stock, LocalDate today) {
    return stock.reached().stream()
        .filter(lot -> lot.mayBeIssued(today))
        .filter(lot -> lot.quantity().isPositive())
        .sorted(StockedLot.PICKING_ORDER)
        .toList();
  }

  /**
   * Takes back part or all of an issue, to the lots last picked first.
   *
   * @param issued the lines of the issue, in any order
   */
  public static Booking takeBack(ItemStock stock, List<PastMovement> issued, Quantity quantity) {
    return new ReturnOfIssue(issued, quantity).booking(stock);
  }

  /** Moves a quantity of one lot between bins; the value goes along and the average stays. */
  public static Booking transfer(ItemStock stock, LotInBin from, BinId toBinId, Quantity quantity) {
    Optional<Refusal> refusal =
        refusalOfAmount(quantity)
            .or(() -> refusalOfPresence(stock, from, quantity))
            .or(
                () ->
                    from.binId().equals(toBinId)
                        ? Optional.of(new Refusal.SameBin())
                        : Optional.empty());
    if (refusal.isPresent()) {
      return Booking.refused(refusal.get());
    }
    RunningValue running = new RunningValue(stock);
    running.move(MovementKind.TRANSFER, from, from.in(toBinId), quantity);
    return running.booked();
  }

  /**
   * Brings a quantity from one place to another: out of the lots of the picking list into a bin.
   * Whole or not at all; the value goes along and the average stays.
   *
   * @param stock reaching the bins of the place that gives
   * @param held what is spoken for there by others
   */
  public static Booking bring(
      ItemStock stock, Quantity quantity, Quantity held, BinId toBinId, LocalDate today) {
    Optional<Refusal> refusal = refusalOfIssue(stock, quantity, held, today);
    if (refusal.isPresent()) {
      return Booking.refused(refusal.get());
    }
    RunningValue running = new RunningValue(stock);
    Quantity left = quantity;
    for (StockedLot lot : pickingList(stock, today)) {
      Quantity picked = lot.quantity().min(left);
      if (picked.isPositive()) {
        running.move(MovementKind.TRANSFER, lot.place(), lot.place().in(toBinId), picked);
        left = left.minus(picked);
      }
    }
    return running.booked();
  }

  /**
   * Takes out what is lost, by adjustment: out of the lots of the picking list, at the moving
   * average. Whole or not at all.
   *
   * @param stock reaching the bins of the place that it was lost from
   */
  public static Booking lose(ItemStock stock, Quantity quantity, LocalDate today) {
    return pick(MovementKind.ADJUSTMENT, stock, quantity, Quantity.zero(stock.measure()), today);
  }

  /**
   * Moves a quantity of one lot into another lot of the item in the same bin: part of it is set
   * aside, or let go again. The value goes along and the average stays.
   */
  public static Booking split(ItemStock stock, LotInBin from, LotId toLotId, Quantity quantity) {
    Optional<Refusal> refusal =
        refusalOfAmount(quantity).or(() -> refusalOfPresence(stock, from, quantity));
    if (refusal.isPresent()) {
      return Booking.refused(refusal.get());
    }
    RunningValue running = new RunningValue(stock);
    LotInBin to = new LotInBin(from.itemId(), toLotId, from.binId());
    running.move(MovementKind.TRANSFER, from, to, quantity);
    return running.booked();
  }

  /** Throws away part of a lot; quarantined and expired lots may be scrapped. */
  public static Booking scrap(ItemStock stock, LotInBin place, Quantity quantity) {
    return takeOut(MovementKind.SCRAP, stock, place, quantity);
  }

  /** Takes part of one lot out at the moving average, whether it may be issued or not. */
  static Booking takeOut(MovementKind kind, ItemStock stock, LotInBin place, Quantity quantity) {
    Optional<Refusal> refusal =
        refusalOfAmount(quantity).or(() -> refusalOfPresence(stock, place, quantity));
    if (refusal.isPresent()) {
      return Booking.refused(refusal.get());
    }
    RunningValue running = new RunningValue(stock);
    running.out(kind, place, quantity);
    return running.booked();
  }

  /** Books the difference to what was counted of a lot in a bin; no line if the count agrees. */
  public static Booking count(ItemStock stock, LotInBin place, Quantity counted) {
    if (counted.isNegative()) {
      return Booking.refused(new Refusal.NotPositive(counted));
    }
    Optional<Refusal> refusal = refusalOfSize(counted);
    if (refusal.isPresent()) {
      return Booking.refused(refusal.get());
    }
    RunningValue running = new RunningValue(stock);
    change(running, MovementKind.COUNT, place, counted.minus(stock.at(place)));
    return running.booked();
  }

  /** Changes what lies at a place by a signed quantity, at the moving average. */
  public static Booking adjust(ItemStock stock, LotInBin place, Quantity change) {
    Quantity size = change.isNegative() ? change.negated() : change;
    Optional<Refusal> refusal =
        refusalOfAmount(size)
            .or(
                () ->
                    change.isNegative() ? refusalOfPresence(stock, place, size) : Optional.empty());
    if (refusal.isPresent()) {
      return Booking.refused(refusal.get());
    }
    RunningValue running = new RunningValue(stock);
    change(running, MovementKind.ADJUSTMENT, place, change);
    return running.booked();
  }

  /**
   * Undoes movements of which nothing came back yet, at the values they were booked with and what
   * invoices changed of those: one line, or both halves of a transfer, since half a transfer undone
   * would make stock out of nothing.
   */
  public static Booking correct(ItemStock stock, List<PastMovement> movements) {
    List<Refusal> refusals =
        movements.stream().flatMap(line -> refusalOfCorrection(stock, line).stream()).toList();
    if (!refusals.isEmpty()) {
      return new Booking.Refused(refusals);
    }
    RunningValue running = new RunningValue(stock);
    for (PastMovement line : movements) {
      running.add(
          MovementKind.CORRECTION,
          line.place(),
          line.quantity().negated(),
          line.value().plus(line.answeredValue()).negated(),
          Optional.of(line.id()));
    }
    return running.booked();
  }

  private static Optional<Refusal> refusalOfCorrection(ItemStock stock, PastMovement line) {
    if (line.kind() == MovementKind.CORRECTION) {
      return Optional.of(new Refusal.CorrectionOfCorrection(line.id()));
    }
    if (line.kind() == MovementKind.KIT_BROKEN || line.kind() == MovementKind.KIT_MADE) {
      return Optional.of(new Refusal.PartOfKit(line.id()));
    }
    if (line.kind() == MovementKind.OPENED) {
      return Optional.of(new Refusal.PackOpened(line.id()));
    }
    if (line.kind() == MovementKind.REVALUED) {
      return Optional.of(new Refusal.OfInvoice(line.id()));
    }
    if (!line.answeredQuantity().isZero()) {
      return Optional.of(new Refusal.AlreadyAnswered(line.id()));
    }
    return line.quantity().isPositive()
        ? refusalOfPresence(stock, line.place(), line.quantity())
        : Optional.empty();
  }

  /** Books more of one lot at the moving average. */
  static Booking more(ItemStock stock, LotInBin place, Quantity change, MovementKind kind) {
    Optional<Refusal> refusal = refusalOfAmount(change);
    if (refusal.isPresent()) {
      return Booking.refused(refusal.get());
    }
    RunningValue running = new RunningValue(stock);
    running.inAtAverage(kind, place, change);
    return running.booked();
  }

  private static void change(
      RunningValue running, MovementKind kind, LotInBin place, Quantity change) {
    if (change.isPositive()) {
      running.inAtAverage(kind, place, change);
    } else if (change.isNegative()) {
      running.out(kind, place, change.negated());
    }
  }

  static Optional<Refusal> refusalOfAmount(Quantity quantity) {
    if (!quantity.isPositive()) {
      return Optional.of(new Refusal.NotPositive(quantity));
    }
    return refusalOfSize(quantity);
  }

  private static Optional<Refusal> refusalOfSize(Quantity quantity) {
    Quantity most = Quantity.of(quantity.measure(), BigDecimal.valueOf(Limits.QUANTITY));
    if (quantity.compareTo(most) > 0) {
      return Optional.of(new Refusal.TooMuch(quantity, most));
    }
    return quantity.isCountable()
        ? Optional.empty()
        : Optional.of(new Refusal.NotCountable(quantity));
  }

  private static Optional<Refusal> refusalOfPresence(
      ItemStock stock, LotInBin place, Quantity quantity) {
    Quantity present = stock.at(place);
    return quantity.compareTo(present) > 0
        ? Optional.of(new Refusal.NotThere(quantity, present))
        : Optional.empty();
  }
}
