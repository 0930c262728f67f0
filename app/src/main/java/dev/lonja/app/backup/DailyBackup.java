package dev.lonja.app.backup;

import dev.lonja.desk.clock.StoreClock;
import dev.lonja.store.LonjaStore;
import dev.lonja.store.backup.BackupFolder;
import java.util.concurrent.TimeUnit;
import org.springframework.scheduling.annotation.Scheduled;
import org.springframework.stereotype.Component;

/** Looks every hour whether today's copy of the store has been made; a failure is logged. */
@Component
class DailyBackup {

  private final LonjaStore store;
  private final StoreClock clock;

  DailyBackup(LonjaStore store, StoreClock clock) {
    this.store = store;
    this.clock = clock;
  }

  @Scheduled(initialDelay = 1, fixedDelay = 60, timeUnit = TimeUnit.MINUTES)
  void keep() {
    new BackupFolder(store.file()).keep(store, clock.today());
  }
}
