package dev.lonja.web.spec;

import dev.lonja.core.quantity.Temperature;
import dev.lonja.web.request.Typed;
import java.math.BigDecimal;
import java.util.Optional;

/** Reads temperatures in degrees Celsius. */
final class TemperatureEntry {

  private TemperatureEntry() {}

  /** A temperature within limits, both included; what is wrong is in {@code typed}. */
  static Optional<Temperature> of(
      Typed typed, String field, String text, BigDecimal coldest, BigDecimal hottest) {
    Optional<BigDecimal> degrees =
        typed.decimal(field, "The temperature", text.strip().replace('−', '-'));
    boolean within =
        degrees.filter(d -> d.compareTo(coldest) >= 0 && d.compareTo(hottest) <= 0).isPresent();
    if (degrees.isPresent() && !within) {
      typed.refuse(
          field,
          "The temperature is "
              + text.strip()
              + " °C; allowed is "
              + coldest.toPlainString()
              + " to "
              + hottest.toPlainString()
              + ".");
      return Optional.empty();
    }
    return degrees.map(Temperature::ofCelsius);
  }
}
