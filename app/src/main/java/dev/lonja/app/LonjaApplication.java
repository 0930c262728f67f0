package dev.lonja.app;

import dev.lonja.desk.backup.BackupPlaces;
import dev.lonja.desk.clock.StoreClock;
import dev.lonja.desk.forecast.TrialCount;
import dev.lonja.store.LonjaStore;
import dev.lonja.store.PendingLines;
import dev.lonja.store.StoreCheck;
import dev.lonja.store.StoreFault;
import dev.lonja.store.StoreLock;
import dev.lonja.store.backup.BackupFolder;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.boot.autoconfigure.SpringBootApplication;
import org.springframework.context.annotation.Bean;
import org.springframework.scheduling.annotation.EnableScheduling;
import org.springframework.util.unit.DataSize;

/**
 * The server. {@code lonja.data} names the folder of the data, {@code lonja.today} pins the day,
 * {@code lonja.trials} draws fewer trials of the forecast.
 */
@SpringBootApplication(scanBasePackages = "dev.lonja")
@EnableScheduling
public class LonjaApplication {

  /** The database's name within the folder of the data. */
  public static final String DATABASE = "lonja.db";

  /** Larger files are gone through once the server answers, unless the last one ended badly. */
  private static final long SMALL = DataSize.ofMegabytes(256).toBytes();

  /** Whether a file is gone through before anybody is answered. */
  public static boolean isLookedAtFirst(StoreLock lock, Path database) throws IOException {
    return Files.exists(database) && (lock.wasLeftBehind() || Files.size(database) < SMALL);
  }

  @Bean
  StoreLock storeLock(@Value("${lonja.data}") Path data) {
    return StoreLock.take(data, "server");
  }

  @Bean
  LonjaStore lonjaStore(
      StoreLock lock,
      @Value("${lonja.data}") Path data,
      @Value("${lonja.despite-damage:false}") boolean despiteDamage)
      throws IOException {
    Path database = data.resolve(DATABASE);
    List<StoreFault> faults =
        isLookedAtFirst(lock, database) ? StoreCheck.quick(database) : newer(database);
    if (!faults.isEmpty() && !despiteDamage) {
      throw new UnsoundStore(faults, database);
    }
    if (Files.exists(database) && faults.isEmpty() && StoreCheck.isOlder(database)) {
      List<StoreFault> unsound = keepBeforeBringingUp(database);
      if (!unsound.isEmpty() && !despiteDamage) {
        throw new UnsoundStore(unsound, database);
      }
    }
    LonjaStore store = LonjaStore.open(database);
    PendingLines.take(data, store);
    return store;
  }

  /** A later version's store is not opened, however large it is. */
  private static List<StoreFault> newer(Path database) {
    return Files.exists(database) ? StoreCheck.known(database) : List.of();
  }

  /** A store that an earlier version wrote is copied as it is before it is brought up. */
  private static List<StoreFault> keepBeforeBringingUp(Path database) {
    try (LonjaStore before = LonjaStore.openToRead(database)) {
      return BackupFolder.beside(database).make(before, LocalDate.now())
              instanceof BackupFolder.Made.Unsound unsound
          ? unsound.faults()
          : List.of();
    }
  }

  @Bean
  BackupPlaces backupPlaces(
      LonjaStore store, @Value("${lonja.second-backups:}") Optional<Path> second) {
    return new BackupPlaces(
        BackupFolder.beside(store.file()).folder(),
        second.filter(folder -> !folder.toString().isEmpty()));
  }

  @Bean
  StoreClock storeClock(LonjaStore store, @Value("${lonja.today:}") String today) {
    Optional<LocalDate> pinned =
        Optional.of(today).filter(text -> !text.isEmpty()).map(LocalDate::parse);
    return StoreClock.of(store.read(session -> session.settings().timeZone()), pinned);
  }

  @Bean
  TrialCount trialCount(@Value("${lonja.trials:0}") int trials) {
    return trials == 0 ? TrialCount.USUAL : new TrialCount(trials);
  }
}
