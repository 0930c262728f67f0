package dev.lonja.core.ledger;

import dev.lonja.core.quantity.Money;
import dev.lonja.core.quantity.Quantity;
import dev.lonja.core.quantity.UnitPrice;
import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;

/**
 * Books what a delivery turned out to cost more or less than it was taken in for. Nothing moves:
 * every line has the quantity 0. The difference goes onto the delivery whole; from there the share
 * of each piece that has left the shelf goes on to the movement it left by, in order of entry, so
 * that the job it was used for costs it. What stays is the share of what is still on hand, and
 * makes the average anew. Shares are by quantity ({@link Money#shared}).
 */
public final class Revaluation {

  private Revaluation() {}

  /**
   * The lines to write: that of the delivery, then one for each movement that a share goes to.
   *
   * @param stock of the item as it is
   * @param receipt the delivery
   * @param lots the lots under whose code it lies, opened and set aside ones too
   * @param gone what left those lots for good, with what came back of it
   * @param difference signed; zero books nothing
   */
  public static Booking book(
      ItemStock stock,
      PastMovement receipt,
      Set<LotId> lots,
      List<PastMovement> gone,
      Money difference) {
    if (difference.minor() == 0) {
      return new Booking.Booked(List.of());
    }
    Optional<Refusal> tooDear =
        Ledger.refusalOfPrice(
            receipt.quantity(), receipt.value().plus(receipt.answeredValue()).plus(difference));
    if (tooDear.isPresent()) {
      return Booking.refused(tooDear.get());
    }
    Quantity onHand =
        stock.lots().stream()
            .filter(lot -> lots.contains(lot.place().lotId()))
            .map(StockedLot::quantity)
            .reduce(Quantity.zero(stock.measure()), Quantity::plus);
    List<PastMovement> out =
        gone.stream()
            .filter(movement -> movement.stillOut().isPositive())
            .sorted(Comparator.comparing(PastMovement::id))
            .toList();
    List<Money> shares = shares(difference, out, onHand);
    Money stays = onHand.isZero() ? Money.zero(difference.currency()) : shares.get(out.size());
    Money worth = stock.value().plus(stays);
    if (worth.minor() < 0) {
      return Booking.refused(new Refusal.WorthBelowNothing(stock.value(), stays));
    }
    UnitPrice average =
        stock.onHand().isPositive() ? UnitPrice.average(worth, stock.onHand()) : stock.average();
    List<MovementLine> lines = new ArrayList<>();
    lines.add(line(stock, receipt, difference, average));
    for (int i = 0; i < out.size(); i++) {
      if (shares.get(i).minor() != 0) {
        lines.add(line(stock, out.get(i), shares.get(i).negated(), average));
      }
    }
    return new Booking.Booked(lines);
  }

  private static List<Money> shares(Money difference, List<PastMovement> out, Quantity onHand) {
    List<BigDecimal> weights =
        Stream.concat(out.stream().map(PastMovement::stillOut), Stream.of(onHand))
            .filter(Quantity::isPositive)
            .map(Quantity::amount)
            .toList();
    if (weights.isEmpty()) {
      throw new IllegalStateException(
          "nothing of the delivery is on hand and nothing left; one of both is needed");
    }
    return difference.shared(weights);
  }

  private static MovementLine line(
      ItemStock stock, PastMovement answered, Money value, UnitPrice average) {
    return new MovementLine(
        MovementKind.REVALUED,
        answered.place(),
        Quantity.zero(stock.measure()),
        value,
        average,
        Optional.of(answered.id()));
  }
}
