package dev.lonja.store;

import dev.lonja.store.exchange.ExchangeProblem;
import dev.lonja.store.exchange.Verification;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.time.LocalDateTime;
import java.time.format.DateTimeFormatter;
import java.util.Arrays;
import java.util.List;

/**
 * Puts whole stores in place of others. What comes in is built and checked in a file of its own and
 * moved in only when it is sound; what was there is kept beside it under a name with the time. No
 * other process may have the store open meanwhile.
 */
public final class StoreFiles {

  private static final List<String> COMPANIONS = List.of("-wal", "-shm");
  private static final byte[] SQLITE_HEADER =
      "SQLite format 3\0".getBytes(StandardCharsets.US_ASCII);
  private static final DateTimeFormatter STAMP = DateTimeFormatter.ofPattern("yyyyMMdd-HHmmss");

  private StoreFiles() {}

  /**
   * Loads a folder or zip into a new store at {@code database}.
   *
   * @param replace whether a store that is there may be moved aside
   * @return every problem; empty if it was done
   */
  public static List<ExchangeProblem> load(Path source, Path database, boolean replace) {
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
    }
    if (problems.isEmpty()) {
      moveInto(incoming, database);
    } else {
      delete(incoming);
    }
    return problems;
  }

  /**
   * Restores a backup.
   *
   * @return every reason against it; empty if it was done
   */
  public static List<String> restore(Path backup, Path database) {
    if (!isDatabase(backup)) {
      return List.of(backup + " is not a backup of a store");
    }
    Path incoming = Path.of(database + ".incoming");
    delete(incoming);
    try {
      Files.createDirectories(database.toAbsolutePath().getParent());
      Files.copy(backup, incoming);
    } catch (IOException e) {
      throw new UncheckedIOException("cannot copy " + backup, e);
    }
    List<String> findings = findings(incoming);
    if (findings.isEmpty()) {
      moveInto(incoming, database);
    } else {
      delete(incoming);
    }
    return findings;
  }

  private static List<String> findings(Path incoming) {
    try (LonjaStore store = LonjaStore.open(incoming)) {
      return store.read(session -> session.verification().findings()).stream()
          .map(Verification.Finding::text)
          .toList();
    } catch (RuntimeException e) {
      return List.of("the backup cannot be opened: " + e.getMessage());
    }
  }

  private static boolean isDatabase(Path file) {
    try (var in = Files.newInputStream(file)) {
      return Arrays.equals(in.readNBytes(SQLITE_HEADER.length), SQLITE_HEADER);
    } catch (IOException e) {
      return false;
    }
  }

  private static void moveInto(Path incoming, Path database) {
    try {
      if (Files.exists(database)) {
        Path aside = Path.of(database + "." + STAMP.format(LocalDateTime.now()));
        try (LonjaStore old = LonjaStore.open(database)) {
          old.backUpTo(aside);
        }
        delete(database);
      }
      Files.move(incoming, database, StandardCopyOption.ATOMIC_MOVE);
    } catch (IOException e) {
      throw new UncheckedIOException("cannot put the store at " + database, e);
    }
  }

  private static void delete(Path database) {
    try {
      Files.deleteIfExists(database);
      for (String companion : COMPANIONS) {
        Files.deleteIfExists(Path.of(database + companion));
      }
    } catch (IOException e) {
      throw new UncheckedIOException("cannot delete " + database, e);
    }
  }
}
