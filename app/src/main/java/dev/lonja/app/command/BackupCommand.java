package dev.lonja.app.command;

import dev.lonja.store.LonjaStore;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.concurrent.Callable;
import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Parameters;

@Command(name = "backup", description = "Copies the store into a file while it may be in use.")
final class BackupCommand implements Callable<Integer> {

  @Mixin private DataOption data = new DataOption();

  @Parameters(paramLabel = "FILE", description = "file to write; it must not be there yet")
  private Path target = Path.of("");

  @Override
  public Integer call() {
    if (Files.exists(target)) {
      System.err.println(target + " is there already; name a file that is not");
      return 1;
    }
    try (LonjaStore store = data.open()) {
      store.backUpTo(target);
    }
    System.out.println("Backed up " + data.folder() + " to " + target);
    return 0;
  }
}
