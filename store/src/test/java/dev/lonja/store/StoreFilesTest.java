package dev.lonja.store;

import static org.assertj.core.api.Assertions.assertThat;

import dev.lonja.core.fleet.Unit;
import dev.lonja.core.fleet.UnitId;
import dev.lonja.core.service.TaskId;
import dev.lonja.store.query.UnitScope;
import dev.lonja.store.tray.Tray;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.LocalDate;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

class StoreFilesTest {

  @TempDir private Path folder;

  /** Backed up while it is open, changed, restored: as it was, and the changed one is kept. */
  @Test
  void aBackupBringsTheStoreBack() throws IOException {
    Path backup = folder.resolve("copies").resolve("monday.db");
    try (LonjaStore store = Stores.example(folder)) {
      store.backUpTo(backup);
      store.write(
          s ->
              s.trays()
                  .add(
                      new UnitId(1),
                      "Service",
                      LocalDate.parse("2027-03-15"),
                      List.of(new TaskId(1))));
    }
    assertThat(StoreFiles.restore(backup, folder.resolve("lonja.db"))).isEmpty();
    try (LonjaStore store = LonjaStore.open(folder.resolve("lonja.db"))) {
      assertThat(store.<List<Tray>>read(session -> session.trays().open())).isEmpty();
    }
    try (var files = Files.list(folder)) {
      Path aside =
          files
              .filter(f -> f.getFileName().toString().matches("lonja\\.db\\.\\d{8}-\\d{6}"))
              .findFirst()
              .orElseThrow();
      try (LonjaStore store = LonjaStore.open(aside)) {
        assertThat(store.<List<Tray>>read(session -> session.trays().open())).hasSize(1);
      }
    }
  }

  @Test
  void whatIsNoBackupIsRefusedAndTheStoreStays() throws IOException {
    Path text = Files.writeString(folder.resolve("note.txt"), "SQLite, or so it says");
    Stores.example(folder).close();
    byte[] before = Files.readAllBytes(folder.resolve("lonja.db"));
    assertThat(StoreFiles.restore(text, folder.resolve("lonja.db")))
        .singleElement()
        .asString()
        .contains("is not a backup of a store");
    assertThat(StoreFiles.restore(folder.resolve("nowhere"), folder.resolve("lonja.db")))
        .hasSize(1);
    assertThat(Files.readAllBytes(folder.resolve("lonja.db"))).isEqualTo(before);
  }

  @Test
  void aBackupWhoseLedgerDoesNotAgreeIsRefused() {
    Path backup = folder.resolve("bad.db");
    try (LonjaStore store = Stores.example(folder)) {
      store.backUpTo(backup);
    }
    try (LonjaStore bad = LonjaStore.open(backup)) {
      Stores.tamper(bad, "UPDATE stock SET quantity_micro = 9000000 WHERE lot_id = 8");
    }
    assertThat(StoreFiles.restore(backup, folder.resolve("lonja.db")))
        .containsExactly("lot 8 adds up to 5000000, not to its stock");
  }

  @Test
  void aCutOffFileIsRefused() throws IOException {
    Path backup = folder.resolve("cut.db");
    try (LonjaStore store = Stores.example(folder)) {
      store.backUpTo(backup);
    }
    byte[] whole = Files.readAllBytes(backup);
    Files.write(backup, java.util.Arrays.copyOf(whole, whole.length / 2));
    assertThat(StoreFiles.restore(backup, folder.resolve("lonja.db"))).isNotEmpty();
    try (LonjaStore store = LonjaStore.open(folder.resolve("lonja.db"))) {
      assertThat(store.<List<Unit>>read(session -> session.fleet().units(UnitScope.ALL)))
          .hasSize(8);
    }
  }
}
