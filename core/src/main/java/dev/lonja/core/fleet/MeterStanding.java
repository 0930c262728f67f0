package dev.lonja.core.fleet;

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
   * median of the class, else unknown.
   *
   * @return by meter id
   */
  public static Map<Long, MeterStanding> ofFleet(List<MeterFile> files, LocalDate today) {
    Map<Long, ReadingLog> logs = new HashMap<>();
    Map<Long, UsageRate> fromReadings = new HashMap<>();
    Map<Long, List<UsageRate>> byClass = new HashMap<>();
    for (MeterFile file : files) {
      ReadingLog log = ReadingLog.judge(file.readings());
      logs.put(file.meter().id(), log);
      RateFinder.fromReadings(log.accepted(), file.calendar(), today)
          .ifPresent(
              rate -> {
                fromReadings.put(file.meter().id(), rate);
                long classId = file.unit().unitClass().id();
                byClass.computeIfAbsent(classId, id -> new ArrayList<>()).add(rate);
              });
    }
    Map<Long, MeterStanding> standings = new TreeMap<>();
    for (MeterFile file : files) {
      List<UsageRate> peers = byClass.getOrDefault(file.unit().unitClass().id(), List.of());
      Optional<UsageRate> rate =
          Optional.ofNullable(fromReadings.get(file.meter().id()))
              .or(file.meter()::declaredRate)
              .or(() -> RateFinder.classMedian(peers, file.meter().measure()));
      ReadingLog log = logs.get(file.meter().id());
      standings.put(file.meter().id(), new MeterStanding(file, log, outlook(file, log, rate)));
    }
    return standings;
  }

  private static MeterOutlook outlook(MeterFile file, ReadingLog log, Optional<UsageRate> rate) {
    Optional<Reading> last = log.lastAccepted();
    return new MeterOutlook(
        last.map(Reading::day).orElse(file.unit().inServiceOn()),
        last.map(Reading::value).orElse(file.meter().start()),
        rate,
        file.calendar());
  }

  public long silentDays(LocalDate today) {
    return log.silentDays(file.unit().inServiceOn(), today);
  }

  /** True from {@link ReadingLog#STALE_DAYS} days without an accepted reading on. */
  public boolean isStale(LocalDate today) {
    return log.isStale(file.unit().inServiceOn(), today);
  }
}
