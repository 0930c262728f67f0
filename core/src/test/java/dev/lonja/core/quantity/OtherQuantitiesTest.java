package dev.lonja.core.quantity;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.math.BigDecimal;
import java.util.Currency;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class OtherQuantitiesTest {

  private static final Currency EUR = Currency.getInstance("EUR");

  /** 25.4 mm to the inch; 3/4 in = 19.05 mm. */
  @Test
  void lengthsComeInMillimetresOrInches() {
    assertThat(Length.ofInches(new BigDecimal("0.75"))).isEqualTo(mm("19.05"));
    assertThat(mm("13.5").display()).isEqualTo("13.5 mm");
    assertThat(mm("1.2345").micrometres()).isEqualTo(1_235);
    assertThatThrownBy(() -> mm("-1")).hasMessageContaining("micrometres is -1000; allowed is 0");
  }

  @Test
  void massesAreShownInGramsOrKilograms() {
    assertThat(Quantity.kilograms("0.0072").display()).isEqualTo("7 g");
    assertThat(Quantity.kilograms("0.0004").display()).isEqualTo("<1 g");
    assertThat(Quantity.kilograms("0.9995").display()).isEqualTo("1.00 kg");
    assertThat(Quantity.kilograms("-1.25").display()).isEqualTo("−1.25 kg");
  }

  /** 1 psi = 4.4482216152605 N / 0.00064516 m² = 6,894.757 Pa; 15 psi = 103,421 Pa. */
  @Test
  void pressuresComeInBarOrPsi() {
    assertThat(Pressure.ofPsi(new BigDecimal("15")).pascals()).isEqualTo(103_421);
    assertThat(Pressure.ofBar(new BigDecimal("1.2")).display()).isEqualTo("1.2 bar");
    assertThat(Pressure.ofBar(new BigDecimal("1.25")).display()).isEqualTo("1.3 bar");
  }

  /** 212 °F = 100 °C; 0 °F = −17.78 °C. Halves go away from zero, also below it. */
  @Test
  void temperaturesComeInCelsiusOrFahrenheit() {
    assertThat(Temperature.ofFahrenheit(new BigDecimal("212")).tenthsCelsius()).isEqualTo(1_000);
    assertThat(Temperature.ofFahrenheit(BigDecimal.ZERO).tenthsCelsius()).isEqualTo(-178);
    assertThat(Temperature.ofCelsius(new BigDecimal("-7.25")).display()).isEqualTo("−7.3 °C");
    assertThat(Temperature.ofCelsius(new BigDecimal("31")).display()).isEqualTo("31 °C");
  }

  @Test
  void densityAshAndFinenessKeepTheirBaseUnits() {
    assertThat(Density.ofKilogramsPerCubicMetre(new BigDecimal("868")).gramsPerCubicMetre())
        .isEqualTo(868_000);
    assertThat(AshContent.ofPercent(new BigDecimal("0.8")).thousandthsOfPercent()).isEqualTo(800);
    assertThat(AshContent.ofPercent(new BigDecimal("0.8")).display()).isEqualTo("0.8 %");
    assertThat(Fineness.ofMicrometres(new BigDecimal("12.5")).tenthsOfMicrometre()).isEqualTo(125);
    assertThatThrownBy(() -> AshContent.ofPercent(new BigDecimal("100.001")))
        .hasMessageContaining("thousandthsOfPercent is 100001; allowed is 0 to 100000");
  }

  @Test
  void aMeterValueIsAPointAndASpanAnAmount() {
    MeterValue later = MeterValue.ofHours("1585");
    MeterValue earlier = MeterValue.ofHours("1410.5");
    assertThat(later.since(earlier)).isEqualTo(MeterSpan.ofHours("174.5"));
    assertThat(earlier.plus(MeterSpan.ofHours("250"))).isEqualTo(MeterValue.ofHours("1660.5"));
    assertThatThrownBy(() -> earlier.since(later)).hasMessageContaining("tenths is -1745;");
    assertThatThrownBy(() -> later.since(MeterValue.ofKilometres("1")))
        .hasMessageContaining("measure is km; allowed is h");
  }

  @ParameterizedTest
  @CsvSource({"1585, '1,585 h'", "1585.5, '1,585.5 h'", "0.04, 0 h", "0.05, 0.1 h"})
  void meterValuesSetThousandsApart(String hours, String shown) {
    assertThat(MeterValue.ofHours(hours).display()).isEqualTo(shown);
  }

  /** 250 h × 0.8 = 200 h; 125 h × 0.33 = 41.25 h, rounded to 41.3. */
  @Test
  void severityShortensASpanToATenth() {
    assertThat(MeterSpan.ofHours("250").times(new BigDecimal("0.8")))
        .isEqualTo(MeterSpan.ofHours("200"));
    assertThat(MeterSpan.ofHours("125").times(new BigDecimal("0.33")))
        .isEqualTo(MeterSpan.ofHours("41.3"));
  }

  @Test
  void moneyKeepsItsCurrency() {
    assertThat(Money.of(new BigDecimal("12.405"), EUR)).isEqualTo(new Money(1_241, EUR));
    assertThat(Money.of(new BigDecimal("-0.005"), EUR).minor()).isEqualTo(-1);
    assertThat(new Money(-50, EUR).display()).isEqualTo("-0.50 EUR");
    assertThat(Money.of(new BigDecimal("7"), Currency.getInstance("JPY")).minor()).isEqualTo(7);
    assertThatThrownBy(() -> new Money(1, EUR).plus(new Money(1, Currency.getInstance("USD"))))
        .hasMessageContaining("currency is USD; allowed is EUR");
  }

  /** 10.00 EUR over 3 pieces: 333.3333 cents each; 2 of them are worth 666.67 → 667 cents. */
  @Test
  void unitPricesHoldTenThousandthsOfACent() {
    UnitPrice price = UnitPrice.average(new Money(1_000, EUR), Quantity.pieces(3));
    assertThat(price.tenThousandthsOfMinor()).isEqualTo(3_333_333);
    assertThat(price.valueOf(Quantity.pieces(2))).isEqualTo(new Money(667, EUR));
    assertThat(price.display()).isEqualTo("3.3333 EUR");
  }

  /** A cent has ten thousandths; a price shows two of their digits at most, and no idle zeros. */
  @ParameterizedTest
  @CsvSource({
    "11800000, 11.80 EUR",
    "4125000, 4.125 EUR",
    "752500, 0.7525 EUR",
    "752549, 0.7525 EUR",
    "752550, 0.7526 EUR",
    "0, 0.00 EUR"
  })
  void aUnitPriceShowsNoIdleZeros(long tenThousandths, String shown) {
    assertThat(new UnitPrice(tenThousandths, EUR).display()).isEqualTo(shown);
  }

  @Test
  void quantitiesOfDifferentMeasuresDoNotMix() {
    assertThatThrownBy(() -> Quantity.pieces(1).plus(Quantity.litres("1")))
        .hasMessageContaining("measure is L; allowed is pc");
  }

  @ParameterizedTest
  @CsvSource({"2, 2", "0.3, 0.3", "0.004, <0.01", "1.005, 1.01", "-2, −2", "0, 0"})
  void expectedPiecesAreShownWithTwoDecimals(String pieces, String shown) {
    assertThat(Quantity.of(Measure.PIECES, new BigDecimal(pieces)).display()).isEqualTo(shown);
  }

  @Test
  void onlyWholePiecesCount() {
    assertThat(Quantity.of(Measure.PIECES, new BigDecimal("1.5")).isCountable()).isFalse();
    assertThat(Quantity.pieces(-2).isCountable()).isTrue();
    assertThat(Quantity.litres("1.5").isCountable()).isTrue();
    assertThat(Quantity.litres("6.528").exactText()).isEqualTo("6.528");
  }

  private static Length mm(String millimetres) {
    return Length.ofMillimetres(new BigDecimal(millimetres));
  }
}
