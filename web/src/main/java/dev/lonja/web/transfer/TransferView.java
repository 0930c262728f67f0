package dev.lonja.web.transfer;

import dev.lonja.web.frame.DrawingView;
import dev.lonja.web.frame.Plate;
import dev.lonja.web.frame.State;
import java.util.List;

/**
 * All transfers.
 *
 * @param places what they may go from and to
 * @param drawing how far the trials are on which the refills rest
 * @param refills by satellite, what it is to be filled up with
 */
public record TransferView(
    String summary,
    DrawingView drawing,
    List<PlaceChoice> places,
    List<Refill> refills,
    List<Row> open,
    List<Row> ended) {

  /**
   * A place to choose.
   *
   * @param id as a form sends it; empty for the main store
   */
  public record PlaceChoice(String id, String name) {}

  /** What a satellite is to be filled up with. */
  public record Refill(String to, String name, List<RefillLine> lines) {}

  /**
   * One thing of it.
   *
   * @param why how it stands there
   * @param amount that is proposed, as a form sends it
   */
  public record RefillLine(
      Plate plate, String description, String why, String amount, String unit) {}

  /** A transfer in a list. */
  public record Row(String id, String number, String way, State state, String what, String when) {}

  /**
   * One transfer opened.
   *
   * @param canPick true until it leaves
   * @param canReceive true while it is on its way
   * @param story who did what and when
   */
  public record One(
      String id,
      String number,
      String from,
      String to,
      State state,
      boolean canPick,
      boolean canReceive,
      String story,
      List<Line> lines) {}

  /**
   * A line of it.
   *
   * @param amounts what was wanted, picked, came and is settled, in words
   * @param bins where it lies, in picking order
   * @param picked as a form sends it
   * @param rest still on its way, as a form sends it; empty if nothing is
   * @param into the bin that is proposed
   */
  public record Line(
      Plate plate,
      String description,
      String unit,
      String amounts,
      State state,
      String bins,
      String picked,
      String rest,
      String into) {}
}
