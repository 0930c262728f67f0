package dev.lonja.web.work;

import dev.lonja.core.quantity.Limits;
import dev.lonja.core.text.Lengths;
import dev.lonja.desk.request.Refusal;
import dev.lonja.desk.service.WorkDesk;
import dev.lonja.web.request.Problem;
import dev.lonja.web.request.RefusalWording;
import dev.lonja.web.request.Typed;
import java.math.BigDecimal;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Optional;

/**
 * Reads the lines of a pasted table of work: unit, day, task, what its meter showed (nothing where
 * it counts by none) and where it was done; cells set apart by tabs or semicolons.
 */
final class PastedWork {

  private static final String FIELD = "table";
  private static final int MOST_LINES = 2_000;
  private static final int CELLS = 5;

  private final List<Problem> problems = new ArrayList<>();
  private final List<WorkDesk.Line> lines = new ArrayList<>();
  private final List<String> labels = new ArrayList<>();

  private PastedWork() {}

  static PastedWork of(String table) {
    PastedWork read = new PastedWork();
    List<String> lines = table.lines().toList();
    if (lines.size() > MOST_LINES) {
      read.problems.add(
          new Problem(
              FIELD, "The table has " + lines.size() + " lines; allowed are " + MOST_LINES + "."));
      return read;
    }
    for (int i = 0; i < lines.size(); i++) {
      read.line(i + 1, lines.get(i));
    }
    if (read.lines.isEmpty() && read.problems.isEmpty()) {
      read.problems.add(new Problem(FIELD, "The table is empty."));
    }
    return read;
  }

  List<Problem> problems() {
    return problems;
  }

  List<WorkDesk.Line> lines() {
    return lines;
  }

  /** What the desk has against its lines. */
  RefusalWording refusals() {
    return RefusalWording.of(
            WorkDesk.Bad.class,
            bad -> new Problem(FIELD, labels.get(bad.line()) + words(bad.why())))
        .and(WorkRefusals.WORDS);
  }

  private static String words(Refusal why) {
    return WorkRefusals.WORDS.problem(why).text();
  }

  /** Takes one line; empty ones and a heading are passed over. */
  private void line(int number, String text) {
    List<String> cells =
        Arrays.stream(text.split(text.contains("\t") ? "\t" : ";", -1)).map(String::strip).toList();
    boolean heading = number == 1 && cells.get(0).equalsIgnoreCase("unit");
    if (text.isBlank() || heading) {
      return;
    }
    String label = "line " + number + ", " + cells.get(0) + ": ";
    Typed typed = new Typed();
    if (cells.size() != CELLS) {
      typed.refuse(
          FIELD, "it has " + cells.size() + " cells; write unit, day, task, reading, where.");
    } else {
      read(cells, typed)
          .ifPresent(
              line -> {
                lines.add(line);
                labels.add(label);
              });
    }
    typed.problems().forEach(p -> problems.add(new Problem(FIELD, label + p.text())));
  }

  private static Optional<WorkDesk.Line> read(List<String> cells, Typed typed) {
    Optional<LocalDate> day = typed.day(FIELD, cells.get(1));
    Optional<String> task = typed.text(FIELD, "the task", cells.get(2), 2 * Lengths.NAME);
    Optional<BigDecimal> reading =
        cells.get(3).isEmpty()
            ? Optional.empty()
            : typed.decimalFromZero(FIELD, "the reading", cells.get(3), Limits.METER);
    Optional<String> note = typed.text(FIELD, "where", cells.get(4), Lengths.REASON);
    return typed.all(
        () ->
            new WorkDesk.Line(
                cells.get(0).toUpperCase(Locale.ROOT),
                day.orElseThrow(),
                task.orElseThrow(),
                reading,
                note.orElseThrow()));
  }
}
