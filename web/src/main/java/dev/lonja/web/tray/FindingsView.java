package dev.lonja.web.tray;

import java.util.List;

/** What came of a job that was handed over: its inspections, and what was poured. */
public record FindingsView(
    List<InspectionRow> inspections, List<FillRow> fills, List<SubstituteRow> substitutes) {

  static final FindingsView NONE = new FindingsView(List.of(), List.of(), List.of());

  /** An inspection; {@code outcome} is empty until it is noted. */
  public record InspectionRow(String field, String task, String outcome) {}

  /**
   * A compartment that was filled.
   *
   * @param book what it takes by the book, in its condition
   * @param litres as noted; empty until they are
   */
  public record FillRow(String field, String compartment, String book, String litres) {}

  /** Something that was laid in place of what was asked for: did it fit? */
  public record SubstituteRow(String field, String whyField, String words) {}

  public boolean isEmpty() {
    return inspections.isEmpty() && fills.isEmpty() && substitutes.isEmpty();
  }
}
