package dev.lonja.store.fleet;

import static dev.lonja.store.schema.Tables.METER;
import static dev.lonja.store.schema.Tables.METER_REPLACEMENT;
import static dev.lonja.store.schema.Tables.READING;
import static dev.lonja.store.schema.Tables.READING_RULING;
import static dev.lonja.store.schema.Tables.UNIT;

import dev.lonja.core.meter.LifePoint;
import dev.lonja.core.meter.MeterId;
import dev.lonja.core.meter.MeterNotes;
import dev.lonja.core.meter.MeterReplacement;
import dev.lonja.core.meter.NewReading;
import dev.lonja.core.meter.Reading;
import dev.lonja.core.meter.Ruling;
import dev.lonja.core.quantity.MeterMeasure;
import dev.lonja.core.quantity.MeterValue;
import dev.lonja.store.query.Bound;
import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Collection;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.BiConsumer;
import org.jooq.Condition;
import org.jooq.Cursor;
import org.jooq.DSLContext;
import org.jooq.Record;
import org.jooq.ResultQuery;
import org.jooq.impl.DSL;

/**
 * Readings, exchanged meters and rulings, which are added and never changed; the core judges them
 * anew each time.
 */
public final class ReadingRepository {

  /** How a reading came in. */
  public enum Source {
    ENTERED,
    IMPORTED,
    HAND_OVER,
    TAKE_BACK,
    /** The last of a meter that was exchanged. */
    REPLACEMENT,
    /** Sent by the machine itself. */
    FEED
  }

  private final DSLContext context;

  public ReadingRepository(DSLContext context) {
    this.context = context;
  }

  /** All that was noted of one meter. */
  public MeterNotes of(MeterId meterId) {
    List<MeterNotes> notes = new ArrayList<>();
    forEach(READING.METER_ID.eq(meterId), (id, found) -> notes.add(found));
    return notes.isEmpty()
        ? new MeterNotes(start(meterId), List.of(), List.of(), List.of())
        : notes.get(0);
  }

  /** By meter, the days on which it was read, whatever was ruled on that. */
  public Map<MeterId, List<LocalDate>> days(Collection<MeterId> meters) {
    return context
        .select(READING.METER_ID, READING.READ_ON)
        .from(READING)
        .where(Bound.oneOf(READING.METER_ID, meters))
        .fetchGroups(READING.METER_ID, READING.READ_ON);
  }

  /**
   * Gives the notes of every meter that has any, one meter after the other, and keeps none of them:
   * years of readings of a whole fleet do not fit into memory together.
   */
  void forEach(Condition which, BiConsumer<MeterId, MeterNotes> use) {
    Map<MeterId, List<MeterReplacement>> replacements = replacements(which);
    Map<MeterId, List<Ruling>> rulings = rulings(which);
    List<Reading> readings = new ArrayList<>();
    Optional<LifePoint> start = Optional.empty();
    Optional<MeterId> meter = Optional.empty();
    try (Cursor<? extends Record> rows = rows(which).fetchLazy()) {
      for (Record row : rows) {
        Optional<MeterId> of = Optional.of(row.get(READING.METER_ID));
        if (!of.equals(meter)) {
          give(meter, start, readings, replacements, rulings, use);
          readings.clear();
          meter = of;
          start = Optional.of(start(row));
        }
        readings.add(reading(row));
      }
    }
    give(meter, start, readings, replacements, rulings, use);
  }

  private static void give(
      Optional<MeterId> meter,
      Optional<LifePoint> start,
      List<Reading> readings,
      Map<MeterId, List<MeterReplacement>> replacements,
      Map<MeterId, List<Ruling>> rulings,
      BiConsumer<MeterId, MeterNotes> use) {
    meter.ifPresent(
        id ->
            use.accept(
                id,
                new MeterNotes(
                    start,
                    readings,
                    replacements.getOrDefault(id, List.of()),
                    rulings.getOrDefault(id, List.of()))));
  }

  /** What a meter without readings stood at when its machine came in. */
  private Optional<LifePoint> start(MeterId meterId) {
    return context
        .select(METER.START_TENTHS, METER.MEASURE, UNIT.IN_SERVICE_ON)
        .from(METER)
        .join(UNIT)
        .on(UNIT.ID.eq(METER.UNIT_ID))
        .where(METER.ID.eq(meterId))
        .fetchOptional(ReadingRepository::start);
  }

  private static LifePoint start(Record row) {
    return new LifePoint(
        row.get(UNIT.IN_SERVICE_ON),
        Optional.empty(),
        new MeterValue(row.get(METER.START_TENTHS), MeterMeasure.ofSymbol(row.get(METER.MEASURE))));
  }

  private ResultQuery<? extends Record> rows(Condition which) {
    return context
        .select(
            READING.ID,
            READING.METER_ID,
            READING.READ_ON,
            READING.READ_AT,
            READING.VALUE_TENTHS,
            READING.CORRECTS,
            METER.START_TENTHS,
            METER.MEASURE,
            UNIT.IN_SERVICE_ON)
        .from(READING)
        .join(METER)
        .on(METER.ID.eq(READING.METER_ID))
        .join(UNIT)
        .on(UNIT.ID.eq(METER.UNIT_ID))
        .where(which)
        .orderBy(READING.METER_ID, READING.READ_ON, READING.ID);
  }

