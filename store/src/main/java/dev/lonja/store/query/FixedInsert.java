package dev.lonja.store.query;

import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.Map;
import org.jooq.DSLContext;
import org.jooq.Field;
import org.jooq.Table;
import org.jooq.TableField;
import org.jooq.impl.DSL;

/** An insert of one row whose text is made once, as that of a {@link FixedQuery}. */
public final class FixedInsert<T> {

  private final FixedText text;
  private final Field<T> number;

  private FixedInsert(FixedText text, Field<T> number) {
    this.text = text;
    this.number = number;
  }

  /**
   * An insert of these columns, which are given in this order.
   *
   * @param number the column whose value the store gives the row
   */
  public static <T> FixedInsert<T> into(
      Table<?> table, TableField<?, T> number, TableField<?, ?>... columns) {
    Map<Field<?>, Field<?>> row = new LinkedHashMap<>();
    Arrays.stream(columns).forEach(column -> row.put(column, FixedQuery.given(column)));
    return new FixedInsert<>(
        FixedText.of(DSL.insertInto(table).set(row), " returning " + number.getName()), number);
  }

  /**
   * Inserts a row.
   *
   * @param values one for each column
   * @return its number
   */
  public T insert(DSLContext context, Object... values) {
    return context.resultQuery(text.with(values)).coerce(number).fetchSingle(number);
  }
}
