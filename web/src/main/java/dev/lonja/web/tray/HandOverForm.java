package dev.lonja.web.tray;

import dev.lonja.core.meter.MeterId;
import dev.lonja.core.meter.MeterStanding;
import dev.lonja.core.quantity.MeterValue;
import dev.lonja.core.text.Lengths;
import dev.lonja.core.tray.TrayId;
import dev.lonja.desk.request.Outcome;
import dev.lonja.desk.request.Sent;
import dev.lonja.desk.tray.HandOverDesk;
import dev.lonja.web.meter.MeterEntry;
import dev.lonja.web.request.Typed;
import java.util.HashMap;
import java.util.Map;
import java.util.Optional;

/**
 * A hand-over as typed.
 *
 * @param version of the tray when the form was shown
 */
record HandOverForm(long version, String mechanic, String pin) {

  private static final int LONGEST_NAME = Lengths.NAME;

  /** Empty, with the problems noted, if it cannot be read. */
  Optional<Outcome> send(
      HandOverDesk desk, Sent sent, TrayId id, Map<String, String> fields, Typed typed) {
    Optional<String> to = typed.text("mechanic", "The mechanic's name", mechanic, LONGEST_NAME);
    Map<MeterId, MeterValue> shown = new HashMap<>();
    desk.meters(id).ifPresent(meters -> read(meters, fields, typed, shown));
    return typed.all(
        () ->
            desk.handOver(
                sent,
                id,
                version,
                new HandOverDesk.Taker(to.orElseThrow(), pin == null ? "" : pin),
                shown));
  }

  private static void read(
      HandOverDesk.Meters meters,
      Map<String, String> fields,
      Typed typed,
      Map<MeterId, MeterValue> shown) {
    for (MeterStanding meter : meters.all()) {
      MeterId meterId = meter.file().meter().id();
      String field = MeterEntry.field(meterId);
      String text = fields.getOrDefault(field, "");
      if (meters.needed() || !text.isBlank()) {
        MeterEntry.value(typed, field, "The meter reading", text, meter.file().meter().measure())
            .ifPresent(value -> shown.put(meterId, value));
      }
    }
  }
}
