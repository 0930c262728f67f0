package dev.lonja.core.quantity;

import static org.assertj.core.api.Assertions.assertThat;

import java.math.BigDecimal;
import java.util.Currency;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** What a form shows is read back as the same value, to the last base unit. */
class ExactTextTest {

  private static final Currency EUR = Currency.getInstance("EUR");
  private static final Currency YEN = Currency.getInstance("JPY");

  private static BigDecimal read(String text) {
    assertThat(text).matches("-?[0-9]+(\\.[0-9]+)?");
    return new BigDecimal(text);
  }

  /** 500 mL is 0.5 L: shown rounded it is "500 mL", and read from there it would be 500 L. */
  @Test
  void aPackOfHalfALitreStaysOne() {
    Quantity pack = Quantity.litres("0.5");
    assertThat(pack.display()).isEqualTo("500 mL");
    assertThat(pack.exactText()).isEqualTo("0.5");
    assertThat(Quantity.of(Measure.LITRES, read(pack.exactText()))).isEqualTo(pack);
  }

  @ParameterizedTest
  @ValueSource(longs = {1, 9, 10, 49, 999, 1_000, 1_500, 123_456, 1_000_000, 6_400_000, 9_000_001})
  void everyQuantityIsReadBackAsItWas(long base) {
    assertThat(Volume.ofLitres(new Volume(base).exactText())).isEqualTo(new Volume(base));
    Quantity pieces = new Quantity(Measure.PIECES, -base);
    assertThat(Quantity.of(Measure.PIECES, read(pieces.exactText()))).isEqualTo(pieces);
    Length length = new Length(base);
    assertThat(Length.ofMillimetres(read(length.exactText()))).isEqualTo(length);
    Pressure pressure = new Pressure(base);
    assertThat(Pressure.ofBar(read(pressure.exactText()))).isEqualTo(pressure);
    Torque torque = new Torque(base);
    assertThat(Torque.ofNewtonMetres(read(torque.exactText()))).isEqualTo(torque);
    MeterValue value = new MeterValue(base, MeterMeasure.HOURS);
    assertThat(MeterValue.of(read(value.exactText()), MeterMeasure.HOURS)).isEqualTo(value);
    MeterSpan span = new MeterSpan(base, MeterMeasure.KILOMETRES);
    assertThat(MeterSpan.of(read(span.exactText()), MeterMeasure.KILOMETRES)).isEqualTo(span);
    for (Currency currency : new Currency[] {EUR, YEN}) {
      UnitPrice price = new UnitPrice(base, currency);
      assertThat(UnitPrice.of(read(price.exactText()), currency)).isEqualTo(price);
      Money money = new Money(base, currency);
      assertThat(Money.of(read(money.exactText()), currency)).isEqualTo(money);
    }
  }

  @ParameterizedTest
  @ValueSource(ints = {1, 9, 10, 785, 1_000, 1_999})
  void smallScalesToo(int base) {
    AshContent ash = new AshContent(base);
    assertThat(AshContent.ofPercent(read(ash.exactText()))).isEqualTo(ash);
    Fineness fineness = new Fineness(base);
    assertThat(Fineness.ofMicrometres(read(fineness.exactText()))).isEqualTo(fineness);
    Temperature cold = new Temperature(-base);
    assertThat(Temperature.ofCelsius(read(cold.exactText()))).isEqualTo(cold);
    Density density = new Density(868_000 + base);
    assertThat(Density.ofKilogramsPerCubicMetre(read(density.exactText()))).isEqualTo(density);
  }

  /** Hand-written: no exponent, no trailing zero, a price with its cents. */
  @Test
  void isWrittenPlainly() {
    assertThat(PlainDecimal.of(new BigDecimal("1E+3"))).isEqualTo("1000");
    assertThat(PlainDecimal.of(new BigDecimal("0E-9"))).isEqualTo("0");
    assertThat(new Volume(20_000_000).exactText()).isEqualTo("20");
    assertThat(new Temperature(-75).exactText()).isEqualTo("-7.5");
    assertThat(new UnitPrice(8_700_000, EUR).exactText()).isEqualTo("8.70");
    assertThat(new UnitPrice(752_500, EUR).exactText()).isEqualTo("0.7525");
    assertThat(new UnitPrice(870_000, YEN).exactText()).isEqualTo("87");
  }

  /** What is there never reads as nothing. */
  @Test
  void whatIsNotZeroIsNotShownAsZero() {
    assertThat(new Volume(499).display()).isEqualTo("<1 mL");
    assertThat(new Volume(500).display()).isEqualTo("1 mL");
    assertThat(Volume.ZERO.display()).isEqualTo("0 mL");
    assertThat(new Volume(1_478).displayUs()).isEqualTo("<0.1 fl oz");
    assertThat(new Volume(1_479).displayUs()).isEqualTo("0.1 fl oz");
    assertThat(new Length(4).display()).isEqualTo("<0.01 mm");
    assertThat(new Length(5).display()).isEqualTo("0.01 mm");
    assertThat(new Pressure(4_999).display()).isEqualTo("<0.1 bar");
    assertThat(new Pressure(5_000).display()).isEqualTo("0.1 bar");
    assertThat(new Torque(49).display()).startsWith("<0.1 N·m");
  }
}
