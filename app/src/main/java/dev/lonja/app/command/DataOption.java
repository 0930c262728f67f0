package dev.lonja.app.command;

import dev.lonja.app.LonjaApplication;
import dev.lonja.app.UnsoundStore;
import dev.lonja.store.LonjaStore;
import dev.lonja.store.PendingLines;
import dev.lonja.store.StoreCheck;
import dev.lonja.store.StoreFault;
import dev.lonja.store.StoreLock;
import dev.lonja.store.audit.AuditLine;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import picocli.CommandLine.Option;

/** Where the data lie. */
final class DataOption {

  @Option(
      names = "--data",
      paramLabel = "DIR",
      defaultValue = "data",
      description = "folder of the data (default: ${DEFAULT-VALUE})")
  private Path folder = Path.of("data");

  Path folder() {
    return folder;
  }

  Path database() {
    return folder.resolve(LonjaApplication.DATABASE);
  }

  /** The file of the store that is there; a command that needs one makes none. */
  Path existing() {
    if (Files.notExists(database())) {
      throw new NoStore(folder);
    }
    return database();
  }

  /** Opens the store that is there for reading; a server may be running meanwhile. */
  LonjaStore openToRead() {
    List<StoreFault> faults = StoreCheck.toRead(existing());
    if (!faults.isEmpty()) {
      throw new UnsoundStore(faults, database());
    }
    return LonjaStore.openToRead(database());
  }

  /**
   * Notes in the audit what was done; where a server holds the folder, that is done by it, from a
   * file that it looks for.
   */
  void note(AuditLine line) {
    PendingLines.add(folder, line);
    try {
      StoreLock.whileHeld(folder, "note", this::takeNotes);
    } catch (StoreLock.Held held) {
      // the server that holds it takes the line over
    }
  }

  private boolean takeNotes() {
    try (LonjaStore store = LonjaStore.open(database())) {
      PendingLines.take(folder, store);
    }
    return true;
  }

  /** There is nothing to work on; the message is for the person at the shell. */
  static final class NoStore extends RuntimeException {
    NoStore(Path folder) {
      super("there is no store in " + folder);
    }
  }
}
