package dev.lonja.store.fleet;

import static dev.lonja.store.schema.Tables.METER;
import static dev.lonja.store.schema.Tables.METER_DIGEST;
import static dev.lonja.store.schema.Tables.READING;

import dev.lonja.core.calendar.UsageCalendar;
import dev.lonja.core.fleet.UnitId;
import dev.lonja.core.meter.Dispersion;
import dev.lonja.core.meter.LastReading;
import dev.lonja.core.meter.Meter;
import dev.lonja.core.meter.MeterDigest;
import dev.lonja.core.meter.MeterId;
import dev.lonja.core.meter.MeterNotes;
import dev.lonja.core.meter.MeterOffset;
import dev.lonja.core.meter.UsageRate;
import dev.lonja.core.quantity.MeterMeasure;
import dev.lonja.core.quantity.MeterValue;
import dev.lonja.store.query.Bound;
import java.util.Collection;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.ConcurrentHashMap;
import java.util.function.BiConsumer;
import java.util.stream.Collectors;
import org.jooq.BatchBindStep;
import org.jooq.Condition;
import org.jooq.DSLContext;
import org.jooq.Record;
import org.jooq.TableField;

/**
 * What the notes of meters come down to. It is worked out once, kept in a table, and worked out
 * again only when something was noted of a meter, its calendar changed, or the rules did.
 */
public final class MeterDigests {

  /** From this many meters on, one pass over all readings is quicker than a query for each. */
  private static final int MANY = 40;

  private static final List<TableField<?, ?>> COLUMNS =
      List.of(
          METER_DIGEST.METER_ID,
          METER_DIGEST.RULES,
          METER_DIGEST.CHANGES,
          METER_DIGEST.CALENDAR,
          METER_DIGEST.LAST_ON,
          METER_DIGEST.LAST_AT,
          METER_DIGEST.LAST_SHOWN_TENTHS,
          METER_DIGEST.LAST_LIFE_TENTHS,
          METER_DIGEST.OFFSET_TENTHS,
          METER_DIGEST.RATE_NANO,
          METER_DIGEST.RATE_SOURCE,
          METER_DIGEST.DISPERSION_MICRO);

  private final DSLContext context;
  private final Unkept unkept;
  private final boolean mayRemember;

  /**
   * What was worked out by readers, who cannot write, and waits for the next transaction that can.
   */
  public static final class Unkept {
    private final Map<MeterId, Made> byMeter = new ConcurrentHashMap<>();

    public boolean isEmpty() {
      return byMeter.isEmpty();
    }

    /** Forgets what has been kept; what was worked out meanwhile stays. */
    public void forget(Map<MeterId, Made> kept) {
      kept.forEach(byMeter::remove);
    }
  }

  /**
   * A digest with what it was worked out from.
   *
   * @param changes how much had been noted of the meter
   * @param calendar in writing
   */
  public record Made(long changes, String calendar, MeterDigest digest) {

    private boolean fits(long changesNow, String calendarNow) {
      return changes == changesNow && calendar.equals(calendarNow);
    }
  }

  /**
   * @param mayRemember false within a transaction that may still be undone
   */
  public MeterDigests(DSLContext context, Unkept unkept, boolean mayRemember) {
    this.context = context;
    this.unkept = unkept;
    this.mayRemember = mayRemember;
  }

  /**
   * The digests of these meters, by meter; the day does not matter to them.
   *
   * @param calendars by unit
   */
  public Map<MeterId, MeterDigest> of(List<Meter> meters, Map<UnitId, UsageCalendar> calendars) {
    List<MeterId> ids = meters.stream().map(Meter::id).toList();
    Map<MeterId, Long> changes = changes(ids);
    Map<MeterId, Made> kept = kept(ids);
    Map<MeterId, MeterDigest> digests = new HashMap<>();
    Map<MeterId, UsageCalendar> missing = new HashMap<>();
    for (Meter meter : meters) {
      UsageCalendar calendar = calendars.get(meter.unitId());
      String written = written(calendar);
      Optional<Made> known =
          Optional.ofNullable(unkept.byMeter.get(meter.id()))
              .filter(made -> made.fits(changes.get(meter.id()), written))
              .or(() -> Optional.ofNullable(kept.get(meter.id())))
              .filter(made -> made.fits(changes.get(meter.id()), written));
      known.ifPresentOrElse(
          made -> digests.put(meter.id(), made.digest()), () -> missing.put(meter.id(), calendar));
    }
    workOut(missing, changes, digests);
    return digests;
  }

  private void workOut(
      Map<MeterId, UsageCalendar> missing,
      Map<MeterId, Long> changes,
      Map<MeterId, MeterDigest> digests) {
    BiConsumer<MeterId, MeterNotes> digest =
        (id, notes) -> {
          UsageCalendar calendar = missing.get(id);
          MeterDigest found = MeterDigest.of(notes, calendar);
          digests.put(id, found);
          if (mayRemember) {
            unkept.byMeter.put(id, new Made(changes.get(id), written(calendar), found));
          }
        };
    ReadingRepository readings = new ReadingRepository(context);
    if (missing.size() < MANY) {
      missing.keySet().forEach(id -> digest.accept(id, readings.of(id)));
    } else {
      readings.forEach(Bound.oneOf(READING.METER_ID, missing.keySet()), digest);
      missing.keySet().stream()
          .filter(id -> !digests.containsKey(id))
          .forEach(id -> digest.accept(id, MeterNotes.of(List.of())));
    }
  }

