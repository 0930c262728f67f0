package dev.lonja.web.place;

import java.util.List;

/**
 * All bins in the order in which they are walked.
 *
 * @param stamp by which it is seen whether somebody else arranged them meanwhile
 */
public record ArrangeView(String stamp, List<Row> rows) {

  /**
   * @param id of the bin
   * @param at its place, from 1
   * @param isUsed true if it may not be taken down
   */
  public record Row(String id, String address, int at, boolean isUsed) {}
}
