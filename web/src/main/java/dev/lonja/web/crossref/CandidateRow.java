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
 * @param bin empty if it is not stocked
 * @param lacks what its box lacks against the one that is asked for
 * @param brings what its box brings beside
 * @param conflict true if somebody has to settle it
 * @param mayLay true if it is stocked and not forbidden
 */
public record CandidateRow(
    Plate plate,
    State verdict,
    String confidence,
    List<String> reasons,
    List<Step> path,
    String bin,
    String free,
    String price,
    String lacks,
    String brings,
    boolean conflict,
    boolean mayLay) {

  /** A statement on the way, with its source. */
  public record Step(String subject, String kind, String object, String source) {}
}
