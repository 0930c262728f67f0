package dev.lonja.app.command;

import java.util.Optional;
import java.util.concurrent.Callable;
import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Option;

@Command(name = "serve", description = "Runs the store on this machine.")
final class ServeCommand implements Callable<Integer> {

  @Mixin private DataOption data = new DataOption();

  @Mixin private ServerOptions options = new ServerOptions();

  @Option(
      names = "--bench",
      description = "shows the Bench, which plays devices, to try things out")
  private boolean bench;

  @Override
  public Integer call() {
    ServerRun.start(data.folder(), options.settings(""), bench, Optional.empty());
    System.out.println("Lonja is at " + options.url());
    return ServerRun.RUNNING;
  }
}
