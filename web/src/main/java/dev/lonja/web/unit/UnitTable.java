package dev.lonja.web.unit;

import dev.lonja.core.quantity.MeterMeasure;
import dev.lonja.core.quantity.MeterValue;
import dev.lonja.core.text.Lengths;
import dev.lonja.desk.unit.UnitRefusal;
import dev.lonja.desk.unit.UnitTableDesk;
import dev.lonja.web.request.Problem;
import dev.lonja.web.request.Typed;
import java.math.BigDecimal;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * A pasted table of new units: code, name, class, make, model, variant, first day of service,
 * meters. Every bad line is named with what is wrong and what is allowed.
 */
final class UnitTable {

  private static final String FIELD = "table";
  private static final int MOST_LINES = 5_000;
  private static final int CELLS = 8;
  private static final Pattern METER =
      Pattern.compile("(.{1,40}?)\\s+(h|km)(?:\\s+([0-9]{1,7}(?:\\.[0-9])?))?");
  private static final int LONGEST_NAME = Lengths.NAME;

  private final List<Problem> problems = new ArrayList<>();
  private final List<UnitTableDesk.Row> rows = new ArrayList<>();
  private final List<String> labels = new ArrayList<>();

  private UnitTable() {}

  static UnitTable of(String table) {
    UnitTable read = new UnitTable();
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
    return read;
  }

  /** What of it cannot be read. */
  List<Problem> problems() {
    return problems;
  }

  /** The rows that could be read. */
  List<UnitTableDesk.Row> rows() {
    return rows;
  }

  /** What the desk has against one of {@link #rows}. */
  Problem problem(UnitRefusal.BadRow bad) {
    return new Problem(FIELD, labels.get(bad.row()) + UnitForms.words(bad.why()).text());
  }

  /** Takes one line; empty ones and a heading are passed over. */
  private void line(int number, String text) {
    String separator = text.contains("\t") ? "\t" : text.contains(";") ? ";" : ",";
    List<String> cells = Arrays.stream(text.split(separator, -1)).map(String::strip).toList();
    boolean heading = number == 1 && cells.get(0).equalsIgnoreCase("code");
    if (text.isBlank() || heading) {
      return;
    }
    String label = "line " + number + ", " + cells.get(0) + ": ";
    Typed typed = new Typed();
    if (cells.size() != CELLS) {
      typed.refuse(
          FIELD,
          "it has "
              + cells.size()
              + " cells; write code, name, class, make, model, variant, first day, meters.");
    } else {
      row(cells, typed)
          .ifPresent(
              row -> {
                rows.add(row);
                labels.add(label);
              });
    }
    typed.problems().forEach(p -> problems.add(new Problem(FIELD, label + p.text())));
  }

  private static Optional<UnitTableDesk.Row> row(List<String> cells, Typed typed) {
    Optional<String> name = typed.text(FIELD, "the name", cells.get(1), LONGEST_NAME);
    Optional<LocalDate> day = typed.day(FIELD, cells.get(6));
    Map<String, MeterValue> meters = meters(cells.get(7), typed);
    return typed.all(
        () ->
            new UnitTableDesk.Row(
                cells.get(0).toUpperCase(Locale.ROOT),
                name.orElseThrow(),
                cells.get(2),
                cells.get(3),
                cells.get(4),
                cells.get(5),
                day.orElseThrow(),
                meters));
  }

  /** "road km 118400 + cold unit h 20"; a meter without a value starts at 0. */
  private static Map<String, MeterValue> meters(String text, Typed typed) {
    Map<String, MeterValue> meters = new LinkedHashMap<>();
    for (String part : text.isBlank() ? new String[0] : text.split("\\+")) {
      Matcher matcher = METER.matcher(part.strip());
      if (matcher.matches()) {
        String value = Optional.ofNullable(matcher.group(3)).orElse("0");
        MeterMeasure measure = MeterMeasure.ofSymbol(matcher.group(2));
        meters.put(matcher.group(1), MeterValue.of(new BigDecimal(value), measure));
      } else {
        typed.refuse(
            FIELD,
            "\""
                + part.strip()
                + "\" is no meter; write such as \"road km 118400 + cold unit h\".");
      }
    }
    return meters;
  }
}
