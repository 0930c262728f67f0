package dev.lonja.core.meter;

import dev.lonja.core.calendar.LayUp;
import dev.lonja.core.calendar.UsageCalendar;
import dev.lonja.core.quantity.MeterMeasure;
import dev.lonja.core.quantity.MeterValue;
import java.math.BigDecimal;
import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;

/** Readings, calendars and outlooks for worked examples. */
public final class Fleets {

  private Fleets() {}

  public static Reading hours(long id, String day, String value) {
    return new Reading(id, LocalDate.parse(day), Optional.empty(), MeterValue.ofHours(value));
  }

  public static Reading hoursAt(long id, String instant, String value) {
    Instant at = Instant.parse(instant);
    LocalDate day = LocalDate.parse(instant.substring(0, 10));
    return new Reading(id, day, Optional.of(at), MeterValue.ofHours(value));
  }

  public static Reading kilometres(long id, String day, String value) {
    return new Reading(id, LocalDate.parse(day), Optional.empty(), MeterValue.ofKilometres(value));
  }

  /** Runs {@code perDay} hours on every day alike, from a value read on a day. */
  public static MeterOutlook steady(String day, String value, String perDay) {
    return new MeterOutlook(
        LocalDate.parse(day),
        MeterValue.ofHours(value),
        Optional.of(UsageRate.declared(new BigDecimal(perDay), MeterMeasure.HOURS)),
        Optional.of(Dispersion.of(1, MeterMeasure.HOURS)),
        UsageCalendar.EVEN);
  }

  /** The same with a stated dispersion, in hours. */
  public static MeterOutlook uneven(String day, String value, String perDay, double phi) {
    MeterOutlook steady = steady(day, value, perDay);
    return new MeterOutlook(
        steady.baseDay(),
        steady.base(),
        steady.rate(),
        Optional.of(Dispersion.of(phi, MeterMeasure.HOURS)),
        steady.calendar());
  }

  /** Nothing in January, twice the mean in February, the mean in all other months. */
  public static UsageCalendar januaryOff(LayUp... layUps) {
    return new UsageCalendar(
        List.of(
            0, 20_000, 10_000, 10_000, 10_000, 10_000, 10_000, 10_000, 10_000, 10_000, 10_000,
            10_000),
        List.of(layUps));
  }

  /** The lives that these readings stand for, as far as they count. */
  public static List<LifePoint> lives(Reading... readings) {
    return ReadingLog.judge(MeterNotes.of(List.of(readings))).accepted();
  }
}
