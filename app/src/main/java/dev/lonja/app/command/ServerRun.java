package dev.lonja.app.command;

import dev.lonja.app.LonjaApplication;
import dev.lonja.app.server.Settings;
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

  /**
   * @param reached how it is reached
   * @param bench whether the Bench plays the devices
   */
  static void start(
      Path data, Map<String, Object> reached, boolean bench, Optional<LocalDate> today) {
    Map<String, Object> settings = new HashMap<>(reached);
    settings.put("lonja.data", data.toString());
    today.ifPresent(day -> settings.put("lonja.today", day.toString()));
    SpringApplicationBuilder server = new SpringApplicationBuilder(LonjaApplication.class);
    (bench ? server.profiles("bench") : server).run(Settings.words(settings));
  }
}
