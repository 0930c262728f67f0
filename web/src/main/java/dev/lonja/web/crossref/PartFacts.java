package dev.lonja.web.crossref;

import dev.lonja.web.frame.Plate;
import java.util.List;

/**
 * What the store knows of a part, stocked or not.
 *
 * @param family empty if it is not known
 * @param box what comes in its box
 * @param boxedIn parts in whose boxes it comes
 * @param statements everything ever said of it, the latest first
 */
public record PartFacts(
    Plate plate,
    String family,
    List<Fact> properties,
    String box,
    List<Plate> boxedIn,
    List<CandidateRow> candidates,
    List<StatementRow> statements) {

  /** A property with its value. */
  public record Fact(String name, String value) {}

  /**
   * A statement with what became of it.
   *
   * @param withdrawn empty while it stands
   */
  public record StatementRow(
      long id,
      Plate subject,
      String kind,
      Plate object,
      String source,
      String note,
      String actor,
      String withdrawn) {}
}
