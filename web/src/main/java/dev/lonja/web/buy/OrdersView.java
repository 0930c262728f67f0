package dev.lonja.web.buy;

import dev.lonja.core.order.ClaimId;
import dev.lonja.core.order.OrderId;
import dev.lonja.web.frame.State;
import java.util.List;

/**
 * What is ordered.
 *
 * @param open drafts, and orders of which something is still to come
 * @param closed the rest of the last 14 months
 * @param unused answers of suppliers that could not be used
 */
public record OrdersView(
    String summary, List<Row> open, List<ClaimRow> claims, List<String> unused, List<Row> closed) {

  /** An order on one line. */
  public record Row(
      OrderId id, String supplier, State state, String lines, String days, String worth) {}

  /** A claim; one that is settled is not open. */
  public record ClaimRow(ClaimId id, OrderId order, String what, String since, boolean open) {}
}
