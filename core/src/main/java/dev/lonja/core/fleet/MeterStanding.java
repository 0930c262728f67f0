package dev.lonja.core.fleet;

import dev.lonja.core.quantity.MeterValue;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;

/** A meter with its judged readings and its outlook. */
public record MeterStanding(MeterFile file, ReadingLog log, MeterOutlook outlook) {

  /**
   * Judges all meters of a fleet and finds their rates: from readings, else as declared, else the
   * median of the class, else unknown; and with a rate above zero how unevenly they run.
   *
   * @return by meter id
   */
  public static Map<Long, MeterStanding> ofFleet(List<MeterFile> files, LocalDate today) {
    Map<Long, List<FromReadings>> byClass = new HashMap<>();
    List<FromReadings> all = new ArrayList<>();
    for (MeterFile file : files) {
      FromReadings found = FromReadings.of(file, today);
      all.add(found);
      byClass.computeIfAbsent(file.unit().unitClass().id(), id -> new ArrayList<>()).add(found);
    }
    Map<Long, MeterStanding> standings = new TreeMap<>();
    for (FromReadings found : all) {
      List<FromReadings> classmates = byClass.get(found.file().unit().unitClass().id());
      standings.put(found.file().meter().id(), found.standing(classmates));
    }
    return standings;
  }

  /** What one meter's own readings say. */
  private record FromReadings(
      MeterFile file, ReadingLog log, Optional<UsageRate> rate, Optional<Dispersion> dispersion) {

    static FromReadings of(MeterFile file, LocalDate today) {
      ReadingLog log = ReadingLog.judge(file.notes());
      List<LifePoint> accepted = log.accepted();
      Optional<UsageRate> rate = RateFinder.fromReadings(accepted, file.calendar(), today);
      return new FromReadings(
          file,
          log,
          rate,
          rate.flatMap(
              r ->
                  DispersionFinder.fromReadings(
                      RateFinder.used(accepted, today), file.calendar(), r)));
    }

    MeterStanding standing(List<FromReadings> classmates) {
      Optional<UsageRate> best =
          rate.or(file.meter()::declaredRate)
              .or(
                  () ->
                      RateFinder.classMedian(
                          classmates.stream().flatMap(mate -> mate.rate().stream()).toList(),
                          file.meter().measure()));
      List<Dispersion> theirs =
          classmates.stream().flatMap(mate -> mate.dispersion().stream()).toList();
      Optional<Dispersion> phi =
          best.filter(r -> !r.isStandingStill())
              .map(r -> dispersion.orElseGet(() -> DispersionFinder.otherwise(theirs, r)));
      Optional<LifePoint> last = log.lastAccepted().flatMap(JudgedReading::counted);
      MeterOutlook outlook =
          new MeterOutlook(
              last.map(LifePoint::day).orElse(file.unit().inServiceOn()),
              last.map(LifePoint::life).orElse(file.meter().start()),
              best,
              phi,
              file.calendar(),
              Optional.empty(),
              log.offset());
      return new MeterStanding(file, log, outlook);
    }
  }

  /** The log as it would be with one more reading. */
  public ReadingLog logWith(Reading more) {
    return ReadingLog.judge(file.notes().with(List.of(more)));
  }

  /** The life at which the meter in place shows {@code shown}. */
  public MeterValue life(MeterValue shown) {
    return log.offset().life(shown);
  }

  /** What the meter in place is expected to show on {@code day}, to the tenth. */
  public MeterValue expectedToShow(LocalDate day) {
    return log.offset().shown(outlook.on(day).rounded()).orElseThrow();
  }

  public long silentDays(LocalDate today) {
    return log.silentDays(file.unit().inServiceOn(), today);
  }

  /** True from {@link ReadingLog#STALE_DAYS} days without an accepted reading on. */
  public boolean isStale(LocalDate today) {
    return log.isStale(file.unit().inServiceOn(), today);
  }
}
