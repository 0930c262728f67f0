package dev.lonja.store.backup;

import static org.assertj.core.api.Assertions.assertThat;

import dev.lonja.store.LonjaStore;
import dev.lonja.store.StoreCheck;
import dev.lonja.store.Stores;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

class BackupFolderTest {

  private static final LocalDate TODAY = LocalDate.parse("2027-03-15");

  @TempDir private Path folder;

  private static Copy copy(long number, LocalDate day) {
    return new Copy("copy " + number, number, day, 1, Instant.EPOCH);
  }

  /** A copy for each of these days, made one after the other; the latest first. */
  private static List<Copy> copies(List<LocalDate> days) {
    List<Copy> copies = new ArrayList<>();
    for (LocalDate day : days) {
      copies.add(0, copy(copies.size() + 1, day));
    }
    return copies;
  }

  private static List<LocalDate> kept(List<LocalDate> days) {
    List<Copy> all = copies(days);
    List<Copy> kept = new ArrayList<>(all);
    kept.removeAll(BackupFolder.noLongerKept(all));
    return kept.stream().map(Copy::day).toList();
  }

  private static List<LocalDate> daily(LocalDate first, LocalDate last) {
    return first.datesUntil(last.plusDays(1)).toList();
  }

  @Test
  void aCopyIsOpenedAndCheckedAndGoesToASecondFolder() throws IOException {
    try (LonjaStore store = Stores.example(folder)) {
      BackupFolder first = BackupFolder.beside(store.file());
      assertThat(first.copies()).isEmpty();
      BackupFolder.Made made = first.make(store, TODAY);
      Copy copy = ((BackupFolder.Made.Sound) made).copy();
      assertThat(copy.name()).isEqualTo("lonja-000001-2027-03-15.db");
      assertThat(StoreCheck.whole(first.file(copy.name()).orElseThrow())).isEmpty();
      BackupFolder second = new BackupFolder(folder.resolve("other disk"));
      second.takeOver(first.file(copy.name()).orElseThrow(), TODAY);
      assertThat(second.copies()).extracting(Copy::day).containsExactly(TODAY);
      assertThat(Files.exists(first.folder().resolve("unfinished.db"))).isFalse();
      assertThat(first.file("../lonja.db")).isEmpty();
    }
  }

  /** A store that does not agree with itself is not what anyone wants to go back to. */
  @Test
  void aCopyThatIsNotSoundIsNotKept() {
    try (LonjaStore store = Stores.example(folder)) {
      Stores.tamper(store, "UPDATE stock SET quantity_micro = 9000000 WHERE lot_id = 8");
      BackupFolder backups = BackupFolder.beside(store.file());
      assertThat(backups.make(store, TODAY)).isInstanceOf(BackupFolder.Made.Unsound.class);
      assertThat(backups.copies()).isEmpty();
    }
  }

  /**
   * A copy every day for two years. Kept: the 14 days from 2 to 15 March, and the first of each
   * month from April 2026 to March 2027: 14 + 12 = 26, since 1 March is not among the 14.
   */
  @Test
  void keepsFourteenDaysAndTwelveMonths() {
    assertThat(kept(daily(TODAY.minusYears(2), TODAY)))
        .hasSize(26)
        .contains(LocalDate.parse("2026-04-01"), LocalDate.parse("2027-03-01"), TODAY.minusDays(13))
        .doesNotContain(LocalDate.parse("2026-03-01"), LocalDate.parse("2026-04-02"));
  }

  /** Begun in the middle of a month: its first copy stands for the month. */
  @Test
  void theFirstCopyOfAMonthIsKeptWhateverItsDay() {
    List<LocalDate> days = new ArrayList<>(daily(TODAY.minusDays(60), TODAY));
    // 14 January is the first of its month, then 1 February and 1 March
    assertThat(kept(days))
        .hasSize(17)
        .contains(
            LocalDate.parse("2027-01-14"),
            LocalDate.parse("2027-02-01"),
            LocalDate.parse("2027-03-01"));
  }

  /** A clock that stood in 2099 for a day takes none of the good copies with it. */
  @Test
  void aClockThatJumpsAheadHasNothingDeleted() {
    List<LocalDate> days = new ArrayList<>(daily(TODAY.minusDays(13), TODAY));
    days.add(LocalDate.parse("2099-01-01"));
    assertThat(kept(days)).hasSize(15).containsAll(days);
    days.addAll(daily(TODAY.plusDays(1), TODAY.plusDays(13)));
    // the latest 14 are that of 2099 and 13 of March; 2 March is the first of its month
    assertThat(kept(days))
        .hasSize(15)
        .contains(TODAY.plusDays(13), TODAY.plusDays(1), LocalDate.parse("2027-03-02"));
  }

  /** One that runs backwards neither: what was made last counts as the latest. */
  @Test
  void aClockThatRunsBackwardsHasTheLatestKept() {
    List<LocalDate> days = new ArrayList<>(daily(TODAY.minusDays(13), TODAY));
    LocalDate wrong = LocalDate.parse("1970-01-01");
    days.add(wrong);
    assertThat(kept(days)).contains(wrong).hasSize(15);
  }
}
