package dev.lonja.app.command;

import dev.lonja.store.Session;
import dev.lonja.store.StoreFiles;
import dev.lonja.store.StoreLock;
import dev.lonja.store.audit.Deed;
import dev.lonja.store.audit.Matter;
import dev.lonja.store.exchange.ExchangeProblem;
import java.nio.file.Path;
import java.util.List;
import java.util.concurrent.Callable;
import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Option;
import picocli.CommandLine.Parameters;

@Command(
    name = "import",
    description = "Loads a whole store from a folder or zip in the exchange format.")
final class ImportCommand implements Callable<Integer> {

  @Mixin private DataOption data = new DataOption();

  @Parameters(paramLabel = "DIR", description = "folder or zip to load")
  private Path source = Path.of("");

  @Option(
      names = "--replace",
      description = "takes the place of a store that is there; a backup of it is kept beside it")
  private boolean replace;

  @Override
  public Integer call() {
    return StoreLock.whileHeld(data.folder(), "import", this::load);
  }

  /** What came in stays as it went out; that it took the place of another store is noted. */
  private void noteReplacement(Session session) {
    if (replace) {
      String name = source.getFileName().toString();
      session.audit().add(Operator.line(Matter.EXCHANGE, name, Deed.IMPORTED));
    }
  }

  private int load() {
    List<ExchangeProblem> problems =
        StoreFiles.load(source, data.database(), replace, this::noteReplacement);
    problems.forEach(problem -> System.err.println(problem.display()));
    if (problems.isEmpty()) {
      System.out.println("Imported " + source + " into " + data.folder());
      return 0;
    }
    System.err.println(problems.size() + " problems; nothing was changed");
    return 1;
  }
}
