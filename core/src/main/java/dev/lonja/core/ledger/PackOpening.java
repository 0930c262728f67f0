package dev.lonja.core.ledger;

import dev.lonja.core.quantity.Quantity;
import java.time.LocalDate;
import java.util.Optional;

/**
 * A pack that has to be opened for an issue. Whole packs leave sealed; the part of one leaves from
 * an open container, which is a lot of its own and keeps what is left in it. What comes back of the
 * issue goes into the open container first.
 *
 * @param from the sealed lot that the pack is taken from
 * @param opened what is in the pack
 * @param poured the part of it that leaves
 */
public record PackOpening(StockedLot from, Quantity opened, Quantity poured) {

  /** What is left in the container. */
  public Quantity left() {
    return opened.minus(poured);
  }

  /**
   * The pack that an issue opens; empty if whole packs and containers that are open already do, or
   * if the issue is more than there is.
   *
   * @param pack what one holds, above zero
   */
  public static Optional<PackOpening> of(
      ItemStock stock, Quantity wanted, Quantity pack, LocalDate today) {
    Quantity left = wanted;
    for (StockedLot lot : Ledger.pickingList(stock, today)) {
      Quantity picked = lot.quantity().min(left);
      boolean inPart = picked.isPositive() && picked.compareTo(lot.quantity()) < 0;
      long rest = picked.millionths() % pack.millionths();
      if (inPart && rest > 0 && lot.openedOn().isEmpty()) {
        Quantity poured = new Quantity(wanted.measure(), rest);
        Quantity sealed = lot.quantity().minus(picked.minus(poured));
        return Optional.of(new PackOpening(lot, pack.min(sealed), poured));
      }
      left = left.minus(picked);
    }
    return Optional.empty();
  }

  /**
   * The issue with the opening booked before it; refused as any issue is.
   *
   * @param openLot the lot of the open container
   */
  public Booking issue(
      ItemStock stock, Quantity wanted, Quantity held, LocalDate today, LotId openLot) {
    Optional<Refusal> refusal = Ledger.refusalOfIssue(stock, wanted, held, today);
    if (refusal.isPresent()) {
      return Booking.refused(refusal.get());
    }
    LotInBin container = new LotInBin(stock.itemId(), openLot, from.place().binId());
    RunningValue running = new RunningValue(stock);
    Quantity left = wanted;
    for (StockedLot lot : Ledger.pickingList(stock, today)) {
      Quantity picked = lot.quantity().min(left);
      left = left.minus(picked);
      Quantity sealed = lot.equals(from) ? picked.minus(poured) : picked;
      if (sealed.isPositive()) {
        running.out(MovementKind.ISSUE, lot.place(), sealed);
      }
    }
    running.move(MovementKind.OPENED, from.place(), container, opened);
    running.out(MovementKind.ISSUE, container, poured);
    return running.booked();
  }
}
