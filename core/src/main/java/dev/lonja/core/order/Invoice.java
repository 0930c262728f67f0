package dev.lonja.core.order;

import dev.lonja.core.quantity.Money;
import java.math.BigDecimal;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * What a supplier charged for deliveries that were taken in before at what was known then.
 *
 * @param withdrawnWhy why it counts no more; empty while it counts
 */
public record Invoice(InvoiceId id, Facts facts, Optional<String> withdrawnWhy) {

  /**
   * What an invoice says and changes.
   *
   * @param number as the supplier wrote it
   * @param freight what bringing it cost on top of the lines, zero or more
   */
  public record Facts(String number, LocalDate datedOn, Money freight, List<Line> lines) {
    public Facts {
      lines = List.copyOf(lines);
    }

    /** What its lines and its freight come to. */
    public Money total() {
      return lines.stream().flatMap(line -> line.charged().stream()).reduce(freight, Money::plus);
    }
  }

  /**
   * What it changed of a delivery's worth.
   *
   * @param movementId the movement that took the delivery in
   * @param charged what the invoice says of it without freight; empty if only freight is shared out
   * @param difference to what it was booked with before, freight included; signed
   */
  public record Line(long movementId, Optional<Money> charged, Money difference) {}

  /**
   * A delivery before its invoice is entered.
   *
   * @param booked what it was taken in for, without freight that was shared out since
   * @param charged what the invoice says of it; empty if it says nothing
   */
  public record Delivered(long movementId, Money booked, Optional<Money> charged) {

    private Money known() {
      return charged.orElse(booked);
    }
  }

  /**
   * What an invoice changes, delivery by delivery: what it charges less what was booked, and a
   * share of the freight by what each is worth ({@link Money#shared}). Freight falls on what the
   * invoice names; one that names nothing, as a carrier's does, on all deliveries.
   *
   * @param deliveries at least one
   */
  public static List<Line> lines(List<Delivered> deliveries, Money freight) {
    List<Delivered> named =
        deliveries.stream().filter(delivered -> delivered.charged().isPresent()).toList();
    List<Delivered> all = named.isEmpty() ? deliveries : named;
    List<Money> shares =
        freight.shared(all.stream().map(one -> BigDecimal.valueOf(one.known().minor())).toList());
    List<Line> lines = new ArrayList<>();
    for (int i = 0; i < all.size(); i++) {
      Delivered one = all.get(i);
      lines.add(
          new Line(
              one.movementId(),
              one.charged(),
              one.known().minus(one.booked()).plus(shares.get(i))));
    }
    return lines;
  }
}
