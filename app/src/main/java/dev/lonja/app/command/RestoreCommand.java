package dev.lonja.app.command;

import dev.lonja.store.Session;
import dev.lonja.store.StoreFault;
import dev.lonja.store.StoreFiles;
import dev.lonja.store.StoreLock;
import dev.lonja.store.audit.Deed;
import dev.lonja.store.audit.Matter;
import java.nio.file.Path;
import java.util.List;
import java.util.concurrent.Callable;
import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Parameters;

@Command(
    name = "restore",
    description =
        "Checks a backup and puts it in the store's place; what was there is kept beside it.")
final class RestoreCommand implements Callable<Integer> {

  @Mixin private DataOption data = new DataOption();

  @Parameters(paramLabel = "FILE", description = "backup to restore")
  private Path source = Path.of("");

  @Override
  public Integer call() {
    return StoreLock.whileHeld(data.folder(), "restore", this::restore);
  }

  private int restore() {
    List<StoreFault> faults = StoreFiles.restore(source, data.database(), this::note);
    FaultWording.lines(faults).forEach(System.err::println);
    if (faults.isEmpty()) {
      System.out.println("Restored " + source + " into " + data.folder());
      return 0;
    }
    System.err.println("nothing was changed");
    return 1;
  }

  private void note(Session session) {
    String name = source.getFileName().toString();
    session.audit().add(Operator.line(Matter.BACKUP, name, Deed.RESTORED));
  }
}
