package dev.lonja.store.fleet;

import static dev.lonja.store.schema.Tables.METER;
import static dev.lonja.store.schema.Tables.READING;

import dev.lonja.core.fleet.Reading;
import dev.lonja.core.quantity.MeterMeasure;
import dev.lonja.core.quantity.MeterValue;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.jooq.DSLContext;
import org.jooq.Record;

/** Readings, which are added and never changed; the core judges them anew each time. */
public final class ReadingRepository {

  /** How a reading came in. */
  public enum Source {
    ENTERED,
    IMPORTED,
    HAND_OVER
  }

  private final DSLContext context;

  public ReadingRepository(DSLContext context) {
    this.context = context;
  }

  /** All readings, by meter. */
  public Map<Long, List<Reading>> byMeter() {
    return context
        .select(
            READING.ID,
            READING.METER_ID,
            READING.READ_ON,
            READING.READ_AT,
            READING.VALUE_TENTHS,
            METER.MEASURE)
        .from(READING)
        .join(METER)
        .on(METER.ID.eq(READING.METER_ID))
        .orderBy(READING.METER_ID, READING.READ_ON, READING.ID)
        .fetchGroups(READING.METER_ID, ReadingRepository::reading);
  }

  /** Adds what was read; its id is given by the store. */
  public void add(long meterId, Reading reading, Source source, String actor, Instant at) {
    context
        .insertInto(READING)
        .set(READING.METER_ID, meterId)
        .set(READING.READ_ON, reading.day())
        .set(READING.READ_AT, reading.at().orElse(null))
        .set(READING.VALUE_TENTHS, reading.value().tenths())
        .set(READING.SOURCE, source.name())
        .set(READING.ACTOR, actor)
        .set(READING.RECORDED_AT, at)
        .execute();
  }

  private static Reading reading(Record row) {
    return new Reading(
        row.get(READING.ID),
        row.get(READING.READ_ON),
        Optional.ofNullable(row.get(READING.READ_AT)),
        new MeterValue(
            row.get(READING.VALUE_TENTHS), MeterMeasure.ofSymbol(row.get(METER.MEASURE))));
  }
}
