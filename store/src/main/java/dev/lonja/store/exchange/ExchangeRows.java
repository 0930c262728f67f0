package dev.lonja.store.exchange;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.jooq.DSLContext;
import org.jooq.Field;
import org.jooq.exception.DataAccessException;

/** Writes checked rows into an empty store. */
final class ExchangeRows {

  private static final int BATCH = 500;

  private final DSLContext context;
  private final List<ExchangeProblem> problems = new ArrayList<>();

  ExchangeRows(DSLContext context) {
    this.context = context;
  }

  /** Every row that the database itself refuses; empty if all were written. */
  List<ExchangeProblem> insert(Map<String, List<CheckedRow>> rows) {
    for (ExchangeTable table : ExchangeTables.ALL) {
      List<CheckedRow> all = rows.get(table.name());
      for (int from = 0; from < all.size(); from += BATCH) {
        insert(table, all.subList(from, Math.min(from + BATCH, all.size())));
      }
    }
    return problems;
  }

  /** In one go where the database agrees; else row by row, to name each that it refuses. */
  private void insert(ExchangeTable table, List<CheckedRow> rows) {
    try {
      context.transaction(
          configuration -> {
            DSLContext inner = configuration.dsl();
            runs(rows.stream().map(row -> values(table, row)).toList())
                .forEach(run -> insert(inner, table, run));
          });
    } catch (DataAccessException e) {
      rows.forEach(row -> insertAlone(table, row));
    }
  }

  /** Rows that follow each other and fill the same columns, for which one statement will do. */
  private static List<List<Map<Field<?>, Object>>> runs(List<Map<Field<?>, Object>> rows) {
    List<List<Map<Field<?>, Object>>> runs = new ArrayList<>();
    List<Map<Field<?>, Object>> run = List.of();
    for (Map<Field<?>, Object> row : rows) {
      if (run.isEmpty() || !run.get(0).keySet().equals(row.keySet())) {
        run = new ArrayList<>();
        runs.add(run);
      }
      run.add(row);
    }
    return runs;
  }

  private static void insert(
      DSLContext context, ExchangeTable table, List<Map<Field<?>, Object>> run) {
    Set<Field<?>> columns = run.get(0).keySet();
    context
        .batch(
            context.insertInto(table.table()).columns(columns).values(new Object[columns.size()]))
        .bind(run.stream().map(row -> row.values().toArray()).toArray(Object[][]::new))
        .execute();
  }

  private void insertAlone(ExchangeTable table, CheckedRow row) {
    try {
      context.insertInto(table.table()).set(values(table, row)).execute();
    } catch (DataAccessException e) {
      Throwable cause = e.getCause() == null ? e : e.getCause();
      problems.add(
          new ExchangeProblem(
              table.file(),
              row.line(),
              "",
              String.join(",", row.cells().values()),
              "a row that keeps the rules of the store (" + cause.getMessage() + ")"));
    }
  }

  private static Map<Field<?>, Object> values(ExchangeTable table, CheckedRow row) {
    Map<Field<?>, Object> values = new LinkedHashMap<>();
    for (Column<?> column : table.columns()) {
      put(values, column, row.cells().get(column.name()));
    }
    table.derived().forEach((field, from) -> values.put(field, from.apply(row.cells())));
    return values;
  }

  private static <T> void put(Map<Field<?>, Object> values, Column<T> column, String cell) {
    if (!cell.isEmpty()) {
      values.put(column.field(), column.format().parse().apply(cell).orElseThrow());
    } else if (column.mayBeEmptyText()) {
      values.put(column.field(), "");
    }
  }
}
