package dev.lonja.store.query;

import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.atomic.AtomicLong;
import java.util.regex.Pattern;
import org.jooq.Context;
import org.jooq.DSLContext;
import org.jooq.DataType;
import org.jooq.Field;
import org.jooq.Param;
import org.jooq.QueryPart;
import org.jooq.SQL;
import org.jooq.SQLDialect;
import org.jooq.impl.CustomQueryPart;
import org.jooq.impl.DSL;

/** The text of a statement, made once and cut where its values stand. */
final class FixedText {

  private static final String GIVEN = "given";
  private static final AtomicLong NUMBER = new AtomicLong();

  /** How a value stands in the text; what is written into the text itself may not look like it. */
  private static final Pattern VALUE = Pattern.compile(":\\w+");

  private final List<String> pieces;

  /** After each piece but the last. */
  private final List<Param<?>> params;

  /** Of the values, none of them empty: made here, since making one takes longer than a value. */
  private final List<DataType<?>> filled;

  private final long given;

  private FixedText(List<String> pieces, List<Param<?>> params) {
    this.pieces = pieces;
    this.params = params;
    this.filled = params.stream().<DataType<?>>map(param -> param.getDataType().notNull()).toList();
    this.given = params.stream().filter(FixedText::isGiven).count();
  }

  /**
   * Makes the text of a statement.
   *
   * @param end what is written behind it
   */
  static FixedText of(QueryPart statement, String end) {
    DSLContext context = DSL.using(SQLDialect.SQLITE);
    String text = context.renderNamedParams(statement) + end;
    // what is written into the text itself, such as a separator, is no value of it
    List<Param<?>> params =
        context.extractParams(statement).values().stream()
            .filter(param -> !param.isInline())
            .<Param<?>>map(param -> param)
            .toList();
    List<String> pieces = List.of(VALUE.split(text, -1));
    if (pieces.size() != params.size() + 1) {
      throw new IllegalArgumentException(
          "values are " + params.size() + ", places for them " + (pieces.size() - 1) + ": " + text);
    }
    return new FixedText(pieces, params);
  }

  /** A value that is given anew each time, of the field's type. */
  static <T> Param<T> given(Field<T> like) {
    return DSL.param(GIVEN + NUMBER.incrementAndGet(), like.getDataType());
  }

  /** The text with its values, in the order in which they stand in it. */
  SQL with(Object... values) {
    if (values.length != given) {
      throw new IllegalArgumentException(
          "values are "
              + values.length
              + "; allowed is "
              + given
              + " for "
              + String.join("?", pieces));
    }
    List<Field<?>> bound = new ArrayList<>(params.size());
    int next = 0;
    for (int i = 0; i < params.size(); i++) {
      bound.add(isGiven(params.get(i)) ? value(i, values[next++]) : params.get(i));
    }
    return DSL.sql("{0}", CustomQueryPart.of(written -> write(written, bound)));
  }

  private Param<?> value(int place, Object value) {
    DataType<?> type = value == null ? params.get(place).getDataType() : filled.get(place);
    return DSL.val(value, type);
  }

  private void write(Context<?> written, List<Field<?>> bound) {
    for (int i = 0; i < bound.size(); i++) {
      written.sql(pieces.get(i)).visit(bound.get(i));
    }
    written.sql(pieces.get(bound.size()));
  }

  private static boolean isGiven(Param<?> param) {
    return param.getParamName() != null && param.getParamName().startsWith(GIVEN);
  }
}
