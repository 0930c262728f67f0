package dev.lonja.desk.order;

import dev.lonja.core.item.Item;
import dev.lonja.core.order.OrderAmount;
import dev.lonja.core.order.OrderId;
import dev.lonja.core.order.OrderState;
import dev.lonja.core.quantity.Quantity;
import dev.lonja.desk.crossref.StandIns;
import dev.lonja.desk.request.Refusal;
import java.time.LocalDate;
import java.util.Optional;

/** Why nothing was ordered, or nothing changed of an order. */
public sealed interface OrderRefusal extends Refusal {

  /** There is no such order, or it was thrown away. */
  record NoSuchOrder(OrderId id) implements OrderRefusal {}

  /** There is no such supplier. */
  record NoSuchSupplier() implements OrderRefusal {}

  /** The order has no such line. */
  record NoSuchLine() implements OrderRefusal {}

  /** That is not done with an order that is so far. */
  record NotNow(OrderState state) implements OrderRefusal {}

  /** Somebody changed it meanwhile. */
  record ChangedMeanwhile() implements OrderRefusal {}

  /** Nothing is asked for. */
  record NothingToOrder() implements OrderRefusal {}

  /** The store has no item of this number. */
  record UnknownItem(String code) implements OrderRefusal {}

  /** Several items have this number. */
  record SeveralItems(String code) implements OrderRefusal {}

  /** They do not sell it. */
  record NotSold(Item item, String supplier) implements OrderRefusal {}

  /** So much of it cannot be ordered. */
  record WrongAmount(Item item, OrderAmount problem) implements OrderRefusal {}

  /** The same answer was taken in before. */
  record TakenInBefore(String message) implements OrderRefusal {}

  /** There is no such claim, or it is settled already. */
  record NoSuchClaim() implements OrderRefusal {}

  /** More came than is still to come; nobody said to keep it. */
  record MoreThanOrdered(Quantity came, Quantity outstanding) implements OrderRefusal {}

  /** Nothing came, and nothing is claimed. */
  record NothingCame() implements OrderRefusal {}

  /** The item is counted, and this is no whole number of pieces. */
  record NotCountable(Quantity amount) implements OrderRefusal {}

  /** More is given up than is still to come. */
  record MoreThanToCome(Quantity asked, Quantity outstanding) implements OrderRefusal {}

  /** A day before today is promised. */
  record PromisedInPast(LocalDate day, LocalDate today) implements OrderRefusal {}

  /** Nothing came of the order that an invoice could be for. */
  record NothingToInvoice() implements OrderRefusal {}

  /** The invoice says nothing. */
  record NothingCharged() implements OrderRefusal {}

  /** The invoice is dated after today. */
  record DatedAhead(LocalDate day, LocalDate today) implements OrderRefusal {}

  /** The supplier's invoice of this number was entered before. */
  record InvoicedBefore(String number, OrderId order) implements OrderRefusal {}

  /** There is no such invoice, or it was withdrawn. */
  record NoSuchInvoice() implements OrderRefusal {}

  /** What came in place of what was ordered is not kept here, or several things are. */
  record NotOneItem(String code, int items) implements OrderRefusal {}

  /** What came is not measured as what was ordered is. */
  record OtherMeasure(Item came, Item ordered) implements OrderRefusal {}

  /** What came does not go where what was ordered goes. */
  record DoesNotFit(Item came, Item ordered, Optional<StandIns.StandIn> standIn)
      implements OrderRefusal {}

  /**
   * Something else came, and nobody said to keep it in place of what was ordered.
   *
   * @param standIn how it does there
   */
  record KeepInstead(Item came, Item ordered, StandIns.StandIn standIn) implements OrderRefusal {}
}
