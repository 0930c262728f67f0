package dev.lonja.web.count;

import dev.lonja.web.frame.Plate;
import java.util.List;

/**
 * A count of all bins.
 *
 * @param past the latest first
 */
public record StocktakeView(Open open, List<Past> past, String tanks) {

  /**
   * The one that is open.
   *
   * @param number empty if none is
   * @param mayBook true once nothing is left
   */
  public record Open(
      String number,
      String begun,
      String left,
      String agree,
      int percent,
      List<Difference> differences,
      String worth,
      boolean mayBook) {
    static final Open NONE = new Open("", "", "", "", 0, List.of(), "", false);

    public boolean isThere() {
      return !number.isEmpty();
    }
  }

  /**
   * Something that differs.
   *
   * @param form the name of its form
   */
  public record Difference(
      String form,
      String path,
      String bin,
      Plate plate,
      String book,
      String counted,
      String differs,
      String worth,
      String why,
      String by) {}

  /** One that is over. */
  public record Past(String number, String begun, String how) {}
}
