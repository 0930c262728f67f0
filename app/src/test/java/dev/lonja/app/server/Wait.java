package dev.lonja.app.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Duration;
import java.time.Instant;
import java.util.function.BooleanSupplier;

/** Waits for what runs in the background, and leaves the machine to it meanwhile. */
public final class Wait {

  private static final Duration MOST = Duration.ofMinutes(2);
  private static final long PAUSE_MS = 20;

  private Wait() {}

  /** Until it is so; fails if it is not after two minutes. */
  public static void until(String what, BooleanSupplier isSo) {
    Instant limit = Instant.now().plus(MOST);
    while (!isSo.getAsBoolean()) {
      assertThat(Instant.now()).as(what).isBefore(limit);
      try {
        Thread.sleep(PAUSE_MS);
      } catch (InterruptedException e) {
        Thread.currentThread().interrupt();
        throw new AssertionError(what, e);
      }
    }
  }
}
