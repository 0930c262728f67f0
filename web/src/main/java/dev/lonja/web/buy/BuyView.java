package dev.lonja.web.buy;

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
    List<Plate> nobodySells) {

  /**
   * A supplier with what is proposed to be ordered there.
   *
   * @param lead how long an order takes
   */
  public record Berth(String supplier, String lead, String sum, List<Line> lines) {}

  /**
   * One thing to order.
   *
   * @param why this much and now, in a sentence
   * @param packs in how many of which packs it comes; empty for single pieces
   */
  public record Line(
      Plate plate,
      Optional<Drum> drum,
      String orderNumber,
      String why,
      String amount,
      String packs,
      String money,
      State by) {}

  /** What is not due yet. */
  public record Later(Plate plate, String by, String supplier, String free, String level) {}
}
