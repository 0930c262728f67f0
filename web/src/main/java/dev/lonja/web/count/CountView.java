package dev.lonja.web.count;

import dev.lonja.web.frame.Plate;
import dev.lonja.web.frame.State;
import java.util.List;

/**
 * What is to be counted.
 *
 * @param bins in walking order
 * @param done bins in which something was counted, with what came of it
 */
public record CountView(Head head, List<OneBin> bins, List<DoneBin> done) {

  /**
   * What stands over the list.
   *
   * @param day for paper
   * @param stocktake its number; empty for the day's list
   * @param withBook true if the book is shown before the figure is in
   * @param at the bin that is counted now; empty for none
   * @param noBin said where no bin is called so
   * @param addresses of all bins, a blank between two
   */
  public record Head(
      String summary,
      String day,
      String stocktake,
      boolean withBook,
      String at,
      String noBin,
      String addresses) {}

  /**
   * A bin with what is to be counted in it.
   *
   * @param form the name of its form
   * @param nth "3 of 7"
   */
  public record OneBin(String form, String path, String address, String nth, List<Row> rows) {}

  /**
   * Something to be counted.
   *
   * @param key by which its fields are told apart
   * @param codes what may be scanned for it, a blank between two: its barcodes and its number's key
   * @param unit in which it is counted
   * @param why it is on the list
   * @param state said of a second count; empty word if there is none
   * @param book empty where it is counted blind
   */
  public record Row(
      String key,
      String codes,
      Plate plate,
      String description,
      String unit,
      String why,
      State state,
      String book,
      String stamp) {}

  /** A bin that was counted. */
  public record DoneBin(String address, List<State> what) {}
}
