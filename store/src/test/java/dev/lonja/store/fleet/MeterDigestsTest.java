package dev.lonja.store.fleet;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import dev.lonja.core.calendar.LayUp;
import dev.lonja.core.fleet.UnitId;
import dev.lonja.core.meter.Meter;
import dev.lonja.core.meter.MeterDigest;
import dev.lonja.core.meter.MeterId;
import dev.lonja.core.meter.NewReading;
import dev.lonja.core.meter.Ruling;
import dev.lonja.core.quantity.MeterValue;
import dev.lonja.store.LonjaStore;
import dev.lonja.store.Session;
import dev.lonja.store.Stores;
import dev.lonja.store.query.UnitScope;
import java.nio.file.Path;
import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** What the store remembers of meters, on a real file with the example store. */
class MeterDigestsTest {

  private static final Instant NOW = Instant.parse("2027-03-15T09:00:00Z");
  private static final LocalDate TODAY = LocalDate.parse("2027-03-15");
  private static final MeterId SWEEPER = new MeterId(10);

  @TempDir Path folder;
  private LonjaStore store;

  @BeforeEach
  void open() {
    store = Stores.example(folder);
  }

  @AfterEach
  void close() {
    store.close();
  }

  /** What is remembered is what is worked out anew, for every meter of the store. */
  @Test
  void whatIsRememberedIsWhatIsWorkedOut() {
    Map<MeterId, MeterDigest> first = digests();
    assertThat(digests()).isEqualTo(first);
    try (LonjaStore other = LonjaStore.open(store.file())) {
      assertThat(other.<Map<MeterId, MeterDigest>>read(MeterDigestsTest::of)).isEqualTo(first);
    }
    assertThat(first).hasSize(11);
  }

  /** Noted after the first look: a reading, then a ruling that sets it aside again. */
  @Test
  void whatIsNotedLaterIsSeen() {
    assertThat(last()).isEqualTo("3.1 h");
    long id = note("9.5");
    assertThat(last()).isEqualTo("9.5 h");
    store.write(
        session -> {
          session.readings().rule(new Ruling.Wanted(id, false, "misread", "auditor"), NOW);
          return true;
        });
    assertThat(last()).isEqualTo("3.1 h");
  }

  /** A transaction sees what it wrote itself; once undone, nobody remembers it. */
  @Test
  void whatIsUndoneIsNotRemembered() {
    assertThat(last()).isEqualTo("3.1 h");
    assertThatThrownBy(
            () ->
                store.write(
                    session -> {
                      add(session, "8.8");
                      assertThat(shown(of(session))).isEqualTo("8.8 h");
                      throw new IllegalStateException("undone");
                    }))
        .hasMessageContaining("undone");
    assertThat(last()).isEqualTo("3.1 h");
    note("7.7");
    assertThat(last()).isEqualTo("7.7 h");
  }

  /** Kept in a table when the store is closed; a later start judges none of the readings. */
  @Test
  void whatWasWorkedOutOutlivesAStop() {
    Map<MeterId, MeterDigest> first = digests();
    store.close();
    Stores.tamper(store, "UPDATE meter_digest SET last_shown_tenths = 4711 WHERE meter_id = 10");
    store = LonjaStore.open(store.file());
    assertThat(last()).isEqualTo("471.1 h");
    note("9.5");
    assertThat(last()).isEqualTo("9.5 h");
    store.close();
    store = LonjaStore.open(store.file());
    assertThat(last()).isEqualTo("9.5 h");
    assertThat(digests()).hasSameSizeAs(first);
  }

  /** A digest made under other rules, or for another calendar, is none. */
  @Test
  void aDigestOfOtherRulesOrAnotherCalendarIsWorkedOutAnew() {
    digests();
    store.close();
    Stores.tamper(
        store,
        "UPDATE meter_digest SET last_shown_tenths = 4711, rules = rules + 1 WHERE meter_id = 10");
    store = LonjaStore.open(store.file());
    assertThat(last()).isEqualTo("3.1 h");
    store.close();
    Stores.tamper(store, "UPDATE meter_digest SET last_shown_tenths = 4711 WHERE meter_id = 10");
    store = LonjaStore.open(store.file());
    LayUp layUp = new LayUp(TODAY.minusDays(9), TODAY.minusDays(2));
    store.write(
        session -> {
          UnitId unit =
              session.fleet().meters(UnitScope.ALL).stream()
                  .filter(meter -> meter.id().equals(SWEEPER))
                  .findFirst()
                  .orElseThrow()
                  .unitId();
          session.fleet().addLayUp(unit, layUp);
          return true;
        });
    assertThat(last()).isEqualTo("3.1 h");
  }

  private long note(String hours) {
    return store.write(session -> add(session, hours));
  }

  private static long add(Session session, String hours) {
    NewReading reading =
        new NewReading(TODAY, Optional.empty(), MeterValue.ofHours(hours), Optional.empty());
    return session
        .readings()
        .add(SWEEPER, reading, ReadingRepository.Source.ENTERED, "storekeeper", NOW);
  }

  private String last() {
    return shown(digests());
  }

  private static String shown(Map<MeterId, MeterDigest> digests) {
    return digests.get(SWEEPER).last().orElseThrow().shown().display();
  }

  private Map<MeterId, MeterDigest> digests() {
    return store.read(MeterDigestsTest::of);
  }

  private static Map<MeterId, MeterDigest> of(Session session) {
    List<Meter> meters = session.fleet().meters(UnitScope.ALL);
    return session.meterDigests().of(meters, session.fleet().calendars(UnitScope.ALL));
  }
}
