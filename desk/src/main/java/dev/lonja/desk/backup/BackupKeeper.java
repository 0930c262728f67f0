package dev.lonja.desk.backup;

import dev.lonja.desk.audit.Trail;
import dev.lonja.desk.clock.StoreClock;
import dev.lonja.store.LonjaStore;
import dev.lonja.store.StoreFault;
import dev.lonja.store.audit.Deed;
import dev.lonja.store.audit.Facts;
import dev.lonja.store.audit.Matter;
import dev.lonja.store.backup.BackupFolder;
import dev.lonja.store.backup.Copy;
import java.nio.file.Path;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.stereotype.Component;

/** Makes copies of the store and notes what became of them. */
@Component
public class BackupKeeper {

  private static final Logger LOG = LoggerFactory.getLogger(BackupKeeper.class);

  private final LonjaStore store;
  private final StoreClock clock;
  private final Trail trail;
  private final BackupFolder first;
  private final Optional<BackupFolder> second;
  private volatile Optional<Failure> failure = Optional.empty();

  public BackupKeeper(LonjaStore store, StoreClock clock, Trail trail, BackupPlaces places) {
    this.store = store;
    this.clock = clock;
    this.trail = trail;
    this.first = new BackupFolder(places.first());
    this.second = places.second().map(BackupFolder::new);
  }

  /** What came between the last copy and the good it should do; gone once a copy succeeds. */
  public sealed interface Failure {
    Instant at();

    /** The store itself is not sound, so no copy of it was kept. */
    record Unsound(Instant at, List<StoreFault> faults) implements Failure {}

    /** A folder could not be written to. */
    record Unwritable(Instant at, Path folder, String why) implements Failure {}
  }

  public Optional<Failure> failure() {
    return failure;
  }

  public BackupFolder first() {
    return first;
  }

  public Optional<BackupFolder> second() {
    return second;
  }

  /** Makes today's copy, unless the latest is of today. */
  public synchronized void makeIfDue() {
    Optional<Copy> latest = first.copies().stream().findFirst();
    if (latest.filter(copy -> copy.day().equals(clock.today())).isEmpty()) {
      make(Trail.By.SERVER);
    }
  }

  /** Makes a copy now, in both folders; answers what went wrong. */
  public synchronized Optional<Failure> make(Trail.By by) {
    failure = Optional.empty();
    try {
      BackupFolder.Made made = first.make(store, clock.today());
      if (made instanceof BackupFolder.Made.Sound sound) {
        trail.note(by, Matter.BACKUP, sound.copy().name(), Deed.BACKED_UP, facts(sound.copy()));
        second.ifPresent(folder -> takeOver(folder, sound.copy(), by));
      }
      if (made instanceof BackupFolder.Made.Unsound unsound) {
        fail(by, new Failure.Unsound(clock.now(), unsound.faults()), first.folder());
      }
    } catch (RuntimeException e) {
      unwritable(by, first.folder(), e);
    }
    return failure;
  }

  private void takeOver(BackupFolder folder, Copy copy, Trail.By by) {
    try {
      folder.takeOver(first.file(copy.name()).orElseThrow(), copy.day());
    } catch (RuntimeException e) {
      unwritable(by, folder.folder(), e);
    }
  }

  private void unwritable(Trail.By by, Path folder, RuntimeException problem) {
    LOG.error("no copy of the store could be kept in {}", folder, problem);
    String why =
        Optional.ofNullable(problem.getCause()).map(Throwable::getMessage).orElse("" + problem);
    fail(by, new Failure.Unwritable(clock.now(), folder, why), folder);
  }

  private void fail(Trail.By by, Failure what, Path folder) {
    failure = Optional.of(what);
    trail.note(
        by, Matter.BACKUP, "", Deed.BACK_UP_FAILED, Facts.of("folder", folder.getFileName()));
  }

  private static Facts facts(Copy copy) {
    return Facts.of("bytes", copy.bytes());
  }
}
