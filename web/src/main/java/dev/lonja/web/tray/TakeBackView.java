package dev.lonja.web.tray;

import dev.lonja.web.inspection.FoundEntry;
import java.util.List;

/** What is asked when a job comes back, as the page shows it. */
public record TakeBackView(
    String day,
    List<MeterRow> meters,
    List<WorkRow> works,
    List<FillRow> fills,
    List<AddedRow> added,
    List<SubstituteRow> substitutes,
    boolean hasMachine,
    List<LeftOutRow> leftOut,
    Removed removed) {

  /** True if an inspection asks for a value. */
  public boolean asksValues() {
    return works.stream().anyMatch(work -> !work.values().isEmpty());
  }

  /** A meter, with what it showed at the hand-over. */
  public record MeterRow(String field, String label, String shown) {}

  /**
   * A task.
   *
   * @param values the value that it asks for, if it does
   * @param choices what may be said of it
   * @param chosen what stands there until somebody says otherwise; empty if somebody has to say
   */
  public record WorkRow(
      String field,
      String whyField,
      String againField,
      String task,
      List<FoundEntry.ValueFields> values,
      List<FoundEntry.Choice> choices,
      String chosen) {}

  /**
   * A compartment that was filled.
   *
   * @param book what it takes by the book, in its condition
   * @param drainedField where is said how much ran out before
   * @param levelField where is said how the level stood; empty where there is nothing to read
   * @param method how it is read
   */
  public record FillRow(
      String field,
      String drainedField,
      String levelField,
      String compartment,
      String book,
      String method) {}

  /**
   * A fluid that no task asks for.
   *
   * @param words what it is
   * @param named the compartment that it was put on for; empty if none was named
   * @param out how much of it is out, to be typed
   */
  public record AddedRow(
      String field, String intoField, String words, List<Place> places, String named, String out) {}

  /** A compartment to choose. */
  public record Place(String id, String name) {}

  /** A part that the tray went out without; in the field somebody says why nobody wants it. */
  public record LeftOutRow(String field, String words) {}

  /**
   * What came off and may be kept.
   *
   * @param open true if something was said of it
   */
  public record Removed(boolean open, List<RemovedRow> rows) {}

  /**
   * A place from which a part came off.
   *
   * @param number of what the machine takes there
   * @param pieces as many as went in
   */
  public record RemovedRow(
      String field,
      String piecesField,
      String numberField,
      String place,
      String number,
      String pieces) {}

  /** Something that was laid in place of what was asked for: did it fit? */
  public record SubstituteRow(String field, String whyField, String words) {}
}
