package dev.lonja.store.exchange;

import de.siegmar.fastcsv.reader.CsvParseException;
import de.siegmar.fastcsv.reader.CsvReader;
import de.siegmar.fastcsv.reader.CsvRecord;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.UnaryOperator;

/**
 * Checks all files before anything is written: headers, every cell, keys that occur twice,
 * references that lead nowhere, and the rules within a row. Finds every problem, not only the
 * first.
 */
final class ExchangeCheck {

  private final Map<String, String> texts;
  private final List<ExchangeProblem> problems;
  private final Map<String, List<CheckedRow>> rows = new LinkedHashMap<>();

  /** By table, the keys of its rows; without the tables that could not be read. */
  private final Map<String, Set<String>> keys = new HashMap<>();

  private ExchangeCheck(Map<String, String> texts, List<ExchangeProblem> problems) {
    this.texts = texts;
    this.problems = problems;
  }

  /** The rows of every table, by table name; problems are added to the list given. */
  static Map<String, List<CheckedRow>> check(
      Map<String, String> texts, List<ExchangeProblem> problems) {
    ExchangeCheck check = new ExchangeCheck(texts, problems);
    for (ExchangeTable table : ExchangeTables.ALL) {
      check.readTable(table);
    }
    for (ExchangeTable table : ExchangeTables.ALL) {
      check.checkReferences(table);
      check.checkJointReferences(table);
      table.leads().forEach(column -> check.checkLeads(table, column));
    }
    return check.rows;
  }

  private void readTable(ExchangeTable table) {
    List<CheckedRow> found = new ArrayList<>();
    rows.put(table.name(), found);
    String text = texts.get(table.file());
    if (text == null) {
      problems.add(new ExchangeProblem(table.file(), 0, "", "missing file", "a file of that name"));
      return;
    }
    try (CsvReader<CsvRecord> reader = reader(text)) {
      boolean header = true;
      for (CsvRecord line : reader) {
        if (header) {
          header = false;
          if (!checkHeader(table, line)) {
            return;
          }
          keys.put(table.name(), new HashSet<>());
        } else {
          readRow(table, line, found);
        }
      }
      if (header) {
        problems.add(
            new ExchangeProblem(
                table.file(), 1, "", "empty file", String.join(",", table.header())));
      }
    } catch (CsvParseException e) {
      problems.add(
          new ExchangeProblem(table.file(), 0, "", "" + e.getMessage(), "CSV by RFC 4180"));
    } catch (java.io.IOException e) {
      throw new java.io.UncheckedIOException(e);
    }
    checkDoubles(table, table.key(), found, cell -> cell);
    table.unique().forEach(columns -> checkDoubles(table, columns, found, cell -> cell));
    table.alike().forEach((column, key) -> checkDoubles(table, List.of(column), found, key));
  }

  /** Rows too long or too short are let through here, to be named with their line. */
  private static CsvReader<CsvRecord> reader(String text) {
    return CsvReader.builder()
        .skipEmptyLines(true)
        .allowMissingFields(true)
        .allowExtraFields(true)
        .ofCsvRecord(text);
  }

  private boolean checkHeader(ExchangeTable table, CsvRecord line) {
    boolean right = line.getFields().equals(table.header());
    if (!right) {
      problems.add(
          new ExchangeProblem(
              table.file(),
              line.getStartingLineNumber(),
              "",
              String.join(",", line.getFields()),
              String.join(",", table.header())));
    }
    return right;
  }

  private void readRow(ExchangeTable table, CsvRecord line, List<CheckedRow> found) {
    long number = line.getStartingLineNumber();
    if (line.getFieldCount() != table.columns().size()) {
      problems.add(
          new ExchangeProblem(
              table.file(),
              number,
              "",
              line.getFieldCount() + " cells",
              table.columns().size() + " cells"));
      return;
    }
    Map<String, String> cells = new LinkedHashMap<>();
    boolean good = true;
    for (int i = 0; i < table.columns().size(); i++) {
      Column<?> column = table.columns().get(i);
      String cell = line.getField(i);
      cells.put(column.name(), cell);
      good &= checkCell(table, number, column, cell);
    }
    if (good) {
      checkRules(table, number, cells);
    }
    keys.get(table.name()).add(cells.get(table.key().get(0)));
    found.add(new CheckedRow(number, cells));
  }

