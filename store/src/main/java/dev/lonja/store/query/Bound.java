package dev.lonja.store.query;

import java.util.Collection;
import java.util.stream.Collectors;
import org.jooq.Condition;
import org.jooq.DataType;
import org.jooq.Field;
import org.jooq.Record1;
import org.jooq.Select;
import org.jooq.impl.DSL;
import org.jooq.impl.SQLDataType;

/**
 * Conditions on many values by one bound parameter, a JSON array, so that a statement's text does
 * not grow with its values and SQLite prepares it once.
 */
public final class Bound {

  private static final Field<String> JSON = DSL.field("json", SQLDataType.VARCHAR);

  private Bound() {}

  /** True for rows whose field is one of these numbers. */
  public static <T> Condition oneOf(Field<T> field, Collection<T> numbers) {
    return field.in(each(DSL.val(numbers(numbers)), field.getDataType()));
  }

  /** The same for a {@link FixedQuery}, which is given the {@link #numbers}. */
  public static <T> Condition oneOfGiven(Field<T> field) {
    return field.in(each(FixedQuery.given(JSON), field.getDataType()));
  }

  /** Numbers in writing, as one value. */
  public static String numbers(Collection<?> numbers) {
    return numbers.stream().map(String::valueOf).collect(Collectors.joining(",", "[", "]"));
  }

  /** True for rows whose text is one of these, which hold letters and digits only. */
  public static Condition oneOfKeys(Field<String> field, Collection<String> keys) {
    String json = keys.stream().collect(Collectors.joining("\",\"", "[\"", "\"]"));
    return field.in(each(DSL.val(json), SQLDataType.VARCHAR));
  }

  private static <T> Select<Record1<T>> each(Field<String> json, DataType<T> type) {
    Field<T> value = DSL.field(DSL.name("value"), type);
    return DSL.select(value).from("json_each({0})", json);
  }
}