  private Map<MeterId, List<MeterReplacement>> replacements(Condition which) {
    return context
        .select(METER_REPLACEMENT.asterisk(), READING.METER_ID, METER.MEASURE)
        .from(METER_REPLACEMENT)
        .join(READING)
        .on(READING.ID.eq(METER_REPLACEMENT.END_READING_ID))
        .join(METER)
        .on(METER.ID.eq(READING.METER_ID))
        .where(which, stands())
        .fetchGroups(
            READING.METER_ID,
            row ->
                new MeterReplacement(
                    row.get(METER_REPLACEMENT.ID),
                    row.get(METER_REPLACEMENT.END_READING_ID),
                    new MeterValue(
                        row.get(METER_REPLACEMENT.START_TENTHS),
                        MeterMeasure.ofSymbol(row.get(METER.MEASURE)))));
  }

  private static Condition stands() {
    var later = METER_REPLACEMENT.as("later");
    return METER_REPLACEMENT
        .WITHDRAWS
        .isNull()
        .andNotExists(DSL.selectOne().from(later).where(later.WITHDRAWS.eq(METER_REPLACEMENT.ID)));
  }

  private Map<MeterId, List<Ruling>> rulings(Condition which) {
    return context
        .select(READING_RULING.asterisk(), READING.METER_ID)
        .from(READING_RULING)
        .join(READING)
        .on(READING.ID.eq(READING_RULING.READING_ID))
        .where(which)
        .fetchGroups(
            READING.METER_ID,
            row ->
                new Ruling(
                    row.get(READING_RULING.ID),
                    row.get(READING_RULING.READING_ID),
                    row.get(READING_RULING.ACCEPTED) == 1,
                    row.get(READING_RULING.REASON),
                    row.get(READING_RULING.ACTOR)));
  }

  /** What a meter showed when a tray was handed over on a day, the latest of that day. */
  public Optional<MeterValue> atHandOver(MeterId meterId, LocalDate day) {
    return latest(meterId, day, Set.of(Source.HAND_OVER));
  }

  /** What a meter showed on the day of a job, the latest that was noted with one. */
  public Optional<MeterValue> onJob(MeterId meterId, LocalDate day) {
    return latest(meterId, day, Set.of(Source.HAND_OVER, Source.TAKE_BACK));
  }

  private Optional<MeterValue> latest(MeterId meterId, LocalDate day, Set<Source> sources) {
    return context
        .select(READING.VALUE_TENTHS, METER.MEASURE)
        .from(READING)
        .join(METER)
        .on(METER.ID.eq(READING.METER_ID))
        .where(
            READING.METER_ID.eq(meterId),
            READING.READ_ON.eq(day),
            READING.SOURCE.in(sources.stream().map(Source::name).toList()))
        .orderBy(READING.ID.desc())
        .limit(1)
        .fetchOptional(row -> new MeterValue(row.value1(), MeterMeasure.ofSymbol(row.value2())));
  }

  /**
   * Adds what was read.
   *
   * @return the id that the store gave it
   */
  public long add(MeterId meterId, NewReading reading, Source source, String actor, Instant at) {
    return context
        .insertInto(READING)
        .set(READING.METER_ID, meterId)
        .set(READING.READ_ON, reading.day())
        .set(READING.READ_AT, reading.at().orElse(null))
        .set(READING.VALUE_TENTHS, reading.value().tenths())
        .set(READING.CORRECTS, reading.corrects().orElse(null))
        .set(READING.SOURCE, source.name())
        .set(READING.ACTOR, actor)
        .set(READING.RECORDED_AT, at)
        .returning(READING.ID)
        .fetchSingle(READING.ID);
  }

  /** Notes what a person decided about a reading. */
  public void rule(Ruling.Wanted ruling, Instant at) {
    context
        .insertInto(READING_RULING)
        .set(READING_RULING.READING_ID, ruling.readingId())
        .set(READING_RULING.ACCEPTED, ruling.accepted() ? 1L : 0L)
        .set(READING_RULING.REASON, ruling.reason())
        .set(READING_RULING.ACTOR, ruling.actor())
        .set(READING_RULING.RECORDED_AT, at)
        .execute();
  }

  /**
   * Notes that a meter was exchanged after the reading that ends it.
   *
   * @param start what the new meter stood at
   */
  public void replace(
      long endReadingId, MeterValue start, String reason, String actor, Instant at) {
    insert(endReadingId, start, Optional.empty(), reason, actor, at);
  }

  /** Withdraws an exchange that was noted in error, by a line that names it. */
  public void withdraw(MeterReplacement wrong, String reason, String actor, Instant at) {
    insert(wrong.endReadingId(), wrong.start(), Optional.of(wrong.id()), reason, actor, at);
  }

  private void insert(
      long endReadingId,
      MeterValue start,
      Optional<Long> withdraws,
      String reason,
      String actor,
      Instant at) {
    context
        .insertInto(METER_REPLACEMENT)
        .set(METER_REPLACEMENT.END_READING_ID, endReadingId)
        .set(METER_REPLACEMENT.START_TENTHS, start.tenths())
        .set(METER_REPLACEMENT.WITHDRAWS, withdraws.orElse(null))
        .set(METER_REPLACEMENT.REASON, reason)
        .set(METER_REPLACEMENT.ACTOR, actor)
        .set(METER_REPLACEMENT.RECORDED_AT, at)
        .execute();
  }

  private static Reading reading(Record row) {
    return new Reading(
        row.get(READING.ID),
        row.get(READING.READ_ON),
        Optional.ofNullable(row.get(READING.READ_AT)),
        new MeterValue(
            row.get(READING.VALUE_TENTHS), MeterMeasure.ofSymbol(row.get(METER.MEASURE))),
        Optional.ofNullable(row.get(READING.CORRECTS)));
  }
}
