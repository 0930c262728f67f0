package dev.lonja.core.fleet;

import dev.lonja.core.quantity.MeterSpan;
import java.math.BigInteger;
import java.time.Duration;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * All readings of one meter in order of their time, each judged against the last accepted one
 * before it. Since the judgement is a function of the whole log, a late reading re-judges those
 * after it. The life value of the accepted readings never falls. Judging n readings costs n log n.
 */
public record ReadingLog(List<JudgedReading> readings) {

  /** From this many days without an accepted reading a meter is called silent. */
  public static final int STALE_DAYS = 45;

  private static final long SECONDS_PER_DAY = Duration.ofDays(1).toSeconds();

  public ReadingLog {
    readings = List.copyOf(readings);
  }

  /** Judges readings given in any order. */
  public static ReadingLog judge(List<Reading> readings) {
    List<JudgedReading> judged = new ArrayList<>(readings.size());
    Optional<Reading> last = Optional.empty();
    for (Reading reading : readings.stream().sorted(Reading.BY_TIME).toList()) {
      Optional<Reading> against = last;
      JudgedReading judgement =
          new JudgedReading(reading, against.flatMap(before -> flag(before, reading)), against);
      judged.add(judgement);
      last = judgement.accepted() ? Optional.of(reading) : last;
    }
    return new ReadingLog(judged);
  }

  /** The judgement on a reading that is in the log. */
  public JudgedReading judgementOf(Reading reading) {
    return readings.stream()
        .filter(judged -> judged.reading().equals(reading))
        .findFirst()
        .orElseThrow();
  }

  public List<Reading> accepted() {
    return readings.stream().filter(JudgedReading::accepted).map(JudgedReading::reading).toList();
  }

  public Optional<Reading> lastAccepted() {
    for (int i = readings.size() - 1; i >= 0; i--) {
      if (readings.get(i).accepted()) {
        return Optional.of(readings.get(i).reading());
      }
    }
    return Optional.empty();
  }

  /** Days from the last accepted reading, or from {@code inService} if there is none. */
  public long silentDays(LocalDate inService, LocalDate today) {
    return ChronoUnit.DAYS.between(lastAccepted().map(Reading::day).orElse(inService), today);
  }

  /** True from {@value #STALE_DAYS} silent days on. */
  public boolean isStale(LocalDate inService, LocalDate today) {
    return silentDays(inService, today) >= STALE_DAYS;
  }

  private static Optional<ReadingFlag> flag(Reading before, Reading reading) {
    if (reading.value().compareTo(before.value()) < 0) {
      return Optional.of(ReadingFlag.BACKWARDS);
    }
    return isPossible(before, reading) ? Optional.empty() : Optional.of(ReadingFlag.IMPOSSIBLE);
  }

  /** Compared as tenths × seconds of a day, in whole numbers, so that 24 h in a day is allowed. */
  private static boolean isPossible(Reading before, Reading reading) {
    MeterSpan run = reading.value().since(before.value());
    BigInteger used =
        BigInteger.valueOf(run.tenths()).multiply(BigInteger.valueOf(SECONDS_PER_DAY));
    BigInteger allowed =
        BigInteger.valueOf(run.measure().highestPerDay().tenths())
            .multiply(BigInteger.valueOf(elapsedSeconds(before, reading)));
    return used.compareTo(allowed) <= 0;
  }

  /** By instants where both are known; else whole days + 1, the most that can have passed. */
  private static long elapsedSeconds(Reading before, Reading reading) {
    if (before.at().isPresent() && reading.at().isPresent()) {
      return Duration.between(before.at().get(), reading.at().get()).toSeconds();
    }
    return (ChronoUnit.DAYS.between(before.day(), reading.day()) + 1) * SECONDS_PER_DAY;
  }
}
