package dev.lonja.core.quantity;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.math.BigDecimal;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class VolumeTest {

  /** Unit factors of standards: 1 US qt = 0.946352946 L and so on, rounded once to a microlitre. */
  @Test
  void customaryUnitsAreExactToTheMicrolitre() {
    assertThat(Volume.ofUsQuarts(BigDecimal.ONE).microlitres()).isEqualTo(946_353);
    assertThat(Volume.ofUsQuarts(new BigDecimal("1000")).microlitres()).isEqualTo(946_352_946);
    assertThat(Volume.ofUsGallons(new BigDecimal("1000")).microlitres()).isEqualTo(3_785_411_784L);
    assertThat(Volume.ofUsFluidOunces(new BigDecimal("2")).microlitres()).isEqualTo(59_147);
    assertThat(Volume.ofImperialGallons(BigDecimal.ONE).microlitres()).isEqualTo(4_546_090);
  }

  @Test
  void inputIsRoundedHalfUpOnce() {
    assertThat(Volume.ofLitres("0.0000005").microlitres()).isEqualTo(1);
    assertThat(Volume.ofLitres("0.0000004").microlitres()).isZero();
  }

  /** Below 1 L after rounding to whole mL in mL, otherwise L with two decimals. */
  @ParameterizedTest
  @CsvSource({
    "6.4, 6.40 L",
    "0.45, 450 mL",
    "0.9994, 999 mL",
    "0.9995, 1.00 L",
    "0.999499, 999 mL",
    "0.0004, <1 mL",
    "0, 0 mL",
    "2.345, 2.35 L",
    "2.344, 2.34 L",
    "1200, 1200.00 L"
  })
  void isShownInMillilitresBelowALitre(String litres, String shown) {
    assertThat(Volume.ofLitres(litres).display()).isEqualTo(shown);
  }

  /** 6.4 L / 0.946352946 = 6.763 qt; 450 mL / 29.5735295625 = 15.216 fl oz. */
  @Test
  void secondaryUnitsGoBesideTheFirst() {
    assertThat(Volume.ofLitres("6.4").displayUs()).isEqualTo("6.8 qt");
    assertThat(Volume.ofLitres("0.45").displayUs()).isEqualTo("15.2 fl oz");
  }

  @Test
  void whatDoesNotFitIsRefusedByNameValueAndLimit() {
    assertThatThrownBy(() -> Volume.ofLitres("-0.1"))
        .hasMessageContaining("microlitres is -100000; allowed is 0 to 1000000000000000");
    assertThatThrownBy(() -> Volume.ofLitres("1").minus(Volume.ofLitres("1.000001")))
        .hasMessageContaining("microlitres is -1;");
  }

  @Test
  void roundsDownToAJugsGraduation() {
    assertThat(Volume.ofLitres("5.76").roundedDownTo(Volume.ofLitres("0.10")))
        .isEqualTo(Volume.ofLitres("5.70"));
    assertThat(Volume.ofLitres("0.09").roundedDownTo(Volume.ofLitres("0.10")))
        .isEqualTo(Volume.ZERO);
  }

  @Test
  void overflowThrows() {
    assertThatThrownBy(() -> Volume.ofLitres("1000000000").plus(Volume.ofLitres("0.000001")))
        .isInstanceOf(IllegalArgumentException.class);
    assertThatThrownBy(() -> Volume.ofLitres("1e30")).isInstanceOf(ArithmeticException.class);
  }
}
