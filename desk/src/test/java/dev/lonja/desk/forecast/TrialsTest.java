package dev.lonja.desk.forecast;

import static org.assertj.core.api.Assertions.assertThat;

import dev.lonja.core.calendar.LayUp;
import dev.lonja.core.fleet.UnitId;
import dev.lonja.core.forecast.Subject;
import dev.lonja.core.meter.MeterId;
import dev.lonja.core.meter.NewReading;
import dev.lonja.core.quantity.MeterValue;
import dev.lonja.core.quantity.Quantity;
import dev.lonja.core.trial.Band;
import dev.lonja.desk.Cage;
import dev.lonja.store.Session;
import dev.lonja.store.fleet.ReadingRepository;
import dev.lonja.store.query.UnitScope;
import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.Consumer;
import java.util.stream.Stream;
import org.junit.jupiter.api.Named;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.Timeout;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/** Trials of the example store that are drawn in the background, and drawn again after a write. */
class TrialsTest {

  private static final int TRIALS = 200;
  private static final int WEEKS = 20;
  private static final Instant NOW = Instant.parse("2027-03-15T09:00:00Z");
  private static final UnitId BOAT = new UnitId(1);

  @RegisterExtension private final Cage cage = new Cage();

  private TrialDrawing drawn(Optional<TrialDrawing> before) {
    return TrialDrawing.of(
        cage.read(session -> TrialDrawing.Inputs.load(session, Cage.TODAY, TRIALS, WEEKS)),
        before,
        TrialDrawing.SILENT);
  }

  static Stream<Named<Consumer<Session>>> writes() {
    return Stream.of(
        Named.of("a reading", TrialsTest::read),
        Named.of(
            "a lay-up",
            s ->
                s.fleet()
                    .addLayUp(
                        BOAT,
                        new LayUp(LocalDate.parse("2027-03-20"), LocalDate.parse("2027-06-20")))),
        Named.of(
            "a unit retired",
            s ->
                s.fleet()
                    .retire(BOAT, s.fleet().units(UnitScope.ALL).get(0).version(), Cage.TODAY)));
  }

  private static void read(Session session) {
    session
        .readings()
        .add(
            new MeterId(1),
            new NewReading(
                Cage.TODAY, Optional.empty(), MeterValue.ofHours("2300.0"), Optional.empty()),
            ReadingRepository.Source.ENTERED,
            "a",
            NOW);
  }

  /**
   * What is changed in what was drawn comes to the same as what is drawn anew, to the last piece.
   */
  @ParameterizedTest
  @MethodSource("writes")
  void onlyWhatChangedIsDrawnAgainAndItComesToTheSame(Consumer<Session> write) {
    TrialDrawing before = drawn(Optional.empty());
    List<Quantity> then = all(before);
    cage.write(write);
    TrialDrawing after = drawn(Optional.of(before));
    assertThat(all(after)).isEqualTo(all(drawn(Optional.empty()))).isNotEqualTo(then);
    // what was drawn before is still there to be looked at
    assertThat(all(before)).isEqualTo(then);
  }

  @Test
  void whatDidNotChangeIsNotDrawnAgain() {
    TrialDrawing before = drawn(Optional.empty());
    cage.write(session -> session.settings().setCoolantShare(session.settings().coolantShare()));
    assertThat(drawn(Optional.of(before)).bands()).isSameAs(before.bands());
  }

  private List<Quantity> all(TrialDrawing drawing) {
    Forecast forecast = cage.read(session -> Forecast.load(session, Cage.TODAY, WEEKS));
    List<Quantity> all = new ArrayList<>();
    for (Subject subject : forecast.subjects()) {
      Band band = drawing.bands().of(subject);
      for (int week = 0; week < WEEKS; week++) {
        for (int percent = 5; percent <= 100; percent += 5) {
          all.add(band.quantile(week, percent / 100.0));
        }
      }
    }
    return all;
  }

  /** Whoever asks is answered at once; what was drawn before stays until newer ones are there. */
  @Test
  @Timeout(60)
  void nobodyWaits() {
    Trials trials = ReadyTrials.of(cage);
    try {
      Drawn first = trials.drawn();
      assertThat(first.bands()).isEmpty();
      assertThat(first.percent()).isLessThan(100);
      Bands drawn = ReadyTrials.settled(trials).bands().orElseThrow();
      assertThat(trials.drawn().bands()).containsSame(drawn);
      // what changes nothing of it is not drawn, and nobody is told that anything is
      cage.write(session -> session.settings().setCoolantShare(session.settings().coolantShare()));
      assertThat(ReadyTrials.settled(trials).bands()).containsSame(drawn);
      cage.write(TrialsTest::read);
      assertThat(trials.drawn().bands()).containsSame(drawn);
      assertThat(ReadyTrials.settled(trials).bands().orElseThrow()).isNotSameAs(drawn);
    } finally {
      trials.destroy();
    }
  }

  /** The band lies around the plan line: half of the trials use what it says, or less. */
  @Test
  void thePlanLineLiesWithinTheBand() {
    TrialDrawing drawing = drawn(Optional.empty());
    Forecast forecast = cage.read(session -> Forecast.load(session, Cage.TODAY, WEEKS));
    List<Subject> used =
        forecast.subjects().stream()
            .filter(subject -> subject.cover().needed().isPositive())
            .toList();
    assertThat(used).hasSizeGreaterThan(5);
    for (Subject subject : used) {
      Band band = drawing.bands().of(subject);
      assertThat(subject.cover().needed())
          .as(subject.lead().number())
          .isBetween(band.quantile(WEEKS - 1, 0.02), band.quantile(WEEKS - 1, 0.98));
    }
  }
}
