package dev.lonja.web.place;

import java.util.List;

/**
 * The places of a store.
 *
 * @param stamp by which it is seen whether somebody else set them up meanwhile
 * @param main what the main store is called
 * @param mainHas the bins and machines that no satellite has
 */
public record PlacesView(String stamp, String main, String mainHas, List<Row> rows) {

  /**
   * A satellite.
   *
   * @param bins its racks and single bins
   * @param units the machines that it serves
   * @param isUsed true if it may not be taken away
   */
  public record Row(String id, String name, String bins, String units, boolean isUsed) {}
}
