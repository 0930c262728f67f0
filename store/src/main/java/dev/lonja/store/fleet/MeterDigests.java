package dev.lonja.store.fleet;

import static dev.lonja.store.schema.Tables.METER;
import static dev.lonja.store.schema.Tables.READING;

import dev.lonja.core.calendar.UsageCalendar;
import dev.lonja.core.fleet.UnitId;
import dev.lonja.core.meter.Meter;
import dev.lonja.core.meter.MeterDigest;
import dev.lonja.core.meter.MeterId;
import dev.lonja.core.meter.MeterNotes;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import java.util.function.BiConsumer;
import org.jooq.DSLContext;

/**
 * What the notes of all meters come down to. They are read once and again only when something was
 * noted of a meter or its calendar changed.
 */
public final class MeterDigests {

  /** From this many meters on, one pass over all readings is quicker than a query for each. */
  private static final int MANY = 40;

  private final DSLContext context;
  private final Memory memory;
  private final boolean mayRemember;

  /** What is remembered between sessions of one store. */
  public static final class Memory {
    private final Map<MeterId, Remembered> byMeter = new ConcurrentHashMap<>();
  }

  private record Remembered(long changes, UsageCalendar calendar, MeterDigest digest) {

    boolean fits(long changesNow, UsageCalendar calendarNow) {
      return changes == changesNow && calendar.equals(calendarNow);
    }
  }

  /**
   * @param memory of the store
   * @param mayRemember false within a transaction that may still be undone
   */
  public MeterDigests(DSLContext context, Memory memory, boolean mayRemember) {
    this.context = context;
    this.memory = memory;
    this.mayRemember = mayRemember;
  }

  /**
   * The digests of these meters, by meter id; the day does not matter to them.
   *
   * @param calendars by unit
   */
  public Map<MeterId, MeterDigest> of(List<Meter> meters, Map<UnitId, UsageCalendar> calendars) {
    Map<MeterId, Long> changes =
        context.select(METER.ID, METER.CHANGES).from(METER).fetchMap(METER.ID, METER.CHANGES);
    Map<MeterId, MeterDigest> digests = new ConcurrentHashMap<>();
    Map<MeterId, Meter> missing = new HashMap<>();
    for (Meter meter : meters) {
      Remembered known = memory.byMeter.get(meter.id());
      UsageCalendar calendar = calendars.get(meter.unitId());
      if (known != null && known.fits(changes.get(meter.id()), calendar)) {
        digests.put(meter.id(), known.digest());
      } else {
        missing.put(meter.id(), meter);
      }
    }
    BiConsumer<MeterId, MeterNotes> digest =
        (id, notes) -> {
          UsageCalendar calendar = calendars.get(missing.get(id).unitId());
          MeterDigest found = MeterDigest.of(notes, calendar);
          digests.put(id, found);
          if (mayRemember) {
            memory.byMeter.put(id, new Remembered(changes.get(id), calendar, found));
          }
        };
    ReadingRepository readings = new ReadingRepository(context);
    if (missing.size() < MANY) {
      missing.keySet().forEach(id -> digest.accept(id, readings.of(id)));
    } else {
      readings.forEach(READING.METER_ID.in(missing.keySet()), digest);
      missing.keySet().stream()
          .filter(id -> !digests.containsKey(id))
          .forEach(id -> digest.accept(id, MeterNotes.of(List.of())));
    }
    return digests;
  }
}
