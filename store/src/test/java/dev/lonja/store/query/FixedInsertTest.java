package dev.lonja.store.query;

import static dev.lonja.store.schema.Tables.UNIT;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import dev.lonja.core.fleet.UnitId;
import java.time.LocalDate;
import org.jooq.CloseableDSLContext;
import org.jooq.impl.DSL;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

/** A row put in by a text made once: values converted, empty ones left empty, its number known. */
class FixedInsertTest {

  private static final FixedInsert<UnitId> UNITS =
      FixedInsert.into(UNIT, UNIT.ID, UNIT.CODE, UNIT.IN_SERVICE_ON);

  private CloseableDSLContext context;

  @BeforeEach
  void open() {
    context = DSL.using("jdbc:sqlite::memory:");
    context.execute("CREATE TABLE unit (id INTEGER PRIMARY KEY, code TEXT, in_service_on TEXT)");
    context.execute("INSERT INTO unit VALUES (7, 'A', '2024-01-31')");
  }

  @AfterEach
  void close() {
    context.close();
  }

  @Test
  void theRowHasItsValuesAndTellsItsNumber() {
    assertThat(UNITS.insert(context, "B?", LocalDate.parse("2025-02-28"))).isEqualTo(new UnitId(8));
    assertThat(UNITS.insert(context, "C", null)).isEqualTo(new UnitId(9));
    assertThat(
            context
                .select(UNIT.ID, UNIT.CODE, UNIT.IN_SERVICE_ON)
                .from(UNIT)
                .where(UNIT.ID.gt(new UnitId(7)))
                .orderBy(UNIT.ID)
                .fetch(row -> row.value1() + " " + row.value2() + " " + row.value3()))
        .containsExactly("8 B? 2025-02-28", "9 C null");
  }

  @Test
  void aValueThatIsMissingIsRefused() {
    assertThatThrownBy(() -> UNITS.insert(context, "B"))
        .hasMessageContaining("values are 1; allowed is 2");
  }
}
