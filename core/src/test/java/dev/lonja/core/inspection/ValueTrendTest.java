package dev.lonja.core.inspection;

import static org.assertj.core.api.Assertions.assertThat;

import dev.lonja.core.quantity.MeterValue;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;

/** How far a belt gives: up to 12 mm is sound, and at least 8 mm. */
class ValueTrendTest {

  private static final ValueLimits GIVES =
      ValueLimits.of(ValueKind.LENGTH, Optional.of(8_000L), Optional.of(12_000L));

  private static ValueTrend.Checked sound(String hours, String mm) {
    return checked(hours, InspectionOutcome.SOUND, mm, Optional.empty());
  }

  private static ValueTrend.Checked checked(
      String hours, InspectionOutcome outcome, String mm, Optional<String> after) {
    return new ValueTrend.Checked(
        MeterValue.ofHours(hours),
        new Found(outcome, ValueKind.LENGTH.read(mm), after.flatMap(ValueKind.LENGTH::read)));
  }

  private static Optional<ValueTrend.Ahead> ahead(ValueTrend.Checked... checks) {
    return ValueTrend.ahead(ValueTrend.sinceRemedy(List.of(checks)), GIVES);
  }

  /**
   * 9.0 at 100 h, 9.5 at 200 h, 10.6 at 300 h: slopes of 5, 11 and 8 µm an hour, the median 8. From
   * 10.6 to 12.0 are 1,400 µm, 175 h: at 475 h.
   */
  @Test
  void theMedianSlopeRunsOnFromTheLastValue() {
    ValueTrend.Ahead ahead =
        ahead(sound("100", "9"), sound("200", "9.5"), sound("300", "10.6")).orElseThrow();
    assertThat(ahead.life()).isEqualTo(MeterValue.ofHours("475"));
    assertThat(ahead.limit().display()).isEqualTo("12 mm");
  }

  /** Falling by 10 µm an hour from 9 mm: 1,000 µm to the low limit, 100 h. */
  @Test
  void whatFallsRunsTowardsTheLowLimit() {
    ValueTrend.Ahead ahead =
        ahead(sound("100", "11"), sound("200", "10"), sound("300", "9")).orElseThrow();
    assertThat(ahead.life()).isEqualTo(MeterValue.ofHours("400"));
    assertThat(ahead.limit().display()).isEqualTo("8 mm");
  }

  @Test
  void twoLivesSayNothing() {
    assertThat(ahead(sound("100", "9"), sound("200", "9.5"), sound("200", "9.6"))).isEmpty();
  }

  /**
   * Adjusted to 8.5 at 300 h; then 9.0 at 400 h and 9.5 at 500 h: 5 µm an hour, 2,500 µm, 500 h.
   * What was before the adjustment tells nothing.
   */
  @Test
  void aRemedyBeginsAnew() {
    ValueTrend.Checked remedied =
        checked("300", InspectionOutcome.ADJUSTED, "12.4", Optional.of("8.5"));
    assertThat(ahead(sound("100", "9"), sound("200", "11"), remedied)).isEmpty();
    assertThat(ahead(sound("200", "11"), remedied, sound("400", "9"), sound("500", "9.5")))
        .map(ValueTrend.Ahead::life)
        .contains(MeterValue.ofHours("1000"));
  }

  /** Replaced at 400 h, and nobody measured: what was before tells nothing any more. */
  @Test
  void aRemedyWithoutAValueBeginsAnewToo() {
    ValueTrend.Checked replaced =
        new ValueTrend.Checked(MeterValue.ofHours("400"), Found.of(InspectionOutcome.REPLACED));
    assertThat(ahead(sound("100", "9"), sound("200", "9.5"), sound("300", "10.6"), replaced))
        .isEmpty();
  }

  @Test
  void whatIsOutAlreadyOrStandsStillReachesNothing() {
    assertThat(ahead(sound("100", "11"), sound("200", "11.6"), sound("300", "12.2"))).isEmpty();
    assertThat(ahead(sound("100", "9"), sound("200", "9"), sound("300", "9"))).isEmpty();
  }

  /** At a µm in a million hours no meter shows the life at which the limit is met. */
  @Test
  void whatLiesTooFarIsNotSaid() {
    assertThat(ahead(sound("1", "9"), sound("500000", "9"), sound("1000000", "9.001"))).isEmpty();
  }
}
