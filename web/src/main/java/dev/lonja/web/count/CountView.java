package dev.lonja.web.count;

import dev.lonja.web.frame.Plate;
import dev.lonja.web.frame.State;
import java.util.List;

/**
 * Today's counts.
 *
 * @param bins in walking order
 * @param withBook true if the book is shown before the figure is in
 */
public record CountView(String summary, List<OneBin> bins, boolean withBook) {

  /** A bin with what is to be counted in it. */
  public record OneBin(String address, List<Row> rows) {}

  /**
   * Something to be counted.
   *
   * @param form the name of its form
   * @param unit in which it is counted
   * @param why it is on the list
   * @param state said of a second count; empty word if there is none
   * @param book empty where it is counted blind
   */
  public record Row(
      String form,
      String path,
      Plate plate,
      String description,
      String unit,
      String why,
      State state,
      String book,
      long stamp) {}
}
