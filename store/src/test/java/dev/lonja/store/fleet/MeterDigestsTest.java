package dev.lonja.store.fleet;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import dev.lonja.core.meter.Meter;
import dev.lonja.core.meter.MeterDigest;
import dev.lonja.core.meter.MeterId;
import dev.lonja.core.meter.NewReading;
import dev.lonja.core.meter.Ruling;
import dev.lonja.core.quantity.MeterValue;
import dev.lonja.store.LonjaStore;
import dev.lonja.store.Session;
import dev.lonja.store.Stores;
import java.nio.file.Path;
import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.atomic.AtomicInteger;
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

  /** A value is worked out once, and anew after a write of this or of another process. */
  @Test
  void aValueIsRememberedUntilTheDataChange() {
    AtomicInteger times = new AtomicInteger();
    assertThat(value(times, "a")).isEqualTo(1);
    assertThat(value(times, "a")).isEqualTo(1);
    assertThat(value(times, "b")).isEqualTo(2);
    note("4.4");
    assertThat(value(times, "b")).isEqualTo(3);
    Stores.tamper(store, "UPDATE unit SET name = 'Another name' WHERE id = 1");
    assertThat(value(times, "b")).isEqualTo(4);
    store.write(
        session -> {
          session.remembered(Integer.class, "b", times::incrementAndGet);
          return true;
        });
    assertThat(times).hasValue(5);
    assertThat(value(times, "b")).isEqualTo(6);
  }

  private int value(AtomicInteger times, String key) {
    return store.read(session -> session.remembered(Integer.class, key, times::incrementAndGet));
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
    return digests.get(SWEEPER).last().orElseThrow().reading().value().display();
  }

  private Map<MeterId, MeterDigest> digests() {
    return store.read(MeterDigestsTest::of);
  }

  private static Map<MeterId, MeterDigest> of(Session session) {
    List<Meter> meters = session.fleet().meters();
    return session.meterDigests().of(meters, session.fleet().calendars());
  }
}
