package dev.lonja.core.inspection;

import static dev.lonja.core.inspection.InspectionOutcome.ADJUSTED;
import static dev.lonja.core.inspection.InspectionOutcome.CLEANED;
import static dev.lonja.core.inspection.InspectionOutcome.LEFT;
import static dev.lonja.core.inspection.InspectionOutcome.REPLACED;
import static dev.lonja.core.inspection.InspectionOutcome.SOUND;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.Optional;
import org.junit.jupiter.api.Test;

/** Chain play of 35 to 45 mm is sound. */
class FoundTest {

  private static final ValueLimits PLAY =
      ValueLimits.of(ValueKind.LENGTH, Optional.of(35_000L), Optional.of(45_000L));

  private static Optional<InspectedValue> mm(String text) {
    return ValueKind.LENGTH.read(text);
  }

  private static Optional<Found.Objection> objection(
      InspectionOutcome outcome, Optional<InspectedValue> value, Optional<InspectedValue> after) {
    return new Found(outcome, value, after).objection(Optional.of(PLAY));
  }

  @Test
  void bothEndsAreSound() {
    assertThat(objection(SOUND, mm("35"), Optional.empty())).isEmpty();
    assertThat(objection(SOUND, mm("45.0 mm"), Optional.empty())).isEmpty();
    assertThat(objection(SOUND, mm("45.001"), Optional.empty()))
        .contains(Found.Objection.NOT_SOUND);
    assertThat(objection(SOUND, mm("34.999"), Optional.empty()))
        .contains(Found.Objection.NOT_SOUND);
  }

  @Test
  void outOfLimitsSaysWhatWasDone() {
    assertThat(objection(ADJUSTED, mm("62"), mm("40"))).isEmpty();
    assertThat(objection(ADJUSTED, mm("62"), Optional.empty()))
        .contains(Found.Objection.NO_VALUE_AFTER);
    assertThat(objection(REPLACED, mm("62"), Optional.empty())).isEmpty();
    assertThat(objection(LEFT, mm("62"), Optional.empty())).isEmpty();
    assertThat(objection(LEFT, mm("62"), mm("40"))).contains(Found.Objection.NOTHING_DONE);
    assertThat(objection(LEFT, mm("40"), Optional.empty())).contains(Found.Objection.NOT_LEFT);
  }

  @Test
  void whatIsAskedForIsNeeded() {
    assertThat(objection(CLEANED, Optional.empty(), Optional.empty()))
        .contains(Found.Objection.NO_VALUE);
    assertThat(objection(SOUND, ValueKind.COUNT.read("40"), Optional.empty()))
        .contains(Found.Objection.OTHER_KIND);
    assertThat(new Found(SOUND, mm("40"), Optional.empty()).objection(Optional.empty()))
        .contains(Found.Objection.VALUE_NOT_ASKED);
    assertThat(Found.of(CLEANED).objection(Optional.empty())).isEmpty();
  }

  @Test
  void aMachineMayGoOutOutsideItsLimits() {
    assertThat(new Found(LEFT, mm("62"), Optional.empty()).staysOutside(PLAY)).isTrue();
    assertThat(new Found(ADJUSTED, mm("62"), mm("46")).staysOutside(PLAY)).isTrue();
    assertThat(new Found(ADJUSTED, mm("62"), mm("45")).staysOutside(PLAY)).isFalse();
    assertThat(new Found(REPLACED, mm("62"), Optional.empty()).staysOutside(PLAY)).isFalse();
  }

  @Test
  void valuesReadAsPeopleSayThem() {
    assertThat(PLAY.display()).isEqualTo("35 mm to 45 mm");
    assertThat(
            ValueLimits.of(ValueKind.TEMPERATURE, Optional.empty(), Optional.of(-250L)).display())
        .isEqualTo("at most −25 °C");
    assertThat(ValueKind.PRESSURE.read("12 psi").orElseThrow().display()).isEqualTo("0.83 bar");
    assertThat(new Found(ADJUSTED, mm("62"), mm("40")).display())
        .isEqualTo("adjusted, 62 mm, then 40 mm");
    assertThat(ValueKind.COUNT.read("2.5")).isEmpty();
  }

  @Test
  void limitsAgreeWithThemselves() {
    assertThatThrownBy(
            () -> ValueLimits.of(ValueKind.LENGTH, Optional.of(2_000L), Optional.of(1_000L)))
        .hasMessageContaining("low is 2 mm");
    assertThatThrownBy(() -> ValueLimits.of(ValueKind.LENGTH, Optional.empty(), Optional.empty()))
        .isInstanceOf(IllegalArgumentException.class);
  }
}
