package dev.lonja.web.unitclass;

import java.util.List;
import java.util.Optional;

/**
 * One class of units.
 *
 * @param proposed months that readings suggest; empty if they say nothing
 * @param feed the path of its calendar, if it has one
 */
record ClassView(
    String code,
    String name,
    List<String> units,
    String outline,
    List<Choice> outlines,
    long version,
    List<MonthField> months,
    Optional<Proposal> proposed,
    Optional<String> feed) {

  record Choice(String value, String words) {}

  /** A month of the form, with what is typed in it. */
  record MonthField(int number, String name, String value) {}

  record Proposal(String drawing, List<MonthField> months) {}

  /** All classes. */
  record All(List<Row> rows) {}

  record Row(String code, String name, int units) {}
}
