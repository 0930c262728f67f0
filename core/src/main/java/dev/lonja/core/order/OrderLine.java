package dev.lonja.core.order;

import dev.lonja.core.item.Item;
import dev.lonja.core.quantity.Money;
import dev.lonja.core.quantity.Quantity;
import dev.lonja.core.quantity.UnitPrice;
import java.time.LocalDate;
import java.util.Optional;

/**
 * One item of an order.
 *
 * @param theirNumber what the supplier calls it; may be empty
 * @param ordered more than nothing
 * @param price for a piece, litre or kilogram, as it was asked for, and {@code said} what the
 *     supplier said since
 * @param fate what has become of it
 */
public record OrderLine(
    OrderLineId id,
    Item item,
    String theirNumber,
    Quantity ordered,
    Quantity pack,
    UnitPrice price,
    Optional<UnitPrice> said,
    Fate fate) {

  /**
   * What has become of a line.
   *
   * @param promisedOn when it is to be there; empty while it is not sent
   * @param isConfirmed true if the supplier has said yes to it
   * @param received so far, less what was booked back
   * @param givenUp what will not come any more, {@code why} nobody waits for it
   */
  public record Fate(
      Optional<LocalDate> promisedOn,
      boolean isConfirmed,
      Quantity received,
      Quantity givenUp,
      String why) {}

  /** What is still to come, zero or more; what came beyond what was ordered counts for nothing. */
  public Quantity outstanding() {
    return ordered.minus(fate.givenUp()).minus(fate.received()).atLeastZero();
  }

  /** The price that holds: the last that was said. */
  public UnitPrice holds() {
    return said.orElse(price);
  }

  /** What so much as was ordered costs at the price that holds, less what will not come. */
  public Money cost() {
    return holds().valueOf(ordered.minus(fate.givenUp()).atLeastZero());
  }

  /** True if it was to be there before today and is not. */
  public boolean isOverdue(LocalDate today) {
    return outstanding().isPositive()
        && fate.promisedOn().filter(day -> day.isBefore(today)).isPresent();
  }
}