  private boolean checkCell(ExchangeTable table, long line, Column<?> column, String cell) {
    boolean good =
        cell.isEmpty() ? !column.required() : column.format().parse().apply(cell).isPresent();
    if (!good) {
      problems.add(new ExchangeProblem(table.file(), line, column.name(), cell, column.allowed()));
    }
    return good;
  }

  private void checkRules(ExchangeTable table, long line, Map<String, String> cells) {
    for (RowRule rule : table.rules()) {
      if (!rule.holds().test(cells)) {
        problems.add(
            new ExchangeProblem(
                table.file(), line, rule.column(), cells.get(rule.column()), rule.allowed()));
      }
    }
  }

  private void checkDoubles(
      ExchangeTable table,
      List<String> columns,
      List<CheckedRow> found,
      UnaryOperator<String> compared) {
    Map<List<String>, Long> first = new HashMap<>();
    for (CheckedRow row : found) {
      List<String> cells = columns.stream().map(row.cells()::get).toList();
      if (cells.stream().allMatch(String::isEmpty)) {
        continue;
      }
      Long before = first.putIfAbsent(cells.stream().map(compared).toList(), row.line());
      if (before != null) {
        problems.add(
            new ExchangeProblem(
                table.file(),
                row.line(),
                String.join(" + ", columns),
                String.join(" + ", cells),
                "each only once; line " + before + " has it already"));
      }
    }
  }

  private void checkReferences(ExchangeTable table) {
    for (Column<?> column : table.columns()) {
      Optional<Set<String>> readable = column.references().map(keys::get);
      if (readable.isEmpty()) {
        continue;
      }
      Set<String> known = readable.get();
      for (CheckedRow row : rows.get(table.name())) {
        String cell = row.cells().get(column.name());
        boolean wellFormed = column.format().parse().apply(cell).isPresent();
        if (!cell.isEmpty() && wellFormed && !known.contains(cell)) {
          problems.add(
              new ExchangeProblem(table.file(), row.line(), column.name(), cell, column.allowed()));
        }
      }
    }
  }

  private void checkJointReferences(ExchangeTable table) {
    for (ExchangeTable.JointReference joint : table.joint()) {
      if (!keys.containsKey(joint.table())) {
        continue;
      }
      Set<List<String>> known = new HashSet<>();
      rows.get(joint.table()).forEach(row -> known.add(cells(row, joint.keys())));
      for (CheckedRow row : rows.get(table.name())) {
        List<String> named = cells(row, joint.columns());
        if (!known.contains(named)) {
          problems.add(
              new ExchangeProblem(
                  table.file(),
                  row.line(),
                  String.join(" + ", joint.columns()),
                  String.join(" + ", named),
                  String.join(" + ", joint.keys()) + " of one row of " + joint.table() + ".csv"));
        }
      }
    }
  }

  private void checkLeads(ExchangeTable table, String column) {
    Set<String> led = new HashSet<>();
    for (CheckedRow row : rows.get(table.name())) {
      if (!row.cells().get(column).isEmpty()) {
        led.add(row.cells().get(table.key().get(0)));
      }
    }
    for (CheckedRow row : rows.get(table.name())) {
      String lead = row.cells().get(column);
      if (led.contains(lead)) {
        problems.add(
            new ExchangeProblem(
                table.file(), row.line(), column, lead, "a row whose " + column + " is empty"));
      }
    }
  }

  private static List<String> cells(CheckedRow row, List<String> columns) {
    return columns.stream().map(row.cells()::get).toList();
  }
}
