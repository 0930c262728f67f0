package dev.lonja.store;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import dev.lonja.core.calendar.LayUp;
import dev.lonja.core.fleet.UnitId;
import dev.lonja.core.meter.MeterId;
import dev.lonja.core.meter.NewReading;
import dev.lonja.core.pour.FillPolicy;
import dev.lonja.core.quantity.MeterValue;
import dev.lonja.store.fleet.ReadingRepository;
import dev.lonja.store.schema.DefaultSchema;
import java.time.Instant;
import java.time.LocalDate;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.Collectors;
import org.jooq.Table;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;

/** What writes touch, and how what is kept is brought up to date by it; on a real file. */
class MemoryTest {

  private static final LayUp A_WEEK =
      new LayUp(LocalDate.parse("2027-03-01"), LocalDate.parse("2027-03-07"));

  /** Of unit 7. */
  private static final MeterId SWEEPER = new MeterId(10);

  /** Tables in which a change is no concern of the fleet, each on purpose. */
  private static final Set<String> OTHERS =
      Set.of(
          "audit_line",
          "barcode",
          "bin",
          "budget",
          "calendar_feed",
          "climate_month",
          "data_sheet",
          "finding",
          "item_bin",
          "kit_task",
          "known_device",
          "line_policy",
          "lot",
          "lot_worth",
          "meter_digest",
          "meter_replacement",
          "person",
          "person_place",
          "person_role",
          "picture",
          "reading",
          "reading_ruling",
          "receipt",
          "request",
          "satellite",
          "sign_off",
          "stock",
          "study",
          "study_force",
          "study_line",
          "study_product",
          "price_break",
          "kept_forecast",
          "supplier",
          "supplier_closed",
          "supply_order",
          "order_line",
          "order_answer",
          "delivery_line",
          "claim",
          "invoice",
          "invoice_line",
          "outgoing",
          "stock_count",
          "stocktake",
          "dispenser",
          "dispenser_use",
          "waste_stream",
          "waste_container",
          "waste_entry",
          "waste_certificate",
          "waste_collection",
          "tank",
          "tank_cleaning",
          "tank_dip",
          "metered_pour",
          "delivery_temperature",
          "top_up",
          "transfer",
          "transfer_line",
          "tray_line",
          "tray_task",
          "wanted_part");

  @RegisterExtension final ExampleStore store = new ExampleStore();

  /**
   * Each table either touches the fleet or is named here as one that does not. Readings, rulings
   * and exchanges touch it by their meter, whose count of changes they raise.
   */
  @Test
  void everyTableIsDecidedOn() {
    Set<String> all =
        DefaultSchema.DEFAULT_SCHEMA.getTables().stream()
            .map(Table::getName)
            .filter(name -> !name.startsWith("flyway"))
            .collect(Collectors.toCollection(TreeSet::new));
    Set<String> decided = new TreeSet<>(OTHERS);
    decided.addAll(TouchLog.tables());
    assertThat(decided).isEqualTo(all);
  }

  /** Made once; then brought up to date by the units that were written to, each time. */
  @Test
  void aWriteBringsWhatIsKeptUpToDate() {
    assertThat(value()).isEqualTo("made");
    assertThat(value()).isEqualTo("made");
    layUp(4);
    assertThat(value()).isEqualTo("made, 4");
    assertThat(value()).isEqualTo("made, 4");
    layUp(2);
    layUp(5);
    assertThat(value()).isEqualTo("made, 4, 2 5");
  }

  /** A meter that is read touches its unit, though the reading itself names only the meter. */
  @Test
  void aReadingTouchesTheUnitOfItsMeter() {
    value();
    store.write(
        session -> {
          NewReading reading =
              new NewReading(
                  A_WEEK.first(), Optional.empty(), MeterValue.ofHours("9.5"), Optional.empty());
          return session
              .readings()
              .add(
                  SWEEPER, reading, ReadingRepository.Source.ENTERED, "storekeeper", Instant.EPOCH);
        });
    assertThat(value()).isEqualTo("made, 7");
  }

  /** An upsert notes what it touches though a trigger's own conflict clause does not hold in it. */
  @Test
  void aSettingSetTwiceInATransactionTouchesOnce() {
    value();
    store.write(
        session -> {
          session.settings().set(FillPolicy.DEFAULT);
          session.settings().set(FillPolicy.DEFAULT);
          return true;
        });
    assertThat(value()).isEqualTo("made, ");
  }

  /** The writer sees its own unfinished write; once undone, nobody ever hears of it. */
  @Test
  void anUndoneWriteTouchesNothing() {
    value();
    assertThatThrownBy(
            () ->
                store.write(
                    session -> {
                      assertThat(of(session)).isEqualTo("made");
                      session.fleet().addLayUp(new UnitId(3), A_WEEK);
                      assertThat(of(session)).isEqualTo("made, 3");
                      throw new IllegalStateException("undone");
                    }))
        .hasMessageContaining("undone");
    assertThat(value()).isEqualTo("made");
  }

  /** What a write touched is seen by the next writer, too. */
  @Test
  void aWriterSeesWhatEarlierOnesTouched() {
    value();
    layUp(6);
    assertThat(store.<String>write(MemoryTest::of)).isEqualTo("made, 6");
    assertThat(value()).isEqualTo("made, 6");
  }

  /** Writes that nobody looked at are put together and not forgotten: 100 of eight units. */
  @Test
  void manyWritesWithoutALookAreAllSeen() {
    value();
    for (int i = 0; i < 100; i++) {
      LocalDate day = A_WEEK.first().plusDays(10L * i);
      UnitId unit = new UnitId(1 + i % 8);
      store.write(
          session -> {
            session.fleet().addLayUp(unit, new LayUp(day, day));
            return true;
          });
    }
    assertThat(value()).isEqualTo("made, 1 2 3 4 5 6 7 8");
  }

  private void layUp(long unit) {
    store.write(
        session -> {
          session.fleet().addLayUp(new UnitId(unit), A_WEEK);
          return true;
        });
  }

  private String value() {
    return store.read(MemoryTest::of);
  }

  private static String of(Session session) {
    return session.kept(
        String.class,
        () -> "made",
        (known, touched) ->
            known
                + ", "
                + touched.units().stream()
                    .map(UnitId::value)
                    .sorted()
                    .map(String::valueOf)
                    .collect(Collectors.joining(" ")));
  }
}
