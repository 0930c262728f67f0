package dev.lonja.store.backup;

import dev.lonja.store.LonjaStore;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.time.LocalDate;
import java.time.YearMonth;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * The folder {@code backups} beside a store: one copy a day for 14 days, and of older days the
 * first of each month for 12 months.
 */
public final class BackupFolder {

  private static final Pattern NAME = Pattern.compile("lonja-(\\d{4}-\\d{2}-\\d{2})\\.db");
  private static final int DAYS = 14;
  private static final int MONTHS = 12;

  private final Path folder;

  public BackupFolder(Path database) {
    this.folder = database.toAbsolutePath().resolveSibling("backups");
  }

  /** Makes today's copy if it is not there yet, then deletes those that are no longer kept. */
  public void keep(LonjaStore store, LocalDate today) {
    Path target = fileOf(today);
    try {
      if (Files.notExists(target)) {
        // a copy that was cut off must not pass for a whole one
        Path unfinished = folder.resolve("unfinished.db");
        Files.deleteIfExists(unfinished);
        store.backUpTo(unfinished);
        Files.move(unfinished, target, StandardCopyOption.ATOMIC_MOVE);
      }
      for (LocalDate day : noLongerKept(days(), today)) {
        Files.delete(fileOf(day));
      }
    } catch (IOException e) {
      throw new UncheckedIOException("cannot keep backups in " + folder, e);
    }
  }

  /** The days of which there is a copy. */
  public Set<LocalDate> days() {
    if (Files.notExists(folder)) {
      return Set.of();
    }
    Set<LocalDate> days = new TreeSet<>();
    try (var files = Files.list(folder)) {
      files.forEach(
          file -> {
            Matcher name = NAME.matcher(file.getFileName().toString());
            if (name.matches()) {
              days.add(LocalDate.parse(name.group(1)));
            }
          });
    } catch (IOException e) {
      throw new UncheckedIOException("cannot list " + folder, e);
    }
    return days;
  }

  static Set<LocalDate> noLongerKept(Set<LocalDate> days, LocalDate today) {
    Map<YearMonth, LocalDate> firstOfMonth = new TreeMap<>();
    for (LocalDate day : days) {
      firstOfMonth.merge(YearMonth.from(day), day, (a, b) -> a.isBefore(b) ? a : b);
    }
    YearMonth oldestMonth = YearMonth.from(today).minusMonths(MONTHS);
    Set<LocalDate> gone = new TreeSet<>();
    for (LocalDate day : days) {
      boolean recent = day.isAfter(today.minusDays(DAYS));
      boolean monthly =
          day.equals(firstOfMonth.get(YearMonth.from(day)))
              && YearMonth.from(day).isAfter(oldestMonth);
      if (!recent && !monthly) {
        gone.add(day);
      }
    }
    return gone;
  }

  private Path fileOf(LocalDate day) {
    return folder.resolve("lonja-" + day + ".db");
  }
}
