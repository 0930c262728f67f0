package dev.lonja.store.backup;

import static org.assertj.core.api.Assertions.assertThat;

import dev.lonja.core.fleet.Unit;
import dev.lonja.store.LonjaStore;
import dev.lonja.store.Stores;
import dev.lonja.store.query.UnitScope;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.LocalDate;
import java.util.List;
import java.util.Set;
import java.util.TreeSet;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

class BackupFolderTest {

  private static final LocalDate TODAY = LocalDate.parse("2027-03-15");

  @TempDir private Path folder;

  @Test
  void oneCopyADayThatCanBeOpened() {
    try (LonjaStore store = Stores.example(folder)) {
      BackupFolder backups = new BackupFolder(store.file());
      assertThat(backups.days()).isEmpty();
      backups.keep(store, TODAY);
      backups.keep(store, TODAY);
      assertThat(backups.days()).containsExactly(TODAY);
    }
    Path copy = folder.resolve("backups").resolve("lonja-2027-03-15.db");
    try (LonjaStore store = LonjaStore.open(copy)) {
      assertThat(store.<List<Unit>>read(session -> session.fleet().units(UnitScope.ALL)))
          .hasSize(8);
    }
    assertThat(Files.exists(folder.resolve("backups").resolve("unfinished.db"))).isFalse();
  }

  /**
   * A copy every day for two years. Kept: the 14 days from 2 to 15 March, and the first of each
   * month from April 2026 to March 2027. 2 + 31 − … : 14 + 12 = 26, since 1 March is not among the
   * 14.
   */
  @Test
  void keepsFourteenDaysAndTwelveMonths() {
    Set<LocalDate> days = new TreeSet<>();
    for (LocalDate day = TODAY.minusYears(2); !day.isAfter(TODAY); day = day.plusDays(1)) {
      days.add(day);
    }
    Set<LocalDate> kept = new TreeSet<>(days);
    kept.removeAll(BackupFolder.noLongerKept(days, TODAY));
    assertThat(kept)
        .hasSize(26)
        .contains(LocalDate.parse("2026-04-01"), LocalDate.parse("2027-03-01"), TODAY.minusDays(13))
        .doesNotContain(LocalDate.parse("2026-03-01"), LocalDate.parse("2026-04-02"));
  }

  /** Begun in the middle of a month: its first copy stands for the month. */
  @Test
  void theFirstCopyOfAMonthIsKeptWhateverItsDay() {
    LocalDate first = LocalDate.parse("2026-11-17");
    Set<LocalDate> days = Set.of(first, first.plusDays(1), TODAY);
    assertThat(BackupFolder.noLongerKept(days, TODAY)).containsExactly(first.plusDays(1));
  }
}
