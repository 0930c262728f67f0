package dev.lonja.app.backup;

import dev.lonja.desk.backup.BackupKeeper;
import dev.lonja.desk.backup.ClockWatch;
import dev.lonja.desk.clock.StoreClock;
import java.util.concurrent.TimeUnit;
import org.springframework.scheduling.annotation.Scheduled;
import org.springframework.stereotype.Component;

/**
 * Looks every hour whether today's copy of the store has been made, and every minute at the clock.
 */
@Component
class DailyBackup {

  private final BackupKeeper keeper;
  private final ClockWatch watch;
  private final StoreClock clock;

  DailyBackup(BackupKeeper keeper, ClockWatch watch, StoreClock clock) {
    this.keeper = keeper;
    this.watch = watch;
    this.clock = clock;
  }

  @Scheduled(initialDelay = 1, fixedDelay = 60, timeUnit = TimeUnit.MINUTES)
  void keep() {
    keeper.makeIfDue();
  }

  /** A pinned clock begins anew with each start, so it says nothing. */
  @Scheduled(initialDelay = 0, fixedDelay = 1, timeUnit = TimeUnit.MINUTES)
  void look() {
    if (!clock.isPinned()) {
      watch.look(System.nanoTime(), clock.now());
    }
  }
}
