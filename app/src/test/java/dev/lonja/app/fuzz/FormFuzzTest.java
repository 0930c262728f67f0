package dev.lonja.app.fuzz;

import static org.assertj.core.api.Assertions.assertThat;

import dev.lonja.app.server.LonjaServer;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;

/** No form breaks the server, whatever is typed into it; the seed is fixed. */
class FormFuzzTest {

  private static final long SEED = 20_270_315;

  @RegisterExtension static final LonjaServer SERVER = LonjaServer.withDemo();

  /** Half of them; all in the long run. */
  @Test
  void noFormBreaksTheServer() {
    assertThat(new FormFuzz(SERVER.signedInAs("administrator"), SEED).run(1, 0.5)).isEmpty();
    assertThat(SERVER.isSound()).isTrue();
  }

  @Test
  @Tag("long")
  void norDoesItInTheLongRun() {
    assertThat(new FormFuzz(SERVER.signedInAs("administrator"), SEED + 1).run(30, 1)).isEmpty();
    assertThat(SERVER.isSound()).isTrue();
  }
}
