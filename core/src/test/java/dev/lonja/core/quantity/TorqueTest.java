package dev.lonja.core.quantity;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.math.BigDecimal;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class TorqueTest {

  /** Rules §1: 32 N·m = 23.6 lbf·ft; 9 N·m = 6.6 lbf·ft = 80 lbf·in. */
  @Test
  void isShownAsTheRulesShowIt() {
    assertThat(Torque.ofNewtonMetres("32").display()).isEqualTo("32 N·m · 23.6 lbf·ft");
    assertThat(Torque.ofNewtonMetres("9").display()).isEqualTo("9 N·m · 6.6 lbf·ft · 80 lbf·in");
  }

  /** 14.9 / 1.3558179 = 10.99; 14.9 / 0.11298483 = 131.9. At 15 N·m the inches are gone. */
  @Test
  void poundInchesEndJustBelowFifteen() {
    assertThat(Torque.ofNewtonMetres("14.9").display())
        .isEqualTo("14.9 N·m · 11.0 lbf·ft · 132 lbf·in");
    assertThat(Torque.ofNewtonMetres("15").display()).isEqualTo("15 N·m · 11.1 lbf·ft");
  }

  /** 100 lbf·in = 4.4482216152605 × 0.0254 × 100 = 11.298 N·m; as lbf·ft it would be 135.6. */
  @Test
  void poundFeetAndPoundInchesAreNotConfused() {
    assertThat(Torque.ofPoundInches(new BigDecimal("100")).millinewtonMetres()).isEqualTo(11_298);
    assertThat(Torque.ofPoundFeet(new BigDecimal("100")).millinewtonMetres()).isEqualTo(135_582);
  }

  @Test
  void zeroIsNoTorque() {
    assertThatThrownBy(() -> Torque.ofNewtonMetres("0"))
        .hasMessageContaining("millinewtonMetres is 0; allowed is 1 to");
  }

  /** Midpoint 40 fits a wrench of 1 N·m; with 5 N·m, 40 again; 38–42 has no multiple of 25. */
  @ParameterizedTest
  @CsvSource({
    "38, 42, 1, 40",
    "38, 42, 5, 40",
    "31, 34, 1, 33",
    "14, 18, 2, 16",
    "20, 25, 5, 25",
    "25, 25, 5, 25"
  })
  void aRangeIsSetToTheMidpointOnTheWrench(String low, String high, String step, String setTo) {
    TorqueRange range = range(low, high);
    assertThat(range.setTo(Torque.ofNewtonMetres(step))).contains(Torque.ofNewtonMetres(setTo));
  }

  @Test
  void aRangeWithoutAGraduationInsideHasNoSetToValue() {
    assertThat(range("38", "42").setTo(Torque.ofNewtonMetres("25"))).isEmpty();
    assertThat(range("31", "34").setTo(Torque.ofNewtonMetres("10"))).isEmpty();
  }

  /**
   * 8.2 to 8.9: the middle is 8.55, the half nearest to it 8.5; 15.2 to 15.8 holds no whole one.
   */
  @Test
  void smallOnesAreSetByHalfNewtonMetres() {
    assertThat(range("8.2", "8.9").setTo()).contains(Torque.ofNewtonMetres("8.5"));
    assertThat(range("30", "35").setTo()).contains(Torque.ofNewtonMetres("33"));
    assertThat(range("15.2", "15.8").setTo()).isEmpty();
    assertThat(range("30", "35").range()).contains("30–35 N·m");
    assertThat(range("9", "9").range()).isEmpty();
    assertThat(Torque.ofNewtonMetres("9").poundInches()).contains("80 lbf·in");
    assertThat(Torque.ofNewtonMetres("15").poundInches()).isEmpty();
  }

  /** Inches follow the high end: 12–14 shows them, 14–18 does not. */
  @Test
  void aRangeShowsBothEnds() {
    assertThat(range("38", "42").display()).isEqualTo("38–42 N·m · 28.0–31.0 lbf·ft");
    assertThat(range("12", "14").display())
        .isEqualTo("12–14 N·m · 8.9–10.3 lbf·ft · 106–124 lbf·in");
    assertThat(range("14", "18").display()).doesNotContain("lbf·in");
  }

  @Test
  void aRangeUpsideDownIsRefused() {
    assertThatThrownBy(() -> range("42", "38")).hasMessageContaining("low is 42 N·m");
  }

  private static TorqueRange range(String low, String high) {
    return new TorqueRange(Torque.ofNewtonMetres(low), Torque.ofNewtonMetres(high));
  }
}
