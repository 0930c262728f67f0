package dev.lonja.app.command;

import java.util.Optional;
import java.util.concurrent.Callable;
import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;

@Command(name = "serve", description = "Runs the store on this machine.")
final class ServeCommand implements Callable<Integer> {

  @Mixin private DataOption data = new DataOption();

  @Mixin private ServerOptions options = new ServerOptions();

  @Override
  public Integer call() {
    ServerRun.start(data.folder(), options, Optional.empty());
    System.out.println("Lonja is at http://localhost:" + options.port());
    return ServerRun.RUNNING;
  }
}