  /** The meters whose kept digest claims to hold and is not what their notes come down to. */
  public List<MeterId> untrue(List<Meter> meters, Map<UnitId, UsageCalendar> calendars) {
    List<MeterId> ids = meters.stream().map(Meter::id).toList();
    Map<MeterId, Long> changes = changes(ids);
    Map<MeterId, Made> kept = kept(ids);
    Map<MeterId, UsageCalendar> claimed = new HashMap<>();
    for (Meter meter : meters) {
      UsageCalendar calendar = calendars.get(meter.unitId());
      Optional.ofNullable(kept.get(meter.id()))
          .filter(made -> made.fits(changes.get(meter.id()), written(calendar)))
          .ifPresent(made -> claimed.put(meter.id(), calendar));
    }
    Map<MeterId, MeterDigest> anew = new HashMap<>();
    workOut(claimed, changes, anew);
    return ids.stream()
        .filter(id -> claimed.containsKey(id) && !kept.get(id).digest().equals(anew.get(id)))
        .toList();
  }

  private Map<MeterId, Long> changes(Collection<MeterId> ids) {
    return context
        .select(METER.ID, METER.CHANGES)
        .from(METER)
        .where(Bound.oneOf(METER.ID, ids))
        .fetchMap(METER.ID, METER.CHANGES);
  }

  /** Those that the rules of today made, whatever has been noted since. */
  private Map<MeterId, Made> kept(Collection<MeterId> ids) {
    Condition ofToday = METER_DIGEST.RULES.eq((long) MeterDigest.RULES);
    Map<MeterId, Made> kept = new HashMap<>();
    context
        .select(METER_DIGEST.asterisk(), METER.MEASURE)
        .from(METER_DIGEST)
        .join(METER)
        .on(METER.ID.eq(METER_DIGEST.METER_ID))
        .where(ofToday, Bound.oneOf(METER_DIGEST.METER_ID, ids))
        .forEach(
            row ->
                kept.put(
                    row.get(METER_DIGEST.METER_ID),
                    made(row, MeterMeasure.ofSymbol(row.get(METER.MEASURE)))));
    return kept;
  }

  private static Made made(Record row, MeterMeasure measure) {
    return new Made(
        row.get(METER_DIGEST.CHANGES),
        row.get(METER_DIGEST.CALENDAR),
        new MeterDigest(
            Optional.ofNullable(row.get(METER_DIGEST.LAST_ON))
                .map(
                    day ->
                        new LastReading(
                            day,
                            Optional.ofNullable(row.get(METER_DIGEST.LAST_AT)),
                            new MeterValue(row.get(METER_DIGEST.LAST_SHOWN_TENTHS), measure),
                            new MeterValue(row.get(METER_DIGEST.LAST_LIFE_TENTHS), measure))),
            new MeterOffset(row.get(METER_DIGEST.OFFSET_TENTHS)),
            Optional.ofNullable(row.get(METER_DIGEST.RATE_NANO))
                .map(
                    nano ->
                        new UsageRate(
                            nano,
                            measure,
                            UsageRate.Source.valueOf(row.get(METER_DIGEST.RATE_SOURCE)))),
            Optional.ofNullable(row.get(METER_DIGEST.DISPERSION_MICRO))
                .map(micro -> new Dispersion(micro, measure))));
  }

  /**
   * Keeps what waits to be kept, in a transaction that may write.
   *
   * @return what is kept once the transaction is committed
   */
  public Map<MeterId, Made> keep() {
    Map<MeterId, Made> waiting = Map.copyOf(unkept.byMeter);
    context
        .deleteFrom(METER_DIGEST)
        .where(Bound.oneOf(METER_DIGEST.METER_ID, waiting.keySet()))
        .execute();
    BatchBindStep rows =
        context.batch(
            context.insertInto(METER_DIGEST).columns(COLUMNS).values(new Object[COLUMNS.size()]));
    waiting.forEach((id, made) -> rows.bind(row(id, made)));
    rows.execute();
    return waiting;
  }

  /** The values of {@link #COLUMNS}. */
  private static Object[] row(MeterId id, Made made) {
    Optional<LastReading> last = made.digest().last();
    Optional<UsageRate> rate = made.digest().rate();
    return new Object[] {
      id,
      (long) MeterDigest.RULES,
      made.changes(),
      made.calendar(),
      last.map(LastReading::day).orElse(null),
      last.flatMap(LastReading::at).orElse(null),
      last.map(reading -> reading.shown().tenths()).orElse(null),
      last.map(reading -> reading.life().tenths()).orElse(null),
      made.digest().offset().tenths(),
      rate.map(UsageRate::billionthsPerDay).orElse(null),
      rate.map(found -> found.source().name()).orElse(null),
      made.digest().dispersion().map(Dispersion::millionths).orElse(null)
    };
  }

  /** "10000 10000 … 2027-01-05/2027-02-01": all that a calendar says, in writing. */
  private static String written(UsageCalendar calendar) {
    String months =
        calendar.monthlyFactors().stream().map(String::valueOf).collect(Collectors.joining(" "));
    return calendar.layUps().stream()
        .map(layUp -> " " + layUp.first() + "/" + layUp.last())
        .collect(Collectors.joining("", months, ""));
  }
}
