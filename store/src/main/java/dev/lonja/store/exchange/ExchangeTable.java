package dev.lonja.store.exchange;

import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import java.util.function.UnaryOperator;
import org.jooq.Field;
import org.jooq.Table;

/**
 * One table of the exchange format: the file {@code name.csv}.
 *
 * @param key the columns that tell its rows apart and give their order
 * @param unique further sets of columns that no two rows share
 * @param alike columns of which no two rows have what comes to the same
 * @param leads columns that name a row of the same table, which names none itself
 * @param derived database fields worked out from the cells
 */
record ExchangeTable(
    String name,
    Table<?> table,
    List<Column<?>> columns,
    List<String> key,
    List<List<String>> unique,
    Map<String, UnaryOperator<String>> alike,
    List<RowRule> rules,
    List<JointReference> joint,
    List<String> leads,
    Map<Field<String>, Function<Map<String, String>, String>> derived) {

  String file() {
    return name + ".csv";
  }

  List<String> header() {
    return columns.stream().<String>map(Column::name).toList();
  }

  Column<?> column(String wanted) {
    return columns.stream().filter(c -> c.name().equals(wanted)).findFirst().orElseThrow();
  }

  /**
   * Columns that name a row of another table together, such as an item and one of its lots.
   *
   * @param columns here
   * @param table whose row is named
   * @param keys the columns there, in the same order
   */
  record JointReference(List<String> columns, String table, List<String> keys) {}

  static Builder named(String name, Table<?> table) {
    return new Builder(name, table);
  }

  static final class Builder {
    private final String name;
    private final Table<?> table;
    private final List<Column<?>> columns = new ArrayList<>();
    private final List<List<String>> unique = new ArrayList<>();
    private final Map<String, UnaryOperator<String>> alike = new LinkedHashMap<>();
    private final List<RowRule> rules = new ArrayList<>();
    private final List<JointReference> joint = new ArrayList<>();
    private final List<String> leads = new ArrayList<>();
    private Map<Field<String>, Function<Map<String, String>, String>> derived = Map.of();

    private Builder(String name, Table<?> table) {
      this.name = name;
      this.table = table;
    }

    Builder with(Column<?> column) {
      columns.add(column);
      return this;
    }

    Builder unique(String... names) {
      unique.add(List.of(names));
      return this;
    }

    /** No two rows have cells of this column that come to the same. */
    Builder notAlike(String column, UnaryOperator<String> key) {
      alike.put(column, key);
      return this;
    }

    /** The two columns name a row of {@code other} together, by these two of its columns. */
    Builder jointly(String one, String two, String other, String oneThere, String twoThere) {
      joint.add(new JointReference(List.of(one, two), other, List.of(oneThere, twoThere)));
      return this;
    }

    /** The row that is named by this column, in the same table, names none itself. */
    Builder leads(String column) {
      leads.add(column);
      return this;
    }

    Builder rule(RowRule rule) {
      rules.add(rule);
      return this;
    }

    /** Both cells are filled or both are empty. */
    Builder together(String one, String other) {
      return rule(
          new RowRule(
              other,
              "filled exactly where " + one + " is",
              row -> row.get(one).isEmpty() == row.get(other).isEmpty()));
    }

    /** The cell is filled exactly in rows where another one holds a word. */
    Builder filledExactlyFor(String column, String other, String... words) {
      List<String> list = List.of(words);
      return rule(
          new RowRule(
              column,
              "filled exactly where " + other + " is " + String.join(" or ", list),
              row -> list.contains(row.get(other)) != row.get(column).isEmpty()));
    }

    /** That the upper end of a range, where it is given, lies above the lower one. */
    Builder above(String upper, String lower) {
      return rule(
          new RowRule(
              upper,
              "above " + lower,
              row ->
                  row.get(upper).isEmpty()
                      || row.get(lower).isEmpty()
                      || new BigDecimal(row.get(upper)).compareTo(new BigDecimal(row.get(lower)))
                          > 0));
    }

    Builder derive(Field<String> field, Function<Map<String, String>, String> from) {
      derived = new LinkedHashMap<>(derived);
      derived.put(field, from);
      return this;
    }

    ExchangeTable build() {
      Optional<Column<?>> first = columns.stream().findFirst();
      return new ExchangeTable(
          name,
          table,
          List.copyOf(columns),
          List.of(first.orElseThrow().name()),
          List.copyOf(unique),
          Map.copyOf(alike),
          List.copyOf(rules),
          List.copyOf(joint),
          List.copyOf(leads),
          derived);
    }
  }
}
