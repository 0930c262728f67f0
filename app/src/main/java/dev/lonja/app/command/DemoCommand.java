package dev.lonja.app.command;

import dev.lonja.app.LonjaApplication;
import dev.lonja.app.demo.DemoStore;
import dev.lonja.store.StoreFiles;
import dev.lonja.store.StoreLock;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.LocalDate;
import java.util.Optional;
import java.util.concurrent.Callable;
import org.jspecify.annotations.Nullable;
import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Option;

@Command(
    name = "demo",
    description = "Runs the demo store, made anew around today if it is not there.")
final class DemoCommand implements Callable<Integer> {

  @Option(
      names = "--data",
      paramLabel = "DIR",
      defaultValue = "data/demo",
      description = "folder of the demo's data (default: ${DEFAULT-VALUE})")
  private Path folder = Path.of("data/demo");

  @Option(names = "--today", paramLabel = "YYYY-MM-DD", description = "pins the day")
  private @Nullable LocalDate today;

  @Mixin private ServerOptions options = new ServerOptions();

  @Option(names = "--fresh", description = "throws the demo's data away first")
  private boolean fresh;

  @Override
  public Integer call() {
    Path database = folder.resolve(LonjaApplication.DATABASE);
    StoreLock.whileHeld(folder, "demo", () -> make(database));
    ServerRun.start(folder, options.settings("127.0.0.1"), true, Optional.ofNullable(today));
    System.out.println("Lonja's demo is at " + options.url());
    System.out.println(
        "Sign in as storekeeper, buyer, workshop, auditor or administrator; the password is "
            + DemoStore.PASSWORD);
    return ServerRun.RUNNING;
  }

  /** Makes the demo's store if it is not there; true if it was made. */
  private boolean make(Path database) {
    if (fresh) {
      StoreFiles.delete(database);
    }
    if (Files.exists(database)) {
      return false;
    }
    LocalDate day = today == null ? LocalDate.now() : today;
    StoreFiles.make(database, store -> DemoStore.create(store, day));
    return true;
  }
}
