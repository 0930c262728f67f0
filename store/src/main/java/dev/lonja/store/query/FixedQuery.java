package dev.lonja.store.query;

import org.jooq.DSLContext;
import org.jooq.Field;
import org.jooq.Param;
import org.jooq.Record;
import org.jooq.ResultQuery;
import org.jooq.Select;

/**
 * A query whose text is made once and then filled with values: for statements that pages ask again
 * and again, since making the text of one takes longer than SQLite takes to answer it.
 */
public final class FixedQuery {

  private final FixedText text;
  private final Field<?>[] fields;

  private FixedQuery(Select<?> query) {
    this.text = FixedText.of(query, "");
    this.fields = query.getSelect().toArray(Field<?>[]::new);
  }

  /** A query that says its columns one by one; each {@link #given} value stands in it once. */
  public static FixedQuery of(Select<?> query) {
    return new FixedQuery(query);
  }

  /** A value that is given anew each time, of the field's type. */
  public static <T> Param<T> given(Field<T> like) {
    return FixedText.given(like);
  }

  /**
   * The query with its values.
   *
   * @param values in the order in which they stand in it
   */
  public ResultQuery<Record> with(DSLContext context, Object... values) {
    return context.resultQuery(text.with(values)).coerce(fields);
  }
}
