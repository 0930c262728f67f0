package dev.lonja.core.tank;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import dev.lonja.core.quantity.Length;
import dev.lonja.core.quantity.Volume;
import java.time.Instant;
import java.time.temporal.ChronoUnit;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;

/** A meter that began to count on 3 March; days begin at midnight UTC. */
class MeterCheckTest {

  private static Instant at(String time) {
    return Instant.parse("2027-03-" + time + ":00Z");
  }

  private static MeteredPour ran(String time, String litres) {
    return new MeteredPour(at(time), Volume.ofLitres(litres));
  }

  private static Flow flow(String time, Flow.Way way, String litres) {
    return new Flow(at(time), way, Volume.ofLitres(litres), Optional.empty());
  }

  private static Optional<MeterCheck> check(
      List<MeteredPour> pours, List<Flow> flows, List<Dip> dips) {
    return MeterCheck.of(pours, flows, dips, instant -> instant.truncatedTo(ChronoUnit.DAYS));
  }

  /**
   * Of 40 L counted 38 are written down, in the morning before the first count too; what was poured
   * the day before, what was delivered and what was handed back is no pour of these days.
   */
  @Test
  void whatRanAndIsWrittenDownNowhereIsTold() {
    MeterCheck check =
        check(
                List.of(ran("05T10:00", "25"), ran("03T09:00", "15")),
                List.of(
                    flow("02T15:00", Flow.Way.POURED, "9"),
                    flow("03T07:00", Flow.Way.POURED, "15"),
                    flow("05T16:00", Flow.Way.POURED, "23"),
                    flow("05T17:00", Flow.Way.RETURNED, "4"),
                    flow("04T11:00", Flow.Way.DELIVERED, "600")),
                List.of())
            .orElseThrow();
    assertThat(check.since()).isEqualTo(at("03T00:00"));
    assertThat(check.counted()).isEqualTo(Volume.ofLitres("40"));
    assertThat(check.written()).isEqualTo(Volume.ofLitres("38"));
    assertThat(check.unwritten()).isCloseTo(2, within(1e-9));
    assertThat(check.agrees()).isFalse();
  }

  /** Half a per cent of 40 L is 0.2 L, either way; of little it is 0.05 L. */
  @Test
  void aMeterIsGoodToHalfAPerCent() {
    assertThat(check("40", "39.8").agrees()).isTrue();
    assertThat(check("40", "39.79").agrees()).isFalse();
    assertThat(check("40", "40.2").agrees()).isTrue();
    assertThat(check("40", "40.21").agrees()).isFalse();
    assertThat(check("2", "2.05").agrees()).isTrue();
    assertThat(check("2", "1.94").agrees()).isFalse();
  }

  private static MeterCheck check(String ran, String written) {
    return check(
            List.of(ran("03T09:00", ran)),
            List.of(flow("03T09:30", Flow.Way.POURED, written)),
            List.of())
        .orElseThrow();
  }

  /** A person closed the difference at noon of the 4th: what ran until then is settled. */
  @Test
  void itBeginsAnewAtTheLastAgreedDip() {
    Dip agreed =
        new Dip(new DipId(1), at("04T12:00"), new Length(1), Optional.empty(), false, true);
    List<MeteredPour> pours = List.of(ran("04T12:00", "15"), ran("05T10:00", "25"));
    assertThat(check(pours, List.of(), List.of(agreed)).orElseThrow().counted())
        .isEqualTo(Volume.ofLitres("25"));
    assertThat(check(pours.subList(0, 1), List.of(), List.of(agreed))).isEmpty();
    assertThat(check(List.of(), List.of(), List.of(agreed))).isEmpty();
  }

  @Test
  void nothingIsNoPour() {
    assertThatThrownBy(() -> ran("03T09:00", "0"))
        .hasMessage("volume is 0 mL; allowed is more than 0");
  }
}
