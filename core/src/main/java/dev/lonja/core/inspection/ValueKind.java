package dev.lonja.core.inspection;

import dev.lonja.core.quantity.Length;
import dev.lonja.core.quantity.PlainDecimal;
import dev.lonja.core.quantity.Pressure;
import dev.lonja.core.quantity.Spoken;
import dev.lonja.core.quantity.SpokenNumber;
import dev.lonja.core.quantity.Temperature;
import dev.lonja.core.quantity.Torque;
import dev.lonja.core.quantity.Voltage;
import java.math.BigDecimal;
import java.util.Optional;
import java.util.function.Function;
import java.util.function.LongFunction;

/** What an inspection may measure, each in the base unit of its quantity. */
public enum ValueKind {
  LENGTH(
      "length",
      3,
      Spoken.LENGTH.units(),
      text -> Spoken.LENGTH.read(text).map(Length::micrometres),
      base -> new Length(base).display()),
  PRESSURE(
      "pressure",
      5,
      Spoken.PRESSURE.units(),
      text -> Spoken.PRESSURE.read(text).map(Pressure::pascals),
      base -> PlainDecimal.of(new Pressure(base).roundedToHundredths()) + " bar"),
  TEMPERATURE(
      "temperature",
      1,
      Spoken.TEMPERATURE.units(),
      text -> Spoken.TEMPERATURE.read(text).map(t -> (long) t.tenthsCelsius()),
      base -> new Temperature(Math.toIntExact(base)).display()),
  TORQUE(
      "torque",
      3,
      Spoken.TORQUE.units(),
      text -> Spoken.TORQUE.read(text).map(Torque::millinewtonMetres),
      base -> new Torque(base).display()),
  VOLTAGE(
      "voltage",
      3,
      Spoken.VOLTAGE.units(),
      text -> Spoken.VOLTAGE.read(text).map(Voltage::millivolts),
      base -> new Voltage(base).display()),
  COUNT("count", 0, "a whole number", ValueKind::count, String::valueOf);

  private static final BigDecimal MOST_COUNTED = BigDecimal.valueOf(1_000_000);

  private final String words;
  private final int decimals;
  private final String units;
  private final Function<String, Optional<Long>> reader;
  private final LongFunction<String> display;

  ValueKind(
      String words,
      int decimals,
      String units,
      Function<String, Optional<Long>> reader,
      LongFunction<String> display) {
    this.words = words;
    this.decimals = decimals;
    this.units = units;
    this.reader = reader;
    this.display = display;
  }

  private static Optional<Long> count(String text) {
    return SpokenNumber.read(text)
        .filter(n -> n.unit().isEmpty())
        .map(SpokenNumber::amount)
        .filter(n -> n.signum() >= 0 && n.stripTrailingZeros().scale() <= 0)
        .filter(n -> n.compareTo(MOST_COUNTED) <= 0)
        .map(BigDecimal::longValueExact);
  }

  public String words() {
    return words;
  }

  /** The units in which it may be written, the usual one first. */
  public String units() {
    return units;
  }

  /** The usual unit; empty for a count. */
  public String symbol() {
    return this == COUNT ? "" : units.split("[, ]", 2)[0];
  }

  /** A value as somebody typed it; empty if it is none of this kind. */
  public Optional<InspectedValue> read(String text) {
    return reader.apply(text).map(base -> new InspectedValue(this, base));
  }

  String display(long base) {
    return display.apply(base);
  }

  String exactText(long base) {
    return PlainDecimal.of(base, decimals);
  }
}
