package dev.lonja.web.meter;

import dev.lonja.core.meter.MeterStanding;
import dev.lonja.core.quantity.MeterValue;
import dev.lonja.desk.meter.MeterDesk;
import dev.lonja.web.request.Problem;
import dev.lonja.web.request.Typed;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/** Readings as they were typed together, with every bad one named. */
final class TypedReadings {

  /** A reading that could be read, and what it is called in a problem. */
  private record Row(String field, String label, MeterDesk.Entry entry) {}

  private final LocalDate today;
  private final List<Row> rows = new ArrayList<>();
  private final List<Problem> problems = new ArrayList<>();

  TypedReadings(LocalDate today) {
    this.today = today;
  }

  /**
   * Takes one reading as typed.
   *
   * @param field of the form that a problem is about
   * @param label what the reading is called: "line 7, RT-01"
   */
  void add(String field, String label, MeterStanding meter, String value, String day) {
    Typed typed = new Typed();
    Optional<MeterValue> read =
        MeterEntry.value(typed, field, "the reading", value, meter.file().meter().measure());
    Optional<LocalDate> on = typed.dayUpTo(field, day, today);
    typed.problems().forEach(problem -> refuse(field, label, problem.text()));
    if (typed.problems().isEmpty()) {
      rows.add(
          new Row(
              field,
              label,
              new MeterDesk.Entry(
                  meter.file().meter().id(), on.orElseThrow(), read.orElseThrow())));
    }
  }

  void refuse(String field, String label, String why) {
    refuse(new Problem(field, label + ": " + why));
  }

  void refuse(Problem problem) {
    problems.add(problem);
  }

  /** Those that could be read. */
  List<MeterDesk.Entry> entries() {
    return rows.stream().map(Row::entry).toList();
  }

  /** Those that could not be read. */
  List<Problem> problems() {
    return problems;
  }

  /** What the desk has against one of {@link #entries}. */
  Problem problem(MeterDesk.Bad bad) {
    Row row = rows.get(bad.entry());
    return new Problem(row.field(), row.label() + ": " + ReadingWording.why(bad.why()));
  }
}
