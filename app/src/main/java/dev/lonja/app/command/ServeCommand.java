package dev.lonja.app.command;

import java.util.Optional;
import java.util.concurrent.Callable;
import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Option;

@Command(name = "serve", description = "Runs the store on this machine.")
final class ServeCommand implements Callable<Integer> {

  @Mixin private DataOption data = new DataOption();

  @Option(
      names = "--port",
      defaultValue = "8080",
      description = "port to listen on (default: ${DEFAULT-VALUE})")
  private int port;

  @Override
  public Integer call() {
    ServerRun.start(data.folder(), port, Optional.empty());
    System.out.println("Lonja is at http://localhost:" + port);
    return ServerRun.RUNNING;
  }
}
