package dev.lonja.web.buy;

import dev.lonja.core.cases.Cases;
import dev.lonja.core.order.OrderAmount;
import dev.lonja.desk.order.OrderRefusal;
import dev.lonja.web.book.StockForms;
import dev.lonja.web.request.Problem;
import dev.lonja.web.request.RefusalWording;

/** Says why an order was not changed. */
final class OrderRefusals {

  private static final Cases<OrderAmount, String> AMOUNT =
      Cases.<OrderAmount, String>over(OrderAmount.class)
          .when(
              OrderAmount.NotInPacks.class,
              wrong ->
                  "It comes in packs of "
                      + wrong.pack().display()
                      + ": order "
                      + wrong.below().map(below -> below.display() + " or ").orElse("")
                      + wrong.above().display()
                      + ".")
          .when(
              OrderAmount.BelowLeast.class,
              wrong -> "The least that can be ordered is " + wrong.least().display() + ".")
          .all();

  private static final RefusalWording OF_ORDERS =
      RefusalWording.of(
          OrderRefusal.class,
          Cases.<OrderRefusal, Problem>over(OrderRefusal.class)
              .when(
                  OrderRefusal.NoSuchOrder.class,
                  none -> Problem.ofWhole("There is no order " + none.id() + " any more."))
              .when(
                  OrderRefusal.NoSuchSupplier.class,
                  none -> Problem.ofWhole("There is no such supplier."))
              .when(
                  OrderRefusal.NoSuchLine.class,
                  none -> Problem.ofWhole("The order has no such line any more."))
              .when(
                  OrderRefusal.NotNow.class,
                  not ->
                      Problem.ofWhole(
                          "The order is " + not.state().words() + "; that is not done any more."))
              .when(
                  OrderRefusal.ChangedMeanwhile.class,
                  changed ->
                      Problem.ofWhole(
                          "Someone else changed this order meanwhile. Look at it again, then send"
                              + " it."))
              .when(
                  OrderRefusal.NothingToOrder.class,
                  none -> Problem.ofWhole("Nothing is asked for: write how much of at least one."))
              .when(
                  OrderRefusal.UnknownItem.class,
                  none ->
                      new Problem(
                          "code",
                          "\""
                              + none.code()
                              + "\" is no number or barcode of an item. Write one that is stocked."))
              .when(
                  OrderRefusal.SeveralItems.class,
                  several ->
                      new Problem(
                          "code",
                          "Several makes have a number "
                              + several.code()
                              + "; scan the barcode of the one that is meant."))
              .when(
                  OrderRefusal.NotSold.class,
                  not ->
                      new Problem(
                          "code",
                          not.supplier()
                              + " does not sell "
                              + not.item().number()
                              + "; write at the item that they do, and for how much."))
              .when(
                  OrderRefusal.WrongAmount.class,
                  wrong ->
                      new Problem(
                          BuyWording.FIELD + wrong.item().id(), AMOUNT.apply(wrong.problem())))
              .when(
                  OrderRefusal.NotCountable.class,
                  parts ->
                      Problem.ofWhole(
                          parts.amount().exactText()
                              + " is no whole number of pieces; it is counted."))
              .when(
                  OrderRefusal.MoreThanToCome.class,
                  more ->
                      new Problem(
                          "amount",
                          more.asked().display()
                              + " is more than the "
                              + more.outstanding().display()
                              + " that are still to come."))
              .when(
                  OrderRefusal.PromisedInPast.class,
                  past ->
                      new Problem(
                          "day",
                          past.day() + " is past; allowed is " + past.today() + " or later."))
              .when(
                  OrderRefusal.TakenInBefore.class,
                  before -> Problem.ofWhole("This answer was taken in before."))
              .when(
                  OrderRefusal.NoSuchClaim.class,
                  none -> Problem.ofWhole("That claim is settled already."))
              .when(
                  OrderRefusal.MoreThanOrdered.class,
                  more ->
                      new Problem(
                          "more",
                          more.came().display()
                              + " is more than the "
                              + more.outstanding().display()
                              + " still to come. Keep all of it, or take "
                              + more.outstanding().display()
                              + " in and claim the rest as too many."))
              .when(
                  OrderRefusal.NotOneItem.class,
                  not ->
                      new Problem(
                          "instead",
                          not.items() == 0
                              ? "\""
                                  + not.code()
                                  + "\" is no number or barcode of an item. Enter it as an item"
                                  + " first, or claim it as the wrong thing."
                              : "Several makes have a number "
                                  + not.code()
                                  + "; scan the barcode of the one that came."))
              .when(
                  OrderRefusal.OtherMeasure.class,
                  other ->
                      new Problem(
                          "instead",
                          other.came().number()
                              + " is counted in "
                              + other.came().measure().symbol()
                              + ", and "
                              + other.ordered().number()
                              + " in "
                              + other.ordered().measure().symbol()
                              + "; it cannot come in its place."))
              .when(
                  OrderRefusal.DoesNotFit.class,
                  not -> new Problem("instead", StandInWording.doesNot(not)))
              .when(
                  OrderRefusal.KeepInstead.class,
                  keep ->
                      new Problem(
                          "keep",
                          StandInWording.verdict(keep.ordered(), keep.standIn())
                              + " Keep it in its place, or claim it as the wrong thing."))
              .when(
                  OrderRefusal.NothingToInvoice.class,
                  none -> Problem.ofWhole("Nothing of this order came that could be charged."))
              .when(
                  OrderRefusal.NothingCharged.class,
                  none ->
                      Problem.ofWhole("Write what it charges for at least one line, or freight."))
              .when(
                  OrderRefusal.DatedAhead.class,
                  ahead ->
                      new Problem(
                          "dated", ahead.day() + " is still to come; allowed is today or earlier."))
              .when(
                  OrderRefusal.InvoicedBefore.class,
                  before ->
                      new Problem(
                          "number",
                          "Invoice "
                              + before.number()
                              + " of this supplier was entered before, for order "
                              + before.order()
                              + ". If it was entered wrongly, withdraw it there first."))
              .when(
                  OrderRefusal.NoSuchInvoice.class,
                  none -> Problem.ofWhole("That invoice is withdrawn already."))
              .when(
                  OrderRefusal.NothingCame.class,
                  none -> new Problem("quantity", "Write what came, or what is wrong with it."))
              .all());

  /** Why the desks of orders refused. */
  static final RefusalWording ALL = OF_ORDERS.and(StockForms.refusals("bin"));

  private OrderRefusals() {}

  /** Why so much cannot be ordered. */
  static String amount(OrderAmount problem) {
    return AMOUNT.apply(problem);
  }
}
