package dev.lonja.store;

import dev.lonja.core.fleet.UnitId;
import dev.lonja.store.query.FixedQuery;
import java.sql.Connection;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.stream.Stream;
import org.jooq.DSLContext;
import org.jooq.Field;
import org.jooq.Table;
import org.jooq.impl.DSL;
import org.jooq.impl.SQLDataType;

/**
 * Notes which units a transaction touches, in a temporary table of the writer's connection that
 * temporary triggers fill. Nothing of it is in the data file, and an undone transaction leaves no
 * trace. Whatever a repository writes, and by whatever statement, is seen.
 */
final class TouchLog {

  /** How a row of a table leads to what it touches: ROW stands for the row. */
  private static final Map<String, List<Touch>> TOUCHES = new TreeMap<>();

  private static final Table<?> TOUCHED = DSL.table(DSL.name("touched"));
  private static final Field<String> KIND = DSL.field(DSL.name("kind"), SQLDataType.VARCHAR);
  private static final Field<Long> NUMBER = DSL.field(DSL.name("number"), SQLDataType.BIGINT);

  private static final Field<Long> TOTAL = DSL.field("total_changes()", SQLDataType.BIGINT);

  private static final FixedQuery ALL = FixedQuery.of(DSL.select(KIND, NUMBER).from(TOUCHED));
  private static final FixedQuery ROWS_WRITTEN = FixedQuery.of(DSL.select(TOTAL));

  private enum Kind {
    UNIT,
    VARIANT,
    CLASS,
    COMMON
  }

  /**
   * @param select the numbers that are touched
   */
  private record Touch(Kind kind, String select) {}

  static {
    touches("unit", Kind.UNIT, "SELECT ROW.id AS number");
    for (String table :
        List.of("meter", "lay_up", "deviation", "task_record", "fill", "top_up", "task_move")) {
      touches(table, Kind.UNIT, "SELECT ROW.unit_id AS number");
    }
    // the workshop's own trays are for no unit
    touches("tray", Kind.UNIT, "SELECT ROW.unit_id AS number WHERE ROW.unit_id IS NOT NULL");
    touches("variant", Kind.VARIANT, "SELECT ROW.id AS number");
    touches("model", Kind.VARIANT, "SELECT id AS number FROM variant WHERE model_id = ROW.id");
    for (String table : List.of("compartment", "position", "service")) {
      touches(table, Kind.VARIANT, "SELECT ROW.variant_id AS number");
    }
    for (String table :
        List.of("capacity", "change_over", "spec_grade", "spec_class", "spec_approval")) {
      touches(
          table,
          Kind.VARIANT,
          "SELECT variant_id AS number FROM compartment WHERE id = ROW.compartment_id");
    }
    touches(
        "task", Kind.VARIANT, "SELECT variant_id AS number FROM service WHERE id = ROW.service_id");
    touches(
        "fluid_interval",
        Kind.VARIANT,
        "SELECT variant_id AS number FROM service JOIN task ON task.service_id = service.id"
            + " WHERE task.id = ROW.task_id");
    touches("unit_class", Kind.CLASS, "SELECT ROW.id AS number");
    touches("class_month", Kind.CLASS, "SELECT ROW.class_id AS number");
    for (String table :
        List.of(
            "setting",
            "policy",
            "product",
            "product_approval",
            "reference_change",
            // the coldest month says how strong a coolant is mixed
            "climate_month",
            "rubber_fluid",
            "item",
            "part",
            "part_property",
            // which makes fit, and what each costs, may decide which is taken
            "statement",
            "withdrawal",
            "supply",
            "box_content",
            "kit_range",
            "inspection")) {
      touches(table, Kind.COMMON, "SELECT 0 AS number");
    }
    // a record that is withdrawn takes the outcome of its inspection with it
    touches("task_record", Kind.COMMON, "SELECT 0 AS number WHERE ROW.withdraws IS NOT NULL");
    // what an inspection kept is counted on its own machine
    touches(
        "inspection",
        Kind.UNIT,
        "SELECT unit_id AS number FROM task_record WHERE id = ROW.record_id");
    // what came back unused of a tray says how often it is used
    touches("tray", Kind.COMMON, "SELECT 0 AS number WHERE ROW.state = 'BACK'");
    touches(
        "movement",
        Kind.COMMON,
        "SELECT 0 AS number FROM tray WHERE number = ROW.reference AND state = 'BACK'");
  }

  private TouchLog() {}

  private static void touches(String table, Kind kind, String select) {
    TOUCHES.merge(
        table,
        List.of(new Touch(kind, select)),
        (known, more) -> Stream.concat(known.stream(), more.stream()).toList());
  }

  /** The tables in which a change touches the fleet. */
  static Set<String> tables() {
    return TOUCHES.keySet();
  }

  /** Begins to note on a connection what is written by it. */
  static void begin(Connection connection) throws SQLException {
    try (Statement statement = connection.createStatement()) {
      statement.executeUpdate(
          "CREATE TEMP TABLE IF NOT EXISTS touched (kind TEXT NOT NULL, number INTEGER NOT NULL,"
              + " PRIMARY KEY (kind, number)) WITHOUT ROWID");
      for (Map.Entry<String, List<Touch>> entry : TOUCHES.entrySet()) {
        trigger(statement, entry.getKey(), "INSERT", List.of("NEW"), entry.getValue());
        trigger(statement, entry.getKey(), "UPDATE", List.of("OLD", "NEW"), entry.getValue());
        trigger(statement, entry.getKey(), "DELETE", List.of("OLD"), entry.getValue());
      }
    }
  }

  private static void trigger(
      Statement statement, String table, String on, List<String> rows, List<Touch> touches)
      throws SQLException {
    StringBuilder body = new StringBuilder();
    for (Touch touch : touches) {
      for (String row : rows) {
        // no INSERT OR IGNORE: within a trigger the conflict clause of the outer statement holds
        String insert =
            "INSERT INTO touched SELECT '%1$s', touches.number FROM (%2$s) touches"
                + " WHERE NOT EXISTS (SELECT 1 FROM touched"
                + " WHERE kind = '%1$s' AND number = touches.number); ";
        body.append(insert.formatted(touch.kind(), touch.select().replace("ROW.", row + ".")));
      }
    }
    statement.executeUpdate(
        "CREATE TEMP TRIGGER IF NOT EXISTS touched_by_%s_of_%s AFTER %s ON main.%s BEGIN %s END"
            .formatted(on, table, on, table, body));
  }

  /** What the transaction has touched so far. */
  static Touched read(DSLContext context) {
    Set<UnitId> units = new HashSet<>();
    Set<Long> variants = new HashSet<>();
    Set<Long> classes = new HashSet<>();
    Set<Long> common = new HashSet<>();
    ALL.with(context)
        .forEach(
            row -> {
              long number = row.get(NUMBER);
              switch (Kind.valueOf(row.get(KIND))) {
                case UNIT -> units.add(new UnitId(number));
                case VARIANT -> variants.add(number);
                case CLASS -> classes.add(number);
                case COMMON -> common.add(number);
              }
            });
    return new Touched(units, variants, classes, !common.isEmpty());
  }

  /** What the transaction has touched; the log is empty afterwards, ready for the next one. */
  static Touched take(DSLContext context) {
    Touched touched = read(context);
    if (!touched.isNothing()) {
      context.deleteFrom(TOUCHED).execute();
    }
    return touched;
  }

  /**
   * Grows with every row that the connection writes, so two looks tell whether it wrote between.
   */
  static long rowsWritten(DSLContext context) {
    return ROWS_WRITTEN.with(context).fetchSingle(TOTAL);
  }
}
