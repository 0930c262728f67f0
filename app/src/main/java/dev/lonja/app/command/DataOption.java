package dev.lonja.app.command;

import dev.lonja.app.LonjaApplication;
import dev.lonja.store.LonjaStore;
import java.nio.file.Files;
import java.nio.file.Path;
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

  /** Opens the store that is there; a command that needs one makes none. */
  LonjaStore open() {
    if (Files.notExists(database())) {
      throw new NoStore(folder);
    }
    return LonjaStore.open(database());
  }

  /** There is nothing to work on; the message is for the person at the shell. */
  static final class NoStore extends RuntimeException {
    NoStore(Path folder) {
      super("there is no store in " + folder);
    }
  }
}
