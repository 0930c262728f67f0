package dev.lonja.store.query;

import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.atomic.AtomicLong;
import org.jooq.DSLContext;
import org.jooq.Field;
import org.jooq.Param;
import org.jooq.Record;
import org.jooq.ResultQuery;
import org.jooq.SQLDialect;
import org.jooq.Select;
import org.jooq.impl.DSL;

/**
 * A query whose text is made once and then filled with values: for statements that pages ask again
 * and again, since making the text of one takes longer than SQLite takes to answer it.
 */
public final class FixedQuery {

  private static final String GIVEN = "given";
  private static final AtomicLong NUMBER = new AtomicLong();

  private final String text;
  private final List<Param<?>> params;
  private final long given;
  private final Field<?>[] fields;

  private FixedQuery(Select<?> query) {
    DSLContext context = DSL.using(SQLDialect.SQLITE);
    this.text = context.render(query);
    // what is written into the text itself, such as a separator, is no parameter of it
    this.params =
        context.extractParams(query).values().stream()
            .filter(param -> !param.isInline())
            .<Param<?>>map(param -> param)
            .toList();
    this.given = params.stream().filter(FixedQuery::isGiven).count();
    this.fields = query.getSelect().toArray(Field<?>[]::new);
  }

  /** A query that says its columns one by one; each {@link #given} value stands in it once. */
  public static FixedQuery of(Select<?> query) {
    return new FixedQuery(query);
  }

  /** A value that is given anew each time, of the field's type. */
  public static <T> Param<T> given(Field<T> like) {
    return DSL.param(GIVEN + NUMBER.incrementAndGet(), like.getDataType());
  }

  /**
   * The query with its values.
   *
   * @param values in the order in which they stand in it
   */
  public ResultQuery<Record> with(DSLContext context, Object... values) {
    if (values.length != given) {
      throw new IllegalArgumentException(
          "values are " + values.length + "; allowed is " + given + " for " + text);
    }
    List<Object> bound = new ArrayList<>(params.size());
    int next = 0;
    for (Param<?> param : params) {
      bound.add(isGiven(param) ? DSL.val(values[next++], param.getDataType()) : param);
    }
    return context.resultQuery(text, bound.toArray()).coerce(fields);
  }

  private static boolean isGiven(Param<?> param) {
    return param.getParamName() != null && param.getParamName().startsWith(GIVEN);
  }
}
