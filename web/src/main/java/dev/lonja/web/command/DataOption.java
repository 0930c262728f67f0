package dev.lonja.web.command;

import dev.lonja.store.LonjaStore;
import dev.lonja.web.LonjaApplication;
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

  LonjaStore open() {
    return LonjaStore.open(database());
  }
}
