package dev.lonja.web.meter;

import dev.lonja.core.meter.MeterId;
import dev.lonja.core.quantity.Limits;
import dev.lonja.core.quantity.MeterMeasure;
import dev.lonja.core.quantity.MeterValue;
import dev.lonja.web.request.Typed;
import java.util.HashMap;
import java.util.Map;
import java.util.Optional;

/** Meter values as people type them, and what speaks against them. */
public final class MeterEntry {

  /** A form's field for one meter is called by this and the meter's id. */
  private static final String FIELD = "meter-";

  private MeterEntry() {}

  /** The fields of a form that stand for meters, by meter id. */
  public static Map<MeterId, String> fields(Map<String, String> typed) {
    Map<MeterId, String> meters = new HashMap<>();
    typed.forEach(
        (field, value) -> {
          if (field.matches(FIELD + "[1-9][0-9]{0,17}")) {
            meters.put(MeterId.valueOf(field.substring(FIELD.length())), value);
          }
        });
    return meters;
  }

  public static String field(MeterId meterId) {
    return FIELD + meterId;
  }

  /** A value that a meter can show; anything else is refused. */
  public static Optional<MeterValue> value(
      Typed typed, String field, String what, String text, MeterMeasure measure) {
    return typed
        .decimalFromZero(field, what, text, Limits.METER)
        .map(amount -> MeterValue.of(amount, measure));
  }
}
