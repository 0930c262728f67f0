package dev.lonja.store.query;

import java.util.Collection;
import java.util.stream.Collectors;
import org.jooq.Condition;
import org.jooq.Field;
import org.jooq.Record1;
import org.jooq.Select;
import org.jooq.impl.DSL;

/**
 * Conditions on many values by one bound parameter, a JSON array, so that a statement's text does
 * not grow with its values and SQLite prepares it once.
 */
public final class Bound {

  private Bound() {}

  /** True for rows whose field is one of these. */
  public static Condition oneOf(Field<Long> field, Collection<Long> values) {
    String json = values.stream().map(String::valueOf).collect(Collectors.joining(",", "[", "]"));
    return field.in(each(json, Long.class));
  }

  /** True for rows whose text is one of these, which hold letters and digits only. */
  public static Condition oneOfKeys(Field<String> field, Collection<String> keys) {
    String json = keys.stream().collect(Collectors.joining("\",\"", "[\"", "\"]"));
    return field.in(each(json, String.class));
  }

  private static <T> Select<Record1<T>> each(String json, Class<T> type) {
    Field<T> value = DSL.field(DSL.name("value"), type);
    return DSL.select(value).from("json_each({0})", DSL.val(json));
  }
}
