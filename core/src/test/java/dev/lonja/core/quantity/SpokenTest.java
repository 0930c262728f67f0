package dev.lonja.core.quantity;

import static org.assertj.core.api.Assertions.assertThat;

import java.math.BigDecimal;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

/** 1 qt = 946,352.946 µL; 1 fl oz = 29,573.5295625 µL; 1 lbf·in = 112.9848290276… mN·m. */
class SpokenTest {

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "6.4|6400000",
        "6,4 L|6400000",
        "420 mL|420000",
        "420ml|420000",
        "1.5 qt|1419529",
        "1,5 US qt|1419529",
        "38 fl oz|1123794",
        "38 fl. oz.|1123794",
        "1/2 L|500000",
        "½ L|500000",
        "1 1/2 l|1500000"
      })
  void volumes(String text, long microlitres) {
    assertThat(Spoken.VOLUME.read(text)).contains(new Volume(microlitres));
  }

  /** 65 × 112.98483 = 7,344.01; 24 lbf·ft = 24 × 1,355.81795 = 32,539.63. */
  @ParameterizedTest
  @CsvSource({
    "9,9000",
    "9 N·m,9000",
    "9 Nm,9000",
    "65 in-lb,7344",
    "65 lbf·in,7344",
    "24 lb-ft,32540"
  })
  void torques(String text, long millinewtonMetres) {
    assertThat(Spoken.TORQUE.read(text)).contains(new Torque(millinewtonMetres));
  }

  /** 12 × 4.4482216152605 / 0.00064516 = 82,737.1 Pa; −30 °F = −34.44 °C. */
  @Test
  void pressuresAndTemperatures() {
    assertThat(Spoken.PRESSURE.read("12 psi")).contains(new Pressure(82_737));
    assertThat(Spoken.PRESSURE.read("1,0 bar")).contains(new Pressure(100_000));
    assertThat(Spoken.PRESSURE.read("240 kPa")).contains(new Pressure(240_000));
    assertThat(Spoken.TEMPERATURE.read("-30 F")).contains(new Temperature(-344));
    assertThat(Spoken.TEMPERATURE.read("−25 °C")).contains(new Temperature(-250));
    assertThat(Spoken.VOLTAGE.read("12.62 V")).contains(new Voltage(12_620));
  }

  /** 14 oz = 14 × 28.349523 = 396.893 g; 1 lb = 453.592 g. */
  @ParameterizedTest
  @CsvSource({"0.4,400000", "400 g,400000", "18 kg,18000000", "14 oz,396893", "1 lb,453592"})
  void masses(String text, long milligrams) {
    assertThat(Spoken.MASS.read(text)).contains(new Quantity(Measure.KILOGRAMS, milligrams));
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {"3/4\"|19050", "1-1/2 in|38100", "2 cm|20000", "13.5|13500", "13,5 mm|13500"})
  void lengths(String text, long micrometres) {
    assertThat(Spoken.LENGTH.read(text)).contains(new Length(micrometres));
  }

  /** "1,585" may be one and a half or fifteen hundred; a gallon is one of two. */
  @ParameterizedTest
  @ValueSource(
      strings = {"1,585", "1,585 L", "", "L", "6.4 kg", "2 gal", "1/0 L", "1e3", "-1 L", "6.4.1"})
  void whatIsNotSaidIsNotRead(String text) {
    assertThat(Spoken.VOLUME.read(text)).isEmpty();
  }

  @Test
  void aNumberKeepsItsSign() {
    assertThat(SpokenNumber.read("-1 1/2 in"))
        .contains(new SpokenNumber(new BigDecimal("-1.5"), "in"));
  }
}
