package dev.lonja.core.order;

import dev.lonja.core.quantity.Money;
import dev.lonja.core.supplier.Supplier;
import java.time.LocalDate;
import java.util.Currency;
import java.util.List;
import java.util.Optional;

/**
 * What is ordered of one supplier at once. How far it is follows from its lines.
 *
 * @param note for the supplier; may be empty
 * @param madeOn the day on which it was begun
 * @param sentOn empty for a draft
 * @param lines in order; only a draft may have none
 */
public record Order(
    OrderId id,
    Supplier supplier,
    String note,
    LocalDate madeOn,
    Optional<LocalDate> sentOn,
    List<OrderLine> lines,
    long version) {

  public Order {
    lines = List.copyOf(lines);
  }

  public OrderState state() {
    boolean came = lines.stream().anyMatch(line -> line.fate().received().isPositive());
    boolean waits = lines.stream().anyMatch(line -> line.outstanding().isPositive());
    if (!lines.isEmpty() && !waits) {
      return came ? OrderState.CLOSED : OrderState.CANCELLED;
    }
    if (sentOn.isEmpty()) {
      return OrderState.DRAFT;
    }
    if (came) {
      return OrderState.PART_RECEIVED;
    }
    return lines.stream()
            .filter(line -> line.outstanding().isPositive())
            .allMatch(line -> line.fate().isConfirmed())
        ? OrderState.CONFIRMED
        : OrderState.SENT;
  }

  /** What its lines cost together, without freight. */
  public Money worth(Currency currency) {
    return lines.stream().map(OrderLine::cost).reduce(Money.zero(currency), Money::plus);
  }

  /** What bringing it costs. */
  public Money freight(Currency currency) {
    Money worth = worth(currency);
    return supplier.freight().map(freight -> freight.of(worth)).orElse(Money.zero(currency));
  }

  public Optional<OrderLine> line(OrderLineId wanted) {
    return lines.stream().filter(line -> line.id().equals(wanted)).findFirst();
  }

  /** The lines of which something is still to come. */
  public List<OrderLine> waiting() {
    return state().isOpen()
        ? lines.stream().filter(line -> line.outstanding().isPositive()).toList()
        : List.of();
  }
}
