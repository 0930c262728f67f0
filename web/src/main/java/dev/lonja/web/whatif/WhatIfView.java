package dev.lonja.web.whatif;

import dev.lonja.web.frame.DrawingView;
import dev.lonja.web.frame.Plate;
import java.util.List;

/**
 * Sets of suppositions side by side.
 *
 * @param sets as they were typed
 * @param columns what each comes to, the first as it is; empty while trials are drawn
 * @param differing the things that run short on another day in one of them
 */
public record WhatIfView(
    List<Set> sets, DrawingView drawing, List<Column> columns, List<Row> differing) {

  /** What is supposed; {@code field} is its field and {@code name} what it is called. */
  public record Set(String field, String name, String text) {}

  /** What a set comes to. */
  public record Column(
      String name, String runsShort, String toOrder, String year, String difference) {}

  /** When a thing runs short in each set; the same mark where it does not. */
  public record Row(Plate plate, List<String> shortOn) {}
}
