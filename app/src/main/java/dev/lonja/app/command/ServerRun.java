package dev.lonja.app.command;

import dev.lonja.app.LonjaApplication;
import dev.lonja.app.server.Settings;
import dev.lonja.store.LonjaStore;
import dev.lonja.store.StoreFault;
import dev.lonja.store.StoreLock;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Path;
import java.time.LocalDate;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.springframework.boot.SpringApplication;
import org.springframework.boot.builder.SpringApplicationBuilder;
import org.springframework.context.ConfigurableApplicationContext;

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
    ConfigurableApplicationContext context =
        (bench ? server.profiles("bench") : server).run(Settings.words(settings));
    lookLater(context);
  }

  private static void lookLater(ConfigurableApplicationContext context) {
    Path database = context.getBean(LonjaStore.class).file();
    boolean despite =
        context.getEnvironment().getProperty("lonja.despite-damage", Boolean.class, false);
    try {
      if (!despite
          && !LonjaApplication.isLookedAtFirst(context.getBean(StoreLock.class), database)) {
        LateLook.begin(database, faults -> end(context, faults, database));
      }
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  private static void end(
      ConfigurableApplicationContext context, List<StoreFault> faults, Path database) {
    FaultWording.lines(faults).forEach(System.err::println);
    System.err.println(FaultWording.advice(database));
    System.exit(SpringApplication.exit(context, () -> 1));
  }
}
