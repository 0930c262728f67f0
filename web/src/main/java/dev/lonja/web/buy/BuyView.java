package dev.lonja.web.buy;

import dev.lonja.core.supplier.SupplierId;
import dev.lonja.web.frame.DrawingView;
import dev.lonja.web.frame.Drum;
import dev.lonja.web.frame.Plate;
import dev.lonja.web.frame.State;
import java.util.List;
import java.util.Optional;

/**
 * What is proposed to be ordered.
 *
 * @param summary how much from how many
 * @param drawing how far the trials are on which it rests
 */
public record BuyView(
    String summary,
    DrawingView drawing,
    List<Berth> berths,
    List<Later> later,
    List<Instead> instead,
    List<Plate> nobodySells) {

  /**
   * A supplier with what is proposed to be ordered there.
   *
   * @param terms how long an order takes and on which days they deliver
   * @param crossing from today over the cut-off to the arrival, as a drawing
   * @param crate how full an order is up to free freight; empty if it never is free
   */
  public record Berth(
      SupplierId supplier,
      String name,
      String terms,
      boolean unreliable,
      String crossing,
      Optional<Crate> crate,
      String sum,
      List<Line> lines) {}

  /** How full an order is, as a drawing and in words. */
  public record Crate(String drawing, String words) {}

  /**
   * One thing to order.
   *
   * @param why this much and now, in sentences
   * @param tide what is left up to the arrival, as a drawing
   */
  public record Line(
      Plate plate,
      Optional<Drum> drum,
      String orderNumber,
      String why,
      String tide,
      Amount amount,
      State by) {}

  /**
   * How much of it.
   *
   * @param field its name in the form
   * @param exact how much, as the form reads it
   * @param pack what it goes up and down by, as the form reads it
   * @param unit pc, L or kg
   * @param packs in how many of which packs it comes; empty for single pieces
   * @param lasts how long it lasts, in a sentence
   */
  public record Amount(
      String field,
      String exact,
      String pack,
      String unit,
      String packs,
      String money,
      String each,
      String lasts) {}

  /** What is not due yet. */
  public record Later(Plate plate, String by, String supplier, String free, String level) {}

  /** What is not ordered since something else is used up first, and what that is. */
  public record Instead(Plate plate, String words) {}

  /** What another amount means, as the page fetches it. */
  public record Answer(String why, String packs, String money, String each, String problem) {}
}
