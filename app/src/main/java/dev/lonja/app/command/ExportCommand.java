package dev.lonja.app.command;

import dev.lonja.store.LonjaStore;
import dev.lonja.store.audit.Deed;
import dev.lonja.store.audit.Matter;
import java.nio.file.Path;
import java.util.concurrent.Callable;
import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Parameters;

@Command(name = "export", description = "Writes the whole store as CSV files into a folder.")
final class ExportCommand implements Callable<Integer> {

  @Mixin private DataOption data = new DataOption();

  @Parameters(paramLabel = "DIR", description = "folder to write to")
  private Path target = Path.of("");

  @Override
  public Integer call() {
    try (LonjaStore store = data.openToRead()) {
      store.read(
          session -> {
            session.exchange().exportTo(target);
            return true;
          });
    }
    data.note(Operator.line(Matter.EXCHANGE, target.getFileName().toString(), Deed.EXPORTED));
    System.out.println("Exported " + data.folder() + " to " + target);
    return 0;
  }
}
