package dev.lonja.store.exchange;

import java.util.Optional;
import org.jooq.Field;
import org.jooq.Record;

/**
 * One column of an exchange table.
 *
 * @param references the table whose key it holds, if any
 * @param required false if an empty cell stands for "none"
 * @param meaning in a few words, for the description that goes with the files
 */
record Column<T>(
    String name,
    Field<T> field,
    Format<T> format,
    boolean required,
    boolean mayBeEmptyText,
    Optional<String> references,
    String meaning) {

  static <T> Column<T> of(String name, Field<T> field, Format<T> format, String meaning) {
    return new Column<>(name, field, format, true, false, Optional.empty(), meaning);
  }

  /** The number of the row itself, or of one it names, whatever the field makes of it. */
  static <T> Column<T> number(String name, Field<T> field, String meaning) {
    return of(name, field, Format.id(field.getDataType()), meaning);
  }

  static <T> Column<T> reference(String name, Field<T> field, String table, String meaning) {
    return number(name, field, meaning).referringTo(table);
  }

  Column<T> referringTo(String table) {
    return new Column<>(name, field, format, required, mayBeEmptyText, Optional.of(table), meaning);
  }

  Column<T> optional() {
    return new Column<>(name, field, format, false, false, references, meaning);
  }

  /** For text that is always there but may say nothing. */
  Column<T> orEmptyText() {
    return new Column<>(name, field, format, false, true, references, meaning);
  }

  String print(Record row) {
    T value = row.get(field);
    return value == null ? "" : format.print().apply(value);
  }

  String allowed() {
    String what =
        references.map(table -> "the key of a row of " + table + ".csv").orElse(format.allowed());
    return required ? what : what + ", or nothing";
  }
}
