package dev.lonja.store;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import dev.lonja.core.fleet.Unit;
import dev.lonja.core.fleet.UnitId;
import dev.lonja.core.service.TaskId;
import dev.lonja.store.audit.AuditLine;
import dev.lonja.store.audit.Deed;
import dev.lonja.store.audit.Facts;
import dev.lonja.store.audit.Matter;
import dev.lonja.store.query.UnitScope;
import dev.lonja.store.tray.Tray;
import dev.lonja.store.verification.Verification;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.attribute.PosixFilePermissions;
import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

class StoreFilesTest {

  @TempDir private Path folder;

  private List<StoreFault> restore(Path backup) {
    return StoreFiles.restore(backup, folder.resolve("lonja.db"), session -> {});
  }

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
    assertThat(restore(backup)).isEmpty();
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
    assertThat(restore(text))
        .containsExactly(new StoreFault.NoDatabase(folder.resolve("lonja.db.incoming")));
    assertThat(restore(folder.resolve("nowhere")))
        .containsExactly(new StoreFault.Absent(folder.resolve("nowhere")));
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
    assertThat(restore(backup))
        .containsExactly(
            new StoreFault.Disagrees(
                new Verification.Finding(
                    "movements", "lot 8 adds up to 5000000, not to its stock")));
  }

  @Test
  void aCutOffFileIsRefused() throws IOException {
    Path backup = folder.resolve("cut.db");
    try (LonjaStore store = Stores.example(folder)) {
      store.backUpTo(backup);
    }
    byte[] whole = Files.readAllBytes(backup);
    Files.write(backup, java.util.Arrays.copyOf(whole, whole.length / 2));
    assertThat(restore(backup)).isNotEmpty();
    try (LonjaStore store = LonjaStore.open(folder.resolve("lonja.db"))) {
      assertThat(store.<List<Unit>>read(session -> session.fleet().units(UnitScope.ALL)))
          .hasSize(8);
    }
  }

  /** The present store is not opened, so it may be in any state. */
  @Test
  void aBackupIsRestoredOverWhatCannotBeRead() throws IOException {
    Path database = folder.resolve("lonja.db");
    Path backup = folder.resolve("good.db");
    try (LonjaStore store = Stores.example(folder)) {
      store.backUpTo(backup);
    }
    Files.writeString(database, "what a broken disk left");
    Files.writeString(folder.resolve("lonja.db-wal"), "and of its log");
    assertThat(restore(backup)).isEmpty();
    assertThat(StoreCheck.whole(database)).isEmpty();
    try (var files = Files.list(folder)) {
      assertThat(files.map(f -> f.getFileName().toString().replaceAll("[0-9]{8}-[0-9]{6}", "T")))
          .contains("lonja.db.T", "lonja.db.T-wal")
          .doesNotContain("lonja.db-wal", "lonja.db.incoming");
    }
  }

  /** Of something else, of nobody, of a version to come: each is said, and the store stays. */
  @Test
  void whatIsNoStoreOfTheseIsRefused() {
    Path newer = folder.resolve("newer.db");
    try (LonjaStore store = Stores.example(folder)) {
      store.backUpTo(newer);
    }
    Path other = folder.resolve("other.db");
    Stores.sql(other, "CREATE TABLE note (text TEXT)");
    assertThat(restore(other)).hasOnlyElementsOfType(StoreFault.NotLonjas.class).hasSize(1);
    Path empty = folder.resolve("empty.db");
    LonjaStore.open(empty).close();
    assertThat(restore(empty)).hasOnlyElementsOfType(StoreFault.Empty.class).hasSize(1);
    Stores.sql(newer, "UPDATE flyway_schema_history SET version = '99'");
    assertThat(restore(newer))
        .containsExactly(new StoreFault.OtherSchema(folder.resolve("lonja.db.incoming"), "99"));
    assertThat(StoreCheck.whole(folder.resolve("lonja.db"))).isEmpty();
  }

  /** A migration that is added is added here too. */
  @Test
  void theSchemaIsTheOneThatIsKnown() {
    try (LonjaStore store = Stores.example(folder)) {
      assertThat(
              Stores.number(
                  store.file(), "SELECT max(CAST(version AS INTEGER)) FROM flyway_schema_history"))
          .isEqualTo(StoreCheck.SCHEMA);
    }
  }

  @Test
  void aLookLeavesNothingBesideTheFile() throws IOException {
    Path backup = folder.resolve("copies").resolve("good.db");
    try (LonjaStore store = Stores.example(folder)) {
      store.backUpTo(backup);
    }
    assertThat(StoreCheck.whole(backup)).isEmpty();
    try (var files = Files.list(backup.getParent())) {
      assertThat(files).containsExactly(backup);
    }
  }

  @Test
  void filesAreForTheirOwnerOnly() throws IOException {
    Path backup = folder.resolve("copies").resolve("good.db");
    Path database = folder.resolve("data").resolve("lonja.db");
    assertThat(StoreFiles.load(Stores.EXAMPLE, database, false, session -> {})).isEmpty();
    try (LonjaStore store = LonjaStore.open(database)) {
      store.write(session -> true);
      store.backUpTo(backup);
      for (Path file :
          List.of(store.file(), Path.of(store.file() + "-wal"), backup, restored(backup))) {
        assertThat(PosixFilePermissions.toString(Files.getPosixFilePermissions(file)))
            .as(file.toString())
            .isEqualTo("rw-------");
      }
      assertThat(
              PosixFilePermissions.toString(Files.getPosixFilePermissions(folder.resolve("data"))))
          .isEqualTo("rwx------");
    }
  }

  private Path restored(Path backup) {
    restore(backup);
    return folder.resolve("lonja.db");
  }

  /** One process, or one part of it, owns a folder; who comes second is told who that is. */
  @Test
  void aFolderIsOwnedByOne() {
    try (StoreLock mine = StoreLock.take(folder, "serve")) {
      assertThatThrownBy(() -> StoreLock.take(folder, "restore"))
          .isInstanceOf(StoreLock.Held.class)
          .hasMessageContaining("serve, process " + ProcessHandle.current().pid());
      assertThat(StoreLock.holder(folder)).isPresent();
      assertThat(mine.wasLeftBehind()).isFalse();
    }
    assertThat(StoreLock.holder(folder)).isEmpty();
    StoreLock.take(folder, "restore").close();
  }

  @Test
  void aLockThatWasLeftBehindIsNoticed() throws IOException {
    Files.writeString(folder.resolve("lonja.lock"), " serve, process 1");
    try (StoreLock mine = StoreLock.take(folder, "serve")) {
      assertThat(mine.wasLeftBehind()).isTrue();
    }
  }

  @Test
  void whatAnotherProcessNotedIsTakenOver() {
    AuditLine line =
        new AuditLine(
            Instant.parse("2027-03-15T08:00:00Z"),
            "operator",
            "command line",
            Matter.BACKUP,
            "monday.db",
            Deed.BACKED_UP,
            Facts.NONE,
            Facts.of("bytes", 42));
    PendingLines.add(folder, line);
    try (LonjaStore store = Stores.example(folder)) {
      PendingLines.take(folder, store);
      PendingLines.take(folder, store);
      assertThat(
              store.<List<AuditLine>>read(
                  session -> session.audit().latest(Matter.BACKUP, "monday.db", 5)))
          .containsExactly(line);
    }
  }

  /** What is begun elsewhere and ends in the middle leaves no half of a store. */
  @Test
  void aStoreIsMadeWholeOrNotAtAll() {
    Path database = folder.resolve("lonja.db");
    assertThatThrownBy(
            () ->
                StoreFiles.make(
                    database,
                    store -> {
                      store.write(session -> session.requests().find("none"));
                      throw new IllegalStateException("the power is gone");
                    }))
        .hasMessage("the power is gone");
    assertThat(database).doesNotExist();
    StoreFiles.make(database, store -> store.write(session -> true));
    assertThat(StoreCheck.quick(database)).isEmpty();
  }

  /** A page of the file that is not what was written is told apart from a broken program. */
  @Test
  void damageIsToldWhenItIsRead() throws IOException {
    Stores.example(folder).close();
    Path database = folder.resolve("lonja.db");
    try (LonjaStore store = LonjaStore.openToRead(database)) {
      byte[] bytes = Files.readAllBytes(database);
      // all but the first page, as a disk might lose it while the server runs
      java.util.Arrays.fill(bytes, 4_096, bytes.length, (byte) 0x5A);
      Files.write(database, bytes);
      assertThatThrownBy(() -> store.read(session -> session.items().all()))
          .isInstanceOfSatisfying(
              StoreTrouble.class,
              trouble -> assertThat(trouble.kind()).isEqualTo(StoreTrouble.Kind.DAMAGED));
    }
  }
}
