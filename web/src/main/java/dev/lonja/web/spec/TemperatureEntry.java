package dev.lonja.web.spec;

import dev.lonja.core.quantity.Limits;
import dev.lonja.core.quantity.Temperature;
import dev.lonja.web.request.Typed;
import java.math.BigDecimal;
import java.util.Optional;

/** Reads temperatures in degrees Celsius. */
final class TemperatureEntry {

  private TemperatureEntry() {}

  /** A temperature of the air; what is wrong is in {@code typed}. */
  static Optional<Temperature> of(Typed typed, String field, String text) {
    BigDecimal most = BigDecimal.valueOf(Limits.CELSIUS);
    return typed
        .decimalBetween(
            field, "The temperature", text.strip().replace('−', '-'), most.negate(), most, 1)
        .map(Temperature::ofCelsius);
  }
}
