package dev.lonja.web.tray;

import java.util.List;

/** What came of a job that was handed over: its inspections, and what was poured. */
record FindingsView(List<InspectionRow> inspections, List<FillRow> fills) {

  static final FindingsView NONE = new FindingsView(List.of(), List.of());

  /** An inspection; {@code outcome} is empty until it is noted. */
  record InspectionRow(String field, String task, String outcome) {}

  /**
   * A compartment that was filled.
   *
   * @param book what it takes by the book, in its condition
   * @param litres as noted; empty until they are
   */
  record FillRow(String field, String compartment, String book, String litres) {}

  public boolean isEmpty() {
    return inspections.isEmpty() && fills.isEmpty();
  }
}
