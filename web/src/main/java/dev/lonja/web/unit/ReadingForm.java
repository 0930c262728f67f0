package dev.lonja.web.unit;

import dev.lonja.core.meter.JudgedMeter;
import dev.lonja.core.meter.Meter;
import dev.lonja.core.meter.MeterId;
import dev.lonja.core.quantity.MeterMeasure;
import dev.lonja.core.quantity.MeterValue;
import dev.lonja.desk.meter.MeterDesk;
import dev.lonja.desk.request.Outcome;
import dev.lonja.desk.request.Sent;
import dev.lonja.web.meter.MeterEntry;
import dev.lonja.web.meter.ReadingWording;
import dev.lonja.web.request.RefusalWording;
import dev.lonja.web.request.Typed;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;

/**
 * A reading as typed.
 *
 * @param keepFlagged "true" if the person wants it kept even if it is set aside
 */
public record ReadingForm(MeterId meterId, String value, String day, String keepFlagged) {

  static final RefusalWording REFUSED = ReadingWording.at("day", "value");

  /** Empty, with the problems noted, if it cannot be read. */
  Optional<Outcome> send(
      MeterDesk desk, Sent sent, String code, List<JudgedMeter> meters, Typed typed) {
    Optional<MeterMeasure> measure =
        meters.stream()
            .map(meter -> meter.standing().file().meter())
            .filter(meter -> meter.id().equals(meterId))
            .map(Meter::measure)
            .findFirst();
    if (measure.isEmpty()) {
      typed.refuse("value", code + " has no such meter.");
      return Optional.empty();
    }
    Optional<MeterValue> shown =
        MeterEntry.value(typed, "value", "The reading", value, measure.get());
    Optional<LocalDate> on = typed.day("day", day);
    return typed.all(
        () ->
            desk.note(
                sent,
                code,
                new MeterDesk.Entry(meterId, on.orElseThrow(), shown.orElseThrow()),
                Boolean.parseBoolean(keepFlagged)));
  }
}
