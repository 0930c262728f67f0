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

  /** Those of the first pages; all of them in the long run. */
  @Test
  void noFormBreaksTheServer() {
    assertThat(new FormFuzz(SERVER.signedInAs("administrator"), SEED, 45).run(1)).isEmpty();
    assertThat(SERVER.isSound()).isTrue();
  }

  @Test
  @Tag("long")
  void norDoesItInTheLongRun() {
    assertThat(new FormFuzz(SERVER.signedInAs("administrator"), SEED + 1, 400).run(30)).isEmpty();
    assertThat(SERVER.isSound()).isTrue();
  }
}
