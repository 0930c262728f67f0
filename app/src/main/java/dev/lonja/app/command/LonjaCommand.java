package dev.lonja.app.command;

import dev.lonja.app.UnsoundStore;
import dev.lonja.store.StoreLock;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import picocli.CommandLine;
import picocli.CommandLine.Command;

/** {@code lonja}: one command for each thing that can be done from a shell. */
@Command(
    name = "lonja",
    description = "Parts and lubricants for the storekeeper of a fleet.",
    mixinStandardHelpOptions = true,
    version = "Lonja 0.1.0",
    subcommands = {
      DemoCommand.class,
      ServeCommand.class,
      ImportCommand.class,
      ExportCommand.class,
      ForecastCommand.class,
      BackupCommand.class,
      RestoreCommand.class,
      VerifyCommand.class
    })
public final class LonjaCommand {

  private LonjaCommand() {}

  /** Exit codes: 0 done, 1 refused with reasons, 2 wrong words on the command line. */
  public static void main(String[] words) {
    int code = commandLine().execute(words);
    if (code != ServerRun.RUNNING) {
      System.exit(code);
    }
  }

  static CommandLine commandLine() {
    return new CommandLine(new LonjaCommand())
        .setExecutionExceptionHandler(
            (problem, command, result) -> {
              Optional<String> words = words(problem);
              words.ifPresent(System.err::println);
              if (words.isEmpty()) {
                throw problem;
              }
              return 1;
            });
  }

  /** What is said of a problem that is expected, or of one that it came from. */
  private static Optional<String> words(@Nullable Throwable problem) {
    if (problem == null) {
      return Optional.empty();
    }
    if (problem instanceof DataOption.NoStore) {
      return Optional.ofNullable(problem.getMessage());
    }
    if (problem instanceof UnsoundStore unsound) {
      return Optional.of(FaultWording.withAdvice(unsound.faults(), unsound.database()));
    }
    if (problem instanceof StoreLock.Held held) {
      return Optional.of(
          held.folder()
              + " is in use by another Lonja ("
              + held.by()
              + "). Stop it first; nothing was changed");
    }
    return words(problem.getCause());
  }
}
