package dev.lonja.app.command;

import dev.lonja.store.LonjaStore;
import dev.lonja.store.StoreCheck;
import dev.lonja.store.StoreFault;
import dev.lonja.store.audit.Deed;
import dev.lonja.store.audit.Matter;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
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
    try (LonjaStore store = data.openToRead()) {
      store.backUpTo(target);
    }
    List<StoreFault> faults = StoreCheck.whole(target);
    if (!faults.isEmpty()) {
      FaultWording.lines(faults).forEach(System.err::println);
      System.err.println("the copy at " + target + " is not sound, since the store is not");
      return 1;
    }
    data.note(Operator.line(Matter.BACKUP, target.getFileName().toString(), Deed.BACKED_UP));
    System.out.println("Backed up " + data.folder() + " to " + target + " and checked it");
    return 0;
  }
}
