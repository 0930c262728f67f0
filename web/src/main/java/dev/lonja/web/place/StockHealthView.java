package dev.lonja.web.place;

import dev.lonja.web.frame.Plate;
import dev.lonja.web.frame.State;
import java.util.List;

/**
 * What is wrong with what lies there, and what it is worth.
 *
 * @param today as a form takes it
 */
public record StockHealthView(
    String summary,
    String today,
    List<Lot> expiring,
    List<Lot> apart,
    List<Lot> open,
    List<Table> worth) {

  /**
   * A lot to be looked at.
   *
   * @param what how it stands, in a sentence
   * @param why it is set aside, or by whom and for what some was taken last; empty if neither
   * @param worth empty where it is not the matter
   */
  public record Lot(
      String bin,
      Plate plate,
      String description,
      String code,
      String there,
      State state,
      String what,
      String why,
      String worth) {}

  /**
   * What is worth how much.
   *
   * @param by what it is grouped by
   */
  public record Table(String by, List<Row> rows) {}

  /**
   * @param percent of the whole, rounded
   */
  public record Row(String name, String money, int percent) {}

  /** The stock at the end of a day. */
  public record Dated(String day, List<Line> lines, String total) {}

  /**
   * @param condition empty for new ones
   */
  public record Line(
      String make,
      String number,
      String description,
      String condition,
      String quantity,
      String worth) {}
}
