package dev.lonja.web.crossref;

import dev.lonja.web.frame.Plate;
import dev.lonja.web.frame.State;
import java.util.List;

/**
 * A part that is offered or forbidden, in words.
 *
 * @param confidence "0.92"; empty if nobody claimed it
 * @param reasons against it, or to be looked at; none if it simply fits
 * @param path the statements that lead to it
 * @param box what its box lacks and brings
 * @param conflict true if somebody has to settle it
 * @param mayLay true if it is stocked and not forbidden
 */
public record CandidateRow(
    Plate plate,
    State verdict,
    String confidence,
    List<String> reasons,
    List<Step> path,
    Shelf shelf,
    Box box,
    boolean conflict,
    boolean mayLay) {

  /**
   * What the store has of it.
   *
   * @param bin empty if it is not stocked, as is what is free
   * @param price empty if none is known, or none of one's business
   */
  public record Shelf(String bin, String free, String price) {}

  /**
   * Its box against that of the part that is asked for.
   *
   * @param lacks empty if it lacks nothing
   * @param brings what it brings beside
   */
  public record Box(String lacks, String brings) {}

  /** A statement on the way, with its source. */
  public record Step(String subject, String kind, String object, String source) {}
}
