package dev.lonja.store.query;

import static dev.lonja.store.schema.Tables.ITEM;
import static dev.lonja.store.schema.Tables.LOT;
import static dev.lonja.store.schema.Tables.UNIT;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import dev.lonja.core.fleet.UnitId;
import dev.lonja.core.item.ItemId;
import java.time.LocalDate;
import java.util.List;
import org.jooq.CloseableDSLContext;
import org.jooq.Field;
import org.jooq.impl.DSL;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

/** A query made once gives what one made anew would, values converted both ways. */
class FixedQueryTest {

  private CloseableDSLContext context;

  @BeforeEach
  void open() {
    context = DSL.using("jdbc:sqlite::memory:");
    context.execute("CREATE TABLE unit (id INTEGER, code TEXT, in_service_on TEXT)");
    context.execute(
        "INSERT INTO unit VALUES (1, 'A', '2024-01-31'), (2, 'B', '2025-02-28'), (3, 'C', '2026-03-15')");
  }

  @AfterEach
  void close() {
    context.close();
  }

  /** Ids as a JSON array, then a day; a constant between them stays as it is. */
  @Test
  void valuesStandInTheOrderOfTheText() {
    FixedQuery query =
        FixedQuery.of(
            DSL.select(UNIT.ID, UNIT.CODE, UNIT.IN_SERVICE_ON)
                .from(UNIT)
                .where(Bound.oneOfGiven(UNIT.ID), UNIT.CODE.ne("C"))
                .and(UNIT.IN_SERVICE_ON.ge(FixedQuery.given(UNIT.IN_SERVICE_ON)))
                .orderBy(UNIT.ID));
    String ids = Bound.numbers(List.of(new UnitId(1), new UnitId(2), new UnitId(3)));
    assertThat(query.with(context, ids, LocalDate.parse("2024-01-31")).fetch(UNIT.ID))
        .containsExactly(new UnitId(1), new UnitId(2));
    assertThat(query.with(context, ids, LocalDate.parse("2024-02-01")).fetch(UNIT.IN_SERVICE_ON))
        .containsExactly(LocalDate.parse("2025-02-28"));
    assertThat(query.with(context, "[]", LocalDate.parse("2024-02-01")).fetch()).isEmpty();
  }

  /** What is written into the text is no value: a question mark and a separator within quotes. */
  @Test
  void whatIsWrittenIntoTheTextIsNoValue() {
    Field<String> codes =
        DSL.groupConcat(DSL.concat(UNIT.CODE, DSL.inline("?"))).separator(" ? ").as("codes");
    FixedQuery query =
        FixedQuery.of(DSL.select(codes).from(UNIT).where(UNIT.ID.le(FixedQuery.given(UNIT.ID))));
    assertThat(query.with(context, new UnitId(2)).fetchSingle().get(codes)).isEqualTo("A? ? B?");
  }

  /** A constant in the text before others, each of which stays at its own place. */
  @Test
  void whatIsWrittenIntoTheTextShiftsNoValue() {
    Field<String> kind = DSL.inline("new").as("kind");
    FixedQuery query =
        FixedQuery.of(
            DSL.select(kind, UNIT.ID)
                .from(UNIT)
                .where(UNIT.CODE.in("B", "C"), UNIT.ID.le(FixedQuery.given(UNIT.ID)))
                .orderBy(UNIT.ID));
    assertThat(query.with(context, new UnitId(2)).fetch(UNIT.ID)).containsExactly(new UnitId(2));
    assertThat(query.with(context, new UnitId(3)).fetch(kind)).containsExactly("new", "new");
  }

  @Test
  void tooFewAndTooManyValuesAreRefused() {
    FixedQuery query =
        FixedQuery.of(
            DSL.select(LOT.ID).from(LOT).where(LOT.ITEM_ID.eq(FixedQuery.given(ITEM.ID))));
    assertThatThrownBy(() -> query.with(context, new ItemId(1), new ItemId(2)))
        .hasMessageContaining("values are 2; allowed is 1");
    assertThatThrownBy(() -> query.with(context)).isInstanceOf(IllegalArgumentException.class);
  }
}
