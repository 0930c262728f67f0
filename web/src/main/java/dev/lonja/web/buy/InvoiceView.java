package dev.lonja.web.buy;

import dev.lonja.core.order.InvoiceId;
import dev.lonja.core.order.OrderId;
import dev.lonja.web.frame.Plate;
import java.util.List;

/**
 * What came of an order and what was charged for it.
 *
 * @param open what no invoice charges yet
 * @param mayEnter true if something came that an invoice can be for
 */
public record InvoiceView(
    OrderId order,
    String supplier,
    String currency,
    String today,
    List<Delivered> open,
    boolean mayEnter,
    List<Entered> entered) {

  /**
   * Something that came.
   *
   * @param field the name of what is charged for it
   * @param amount what is offered there
   * @param each what one is in the books for
   */
  public record Delivered(
      String field, Plate plate, String what, String came, String amount, String each) {}

  /**
   * An invoice.
   *
   * @param what it changed, a line each
   * @param withdrawn why it counts no more; empty while it counts
   */
  public record Entered(
      InvoiceId id,
      String number,
      String dated,
      String total,
      List<String> what,
      String withdrawn) {}
}
