package dev.lonja.app.command;

import dev.lonja.app.LonjaApplication;
import java.nio.file.Path;
import java.time.LocalDate;
import java.util.HashMap;
import java.util.Map;
import java.util.Optional;
import org.springframework.boot.builder.SpringApplicationBuilder;

/** Starts the server within this process. */
final class ServerRun {

  /** Not an exit code: the process goes on until the server is stopped. */
  static final int RUNNING = -1;

  private ServerRun() {}

  static void start(Path data, ServerOptions options, Optional<LocalDate> today) {
    Map<String, Object> settings = new HashMap<>(options.settings());
    settings.put("lonja.data", data.toString());
    today.ifPresent(day -> settings.put("lonja.today", day.toString()));
    new SpringApplicationBuilder(LonjaApplication.class).properties(settings).run();
  }
}
