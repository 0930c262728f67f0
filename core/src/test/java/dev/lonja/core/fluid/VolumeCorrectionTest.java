package dev.lonja.core.fluid;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import dev.lonja.core.quantity.Density;
import dev.lonja.core.quantity.Volume;
import java.math.BigDecimal;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class VolumeCorrectionTest {

  private static Density density(int kilograms) {
    return Density.ofKilogramsPerCubicMetre(BigDecimal.valueOf(kilograms));
  }

  /** Rules §10: 740 L at 31 °C of 868 kg/m³ are 731.4 L at 15 °C, by the factor 0.98839. */
  @Test
  void theWorkedExampleOfTheRules() {
    double factor = VolumeCorrection.factor(density(868), 31);
    assertThat(factor).isCloseTo(0.98839, within(0.000005));
    assertThat(740 * factor).isCloseTo(731.4, within(0.05));
  }

  /** At 15 °C nothing is to be corrected; below it a litre is more than one at 15 °C. */
  @ParameterizedTest
  @CsvSource({"800", "870", "1164"})
  void aroundItsReference(int kilograms) {
    assertThat(VolumeCorrection.factor(density(kilograms), 15)).isEqualTo(1);
    assertThat(VolumeCorrection.factor(density(kilograms), 0)).isGreaterThan(1);
    assertThat(VolumeCorrection.factor(density(kilograms), 90)).isLessThan(0.97);
  }

  /**
   * 1.30 L from 20 to 90 °C at 870 kg/m³. α = 0.6278 / 870 = 0.00072161. At 20 °C αΔ = 0.0036080,
   * factor exp(−0.0036080 · 1.0028864) = 0.996388. At 90 °C αΔ = 0.0541207, factor exp(−0.0541207 ·
   * 1.0432966) = 0.945100. 0.996388 / 0.945100 − 1 = 0.054267, of 1.30 L 0.0705 L.
   */
  @Test
  void aFillGrowsWhenItIsHot() {
    Volume growth = VolumeCorrection.growth(Volume.ofLitres("1.3"), VolumeCorrection.USUAL, 20, 90);
    assertThat(growth.microlitres()).isCloseTo(70_547L, within(10L));
  }

  @ParameterizedTest
  @CsvSource({"799", "1165"})
  void otherFluidsHaveNoFactor(int kilograms) {
    assertThat(VolumeCorrection.holdsFor(density(kilograms))).isFalse();
    assertThatThrownBy(() -> VolumeCorrection.factor(density(kilograms), 20))
        .isInstanceOf(IllegalArgumentException.class)
        .hasMessageContaining("allowed is 800");
  }
}
