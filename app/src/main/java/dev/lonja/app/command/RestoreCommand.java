package dev.lonja.app.command;

import dev.lonja.store.StoreFiles;
import java.nio.file.Path;
import java.util.List;
import java.util.concurrent.Callable;
import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Parameters;

@Command(
    name = "restore",
    description = "Checks a backup and puts it in the store's place; what was there is kept.")
final class RestoreCommand implements Callable<Integer> {

  @Mixin private DataOption data = new DataOption();

  @Parameters(paramLabel = "FILE", description = "backup to restore")
  private Path source = Path.of("");

  @Override
  public Integer call() {
    List<String> problems = StoreFiles.restore(source, data.database());
    problems.forEach(System.err::println);
    if (problems.isEmpty()) {
      System.out.println("Restored " + source + " into " + data.folder());
      return 0;
    }
    System.err.println("nothing was changed");
    return 1;
  }
}
