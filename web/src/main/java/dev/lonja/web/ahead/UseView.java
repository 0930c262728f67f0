package dev.lonja.web.ahead;

import java.util.List;

/**
 * Who is expected to use what in the year ahead.
 *
 * @param usedOil what services are expected to drain; empty if nothing is
 * @param unpriced how much of it has no price; empty if all has one
 */
public record UseView(
    String summary,
    String usedOil,
    String unpriced,
    List<Row> classes,
    List<Row> units,
    List<Row> fluids) {

  /**
   * One line.
   *
   * @param link where it leads; empty if nowhere
   * @param share of the highest cost, from 0 to 100
   */
  public record Row(String link, String name, String what, String cost, int share) {}
}
