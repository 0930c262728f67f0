package dev.lonja.desk.clock;

import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.LocalTime;
import java.time.ZoneId;
import java.time.temporal.ChronoUnit;
import java.util.Optional;

/** What day it is in the store. A pinned clock starts in the morning of its day and runs on. */
public final class StoreClock {

  private static final LocalTime MORNING = LocalTime.of(8, 0);

  private final Clock clock;
  private final boolean pinned;

  private StoreClock(Clock clock, boolean pinned) {
    this.clock = clock;
    this.pinned = pinned;
  }

  public static StoreClock of(ZoneId zone, Optional<LocalDate> pinnedDay) {
    Clock system = Clock.system(zone);
    if (pinnedDay.isEmpty()) {
      return new StoreClock(system, false);
    }
    Instant start = pinnedDay.get().atTime(MORNING).atZone(zone).toInstant();
    Duration ahead = Duration.between(system.instant(), start);
    return new StoreClock(Clock.offset(system, ahead), true);
  }

  public LocalDate today() {
    return LocalDate.now(clock);
  }

  /** Whole seconds, as the store keeps instants. */
  public Instant now() {
    return clock.instant().truncatedTo(ChronoUnit.SECONDS);
  }

  /** The store's day of an instant. */
  public LocalDate dayOf(Instant instant) {
    return LocalDate.ofInstant(instant, clock.getZone());
  }

  /** When a day begins. */
  public Instant beginOf(LocalDate day) {
    return day.atStartOfDay(clock.getZone()).toInstant();
  }

  /** When it is this time of a day here. */
  public Instant at(LocalDateTime time) {
    return time.atZone(clock.getZone()).toInstant();
  }

  /** The time of day of an instant, "08:30". */
  public String timeOf(Instant instant) {
    return LocalTime.ofInstant(instant, clock.getZone()).truncatedTo(ChronoUnit.MINUTES).toString();
  }

  public boolean isPinned() {
    return pinned;
  }
}
