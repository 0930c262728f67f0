package dev.lonja.store.backup;

import dev.lonja.store.LonjaStore;
import dev.lonja.store.StoreCheck;
import dev.lonja.store.StoreFault;
import dev.lonja.store.StoreFiles;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.time.LocalDate;
import java.time.YearMonth;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;

/**
 * A folder of copies of a store: the latest 14, and of older ones the first of each month for 12
 * months. Copies are numbered, and only their order counts: a clock that jumps cannot have the good
 * ones deleted.
 */
public final class BackupFolder {

  private static final Pattern NAME =
      Pattern.compile("lonja-([0-9]{6,12})-([0-9]{4}-[0-9]{2}-[0-9]{2})\\.db");
  private static final int LATEST = 14;
  private static final int MONTHS = 12;

  private final Path folder;

  public BackupFolder(Path folder) {
    this.folder = folder;
  }

  /** The folder {@code backups} beside a store. */
  public static BackupFolder beside(Path database) {
    return new BackupFolder(database.toAbsolutePath().resolveSibling("backups"));
  }

  public Path folder() {
    return folder;
  }

  /** What became of a copy that was to be made. */
  public sealed interface Made {
    /** It is there, and was opened and checked. */
    record Sound(Copy copy) implements Made {}

    /** It was made but is not sound, so it is not kept: the store itself is not. */
    record Unsound(List<StoreFault> faults) implements Made {}
  }

  /** Makes a copy, opens and checks it, and deletes those that are no longer kept. */
  public Made make(LonjaStore store, LocalDate day) {
    try {
      // a copy that was cut off must not pass for a whole one
      Path unfinished = folder.resolve("unfinished.db");
      StoreFiles.delete(unfinished);
      store.backUpTo(unfinished);
      List<StoreFault> faults = StoreCheck.whole(unfinished);
      boolean whole = faults.stream().allMatch(StoreFault.Empty.class::isInstance);
      if (!whole) {
        StoreFiles.delete(unfinished);
        return new Made.Unsound(faults);
      }
      return new Made.Sound(take(unfinished, day));
    } catch (IOException e) {
      throw new UncheckedIOException("cannot keep backups in " + folder, e);
    }
  }

  /** Takes over a sound copy from another folder. */
  public Copy takeOver(Path copy, LocalDate day) {
    try {
      Path unfinished = folder.resolve("unfinished.db");
      StoreFiles.copyPrivate(copy, unfinished);
      return take(unfinished, day);
    } catch (IOException e) {
      throw new UncheckedIOException("cannot keep backups in " + folder, e);
    }
  }

  private Copy take(Path unfinished, LocalDate day) throws IOException {
    long number = copies().stream().mapToLong(Copy::number).max().orElse(0) + 1;
    Path target = folder.resolve("lonja-%06d-%s.db".formatted(number, day));
    Files.move(unfinished, target, StandardCopyOption.ATOMIC_MOVE);
    for (Copy gone : noLongerKept(copies())) {
      Files.deleteIfExists(folder.resolve(gone.name()));
    }
    return copy(target).orElseThrow();
  }

  /** Every copy, the latest first. */
  public List<Copy> copies() {
    if (!Files.isDirectory(folder)) {
      return List.of();
    }
    try (var files = Files.list(folder)) {
      return files
          .flatMap(file -> copy(file).stream())
          .sorted(Comparator.comparing(Copy::number).reversed())
          .toList();
    } catch (IOException e) {
      throw new UncheckedIOException("cannot list " + folder, e);
    }
  }

  /** The file of a copy that is there. */
  public Optional<Path> file(String name) {
    return copies().stream()
        .filter(copy -> copy.name().equals(name))
        .map(copy -> folder.resolve(copy.name()))
        .findFirst();
  }

  private static Optional<Copy> copy(Path file) {
    Matcher name = NAME.matcher(file.getFileName().toString());
    if (!name.matches()) {
      return Optional.empty();
    }
    try {
      return Optional.of(
          new Copy(
              file.getFileName().toString(),
              Long.parseLong(name.group(1)),
              LocalDate.parse(name.group(2)),
              Files.size(file),
              Files.getLastModifiedTime(file).toInstant()));
    } catch (IOException e) {
      throw new UncheckedIOException("cannot look at " + file, e);
    }
  }

  /** The copies to be deleted, of these, the latest first. */
  static List<Copy> noLongerKept(List<Copy> copies) {
    Set<Copy> kept = new HashSet<>(copies.subList(0, Math.min(LATEST, copies.size())));
    Map<YearMonth, Copy> firstOfMonth = new LinkedHashMap<>();
    for (Copy copy : copies) {
      firstOfMonth.put(YearMonth.from(copy.day()), copy);
    }
    firstOfMonth.values().stream().limit(MONTHS).forEach(kept::add);
    List<Copy> gone = new ArrayList<>(copies);
    gone.removeAll(kept);
    return gone.stream().collect(Collectors.toUnmodifiableList());
  }
}
