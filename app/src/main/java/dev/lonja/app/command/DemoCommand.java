package dev.lonja.app.command;

import dev.lonja.app.LonjaApplication;
import dev.lonja.app.demo.DemoStore;
import dev.lonja.store.LonjaStore;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.Callable;
import org.jspecify.annotations.Nullable;
import picocli.CommandLine.Command;
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

  @Option(
      names = "--port",
      defaultValue = "8080",
      description = "port to listen on (default: ${DEFAULT-VALUE})")
  private int port;

  @Option(names = "--fresh", description = "throws the demo's data away first")
  private boolean fresh;

  @Override
  public Integer call() throws IOException {
    Path database = folder.resolve(LonjaApplication.DATABASE);
    if (fresh) {
      for (String ending : List.of("", "-wal", "-shm")) {
        Files.deleteIfExists(Path.of(database + ending));
      }
    }
    if (Files.notExists(database)) {
      try (LonjaStore store = LonjaStore.open(database)) {
        DemoStore.create(store, today == null ? LocalDate.now() : today);
      }
    }
    ServerRun.start(folder, port, Optional.ofNullable(today));
    System.out.println("Lonja's demo is at http://localhost:" + port);
    System.out.println(
        "Sign in as storekeeper, buyer, workshop, auditor or administrator; the password is "
            + DemoStore.PASSWORD);
    return ServerRun.RUNNING;
  }
}
