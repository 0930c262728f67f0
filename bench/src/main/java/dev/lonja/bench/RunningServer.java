package dev.lonja.bench;

import dev.lonja.app.LonjaApplication;
import dev.lonja.store.LonjaStore;
import java.nio.file.Path;
import java.util.Map;
import org.springframework.boot.builder.SpringApplicationBuilder;
import org.springframework.context.ConfigurableApplicationContext;

/** The application on a folder of data, with a storekeeper who has signed in. */
final class RunningServer implements AutoCloseable {

  private final ConfigurableApplicationContext application;
  private final SignedIn visitor;

  RunningServer(Path folder) {
    Map<String, Object> settings =
        Map.of(
            "lonja.data",
            folder.toString(),
            "server.port",
            "0",
            "lonja.today",
            LargeFleet.TODAY.toString());
    application = new SpringApplicationBuilder(LonjaApplication.class).properties(settings).run();
    String port = application.getEnvironment().getProperty("local.server.port");
    visitor = new SignedIn("http://localhost:" + port);
  }

  String get(String path) {
    return visitor.get(path);
  }

  String token(String path) {
    return visitor.token(path);
  }

  void post(String path, String form) {
    visitor.post(path, form);
  }

  LonjaStore store() {
    return application.getBean(LonjaStore.class);
  }

  @Override
  public void close() {
    application.close();
  }
}
