package dev.lonja.app.command;

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
              if (problem instanceof DataOption.NoStore) {
                System.err.println(problem.getMessage());
                return 1;
              }
              throw problem;
            });
  }
}
