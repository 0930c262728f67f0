package dev.lonja.web.buy;

import dev.lonja.core.order.OrderId;
import dev.lonja.core.order.OrderLineId;
import dev.lonja.web.frame.Plate;
import dev.lonja.web.frame.State;
import java.util.List;

/**
 * One order.
 *
 * @param steps what has become of it, and what is next
 * @param money what it costs
 * @param may what may be done with it now
 */
public record OrderView(
    OrderId id,
    long version,
    String supplier,
    State state,
    List<String> steps,
    Money money,
    May may,
    String note,
    List<Line> lines,
    Trail trail) {

  /** What it costs: the lines, the freight, and all of it. */
  public record Money(String lines, String freight, String all) {}

  /**
   * What may be done with it now.
   *
   * @param invoice true if something came that can be charged
   */
  public record May(boolean draft, boolean open, boolean invoice) {}

  /**
   * One line.
   *
   * @param what is to come, came or was given up
   */
  public record Line(
      OrderLineId id,
      Plate plate,
      String theirNumber,
      String amount,
      String exact,
      String packs,
      String price,
      String cost,
      State state,
      Follow follow) {}

  /**
   * What can be done about a line.
   *
   * @param field the name of its amount in a draft
   * @param waits true if something is still to come
   * @param outstanding how much, as a form reads it
   * @param promised when, as a form reads it
   * @param pack what its amount goes up and down by
   * @param came true if something of it came, which wants labels
   */
  public record Follow(
      String field,
      boolean waits,
      String outstanding,
      String promised,
      String pack,
      boolean came,
      List<String> notes) {}

  /** What the supplier said, and what is claimed. */
  public record Trail(List<String> answers, List<OrdersView.ClaimRow> claims) {}
}
