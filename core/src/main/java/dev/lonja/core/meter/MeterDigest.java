package dev.lonja.core.meter;

import dev.lonja.core.calendar.UsageCalendar;
import java.util.List;
import java.util.Optional;

/**
 * What one meter's own notes come down to: all that a fleet needs of them, at a fraction of their
 * size. It changes only with the notes and the calendar, whatever the day, so it may be kept.
 *
 * @param last the last accepted reading, if there is one
 * @param offset of the meter in place
 * @param rate from its readings, if they suffice
 * @param dispersion from its readings, if they suffice
 */
public record MeterDigest(
    Optional<LastReading> last,
    MeterOffset offset,
    Optional<UsageRate> rate,
    Optional<Dispersion> dispersion) {

  /**
   * Counts how often the rules changed by which readings are judged and rates are found; to be
   * raised with them, since a digest that was kept under other rules is no longer one.
   */
  public static final int RULES = 2;

  /** Judges the notes and finds rate and dispersion; costs n² for n readings of the last year. */
  public static MeterDigest of(MeterNotes notes, UsageCalendar calendar) {
    ReadingLog log = ReadingLog.judge(notes);
    List<LifePoint> accepted = log.accepted();
    Optional<UsageRate> rate = RateFinder.fromReadings(accepted, calendar);
    return new MeterDigest(
        log.lastAccepted().map(MeterDigest::last),
        log.offset(),
        rate,
        rate.flatMap(r -> DispersionFinder.fromReadings(RateFinder.used(accepted), calendar, r)));
  }

  private static LastReading last(JudgedReading judged) {
    LifePoint counted = judged.counted().orElseThrow();
    return new LastReading(counted.day(), counted.at(), judged.reading().value(), counted.life());
  }
}
