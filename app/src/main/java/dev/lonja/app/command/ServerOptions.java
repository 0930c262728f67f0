package dev.lonja.app.command;

import java.nio.file.Path;
import java.util.HashMap;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import picocli.CommandLine.Option;

/** How the server is reached and what it keeps beside its data. */
final class ServerOptions {

  @Option(
      names = "--port",
      defaultValue = "8080",
      description = "port to listen on (default: ${DEFAULT-VALUE})")
  private int port;

  @Option(
      names = "--second-backups",
      paramLabel = "DIR",
      description = "a second folder for the daily copies, on another disk")
  private @Nullable Path secondBackups;

  @Option(
      names = "--despite-damage",
      description = "starts even if the file of the store is damaged, to look at what is left")
  private boolean despiteDamage;

  int port() {
    return port;
  }

  /** As the application reads them. */
  Map<String, Object> settings() {
    Map<String, Object> settings = new HashMap<>();
    settings.put("server.port", port);
    settings.put("lonja.despite-damage", despiteDamage);
    if (secondBackups != null) {
      settings.put("lonja.second-backups", secondBackups.toString());
    }
    return settings;
  }
}
