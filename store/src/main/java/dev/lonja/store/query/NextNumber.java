package dev.lonja.store.query;

import org.jooq.DSLContext;
import org.jooq.Field;
import org.jooq.Table;
import org.jooq.impl.DSL;

/**
 * Draws the number of a row that is about to be stored, so that nothing ever carries a number that
 * is none. The one writer's transaction keeps it free until then.
 */
public final class NextNumber {

  private NextNumber() {}

  /** The number after the highest there is, as the type of the field. */
  public static <T> T of(DSLContext context, Table<?> table, Field<T> number) {
    Field<Long> highest = DSL.coalesce(DSL.max(number.coerce(Long.class)), 0L);
    return number
        .getDataType()
        .convert(context.select(highest).from(table).fetchSingle(highest) + 1);
  }
}
