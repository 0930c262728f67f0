package dev.lonja.store;

import java.nio.file.Files;
import java.util.Optional;
import java.util.function.Function;
import org.junit.jupiter.api.extension.AfterEachCallback;
import org.junit.jupiter.api.extension.BeforeEachCallback;
import org.junit.jupiter.api.extension.ExtensionContext;

/** The example store that ships on a real file, fresh for each test. */
public final class ExampleStore implements BeforeEachCallback, AfterEachCallback {

  private Optional<LonjaStore> store = Optional.empty();

  @Override
  public void beforeEach(ExtensionContext context) throws Exception {
    store = Optional.of(Stores.example(Files.createTempDirectory("lonja-store")));
  }

  @Override
  public void afterEach(ExtensionContext context) {
    store.orElseThrow().close();
  }

  public <T> T read(Function<Session, T> work) {
    return store.orElseThrow().read(work);
  }

  public <T> T write(Function<Session, T> work) {
    return store.orElseThrow().write(work);
  }

  /** Changes the file past everything that guards it but its own checks. */
  public void tamper(String change) {
    Stores.tamper(store.orElseThrow(), change);
  }
}
