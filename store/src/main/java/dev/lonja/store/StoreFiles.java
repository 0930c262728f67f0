package dev.lonja.store;

import dev.lonja.store.exchange.ExchangeProblem;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.nio.file.attribute.PosixFileAttributeView;
import java.nio.file.attribute.PosixFilePermissions;
import java.time.LocalDateTime;
import java.time.format.DateTimeFormatter;
import java.util.List;
import java.util.function.Consumer;

/**
 * Puts whole stores in place of others. What comes in is built and checked in a file of its own and
 * moved in only when it is sound; what was there is kept beside it under a name with the time. No
 * other process may have the store open meanwhile ({@link StoreLock}). Files are for their owner
 * only.
 */
public final class StoreFiles {

  /** Of the file itself and of what SQLite puts beside it. */
  private static final List<String> ENDINGS = List.of("", "-wal", "-shm");

  private static final DateTimeFormatter STAMP = DateTimeFormatter.ofPattern("yyyyMMdd-HHmmss");

  private StoreFiles() {}

  /**
   * Loads a folder or zip into a new store at {@code database}, whose folder this process owns.
   *
   * @param replace whether a store that is there may be moved aside
   * @param finish what else is written into the new store before it takes its place
   * @return every problem; empty if it was done
   */
  public static List<ExchangeProblem> load(
      Path source, Path database, boolean replace, Consumer<Session> finish) {
    if (Files.exists(database) && !replace) {
      return List.of(
          new ExchangeProblem(
              database.toString(),
              0,
              "",
              "a store that is there already",
              "an empty folder, or --replace"));
    }
    Path incoming = Path.of(database + ".incoming");
    delete(incoming);
    List<ExchangeProblem> problems;
    try (LonjaStore store = LonjaStore.open(incoming)) {
      problems = store.write(session -> session.exchange().importFrom(source));
      if (problems.isEmpty()) {
        finish(store, finish);
      }
    }
    if (problems.isEmpty()) {
      moveInto(incoming, database);
    } else {
      delete(incoming);
    }
    return problems;
  }

  /**
   * Makes a store elsewhere and moves it in when it is whole, so that there is never half of one.
   */
  public static void make(Path database, Consumer<LonjaStore> fill) {
    Path incoming = Path.of(database + ".incoming");
    delete(incoming);
    try (LonjaStore store = LonjaStore.open(incoming)) {
      fill.accept(store);
    }
    moveInto(incoming, database);
  }

  /**
   * Restores a backup into a folder that this process owns. The backup is checked first; what is at
   * {@code database} is never opened, so it may be in any state.
   *
   * @param finish what else is written into the new store before it takes its place
   * @return everything against it; empty if it was done
   */
  public static List<StoreFault> restore(Path backup, Path database, Consumer<Session> finish) {
    if (Files.notExists(backup) || Files.isDirectory(backup)) {
      return List.of(
          Files.notExists(backup)
              ? new StoreFault.Absent(backup)
              : new StoreFault.NoDatabase(backup));
    }
    Path incoming = Path.of(database + ".incoming");
    delete(incoming);
    try {
      copyPrivate(backup, incoming);
    } catch (IOException e) {
      throw new UncheckedIOException("cannot copy " + backup, e);
    }
    List<StoreFault> faults = StoreCheck.whole(incoming);
    if (faults.isEmpty()) {
      try (LonjaStore store = LonjaStore.open(incoming)) {
        finish(store, finish);
      }
      moveInto(incoming, database);
    } else {
      delete(incoming);
    }
    return faults;
  }

  private static void finish(LonjaStore store, Consumer<Session> finish) {
    store.write(
        session -> {
          finish.accept(session);
          return true;
        });
  }

  /** Moves what is there aside, unopened, and back again if the new one cannot take its place. */
  private static void moveInto(Path incoming, Path database) {
    Path aside = aside(database);
    try {
      move(database, aside);
      try {
        Files.move(incoming, database, StandardCopyOption.ATOMIC_MOVE);
      } catch (IOException e) {
        move(aside, database);
        throw e;
      }
    } catch (IOException e) {
      throw new UncheckedIOException("cannot put the store at " + database, e);
    }
  }

  private static void move(Path from, Path to) throws IOException {
    for (String ending : ENDINGS) {
      Path file = Path.of(from + ending);
      if (Files.exists(file)) {
        Files.move(file, Path.of(to + ending), StandardCopyOption.ATOMIC_MOVE);
      }
    }
  }

  /** A name with the time that nothing has yet. */
  private static Path aside(Path database) {
    String stamped = database + "." + STAMP.format(LocalDateTime.now());
    Path aside = Path.of(stamped);
    for (int no = 2; Files.exists(aside); no++) {
      aside = Path.of(stamped + "-" + no);
    }
    return aside;
  }

  /** Deletes a store's file and what belongs to it. */
  public static void delete(Path database) {
    try {
      for (String ending : ENDINGS) {
        Files.deleteIfExists(Path.of(database + ending));
      }
    } catch (IOException e) {
      throw new UncheckedIOException("cannot delete " + database, e);
    }
  }

  /** Makes an empty file that only its owner can read, if there is none, and its folder. */
  static void makeFile(Path file) {
    try {
      makeFolder(file.toAbsolutePath().getParent());
      if (Files.notExists(file)) {
        Files.createFile(file);
        keepPrivate(file);
      }
    } catch (IOException e) {
      throw new UncheckedIOException("cannot make " + file, e);
    }
  }

  /** Makes a folder, if there is none, that only its owner can look into. */
  static void makeFolder(Path folder) throws IOException {
    if (Files.notExists(folder)) {
      Files.createDirectories(folder);
      if (isPosix(folder)) {
        Files.setPosixFilePermissions(folder, PosixFilePermissions.fromString("rwx------"));
      }
    }
  }

  /** Copies a file to where only its owner can read it. */
  public static void copyPrivate(Path from, Path to) throws IOException {
    Files.deleteIfExists(to);
    makeFile(to);
    Files.copy(from, to, StandardCopyOption.REPLACE_EXISTING);
    keepPrivate(to);
  }

  private static void keepPrivate(Path file) throws IOException {
    if (isPosix(file)) {
      Files.setPosixFilePermissions(file, PosixFilePermissions.fromString("rw-------"));
    }
  }

  private static boolean isPosix(Path file) throws IOException {
    return Files.getFileStore(file).supportsFileAttributeView(PosixFileAttributeView.class);
  }
}
