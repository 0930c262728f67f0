package dev.lonja.app.sign;

import static org.assertj.core.api.Assertions.assertThat;

import dev.lonja.app.server.LonjaServer;
import dev.lonja.app.server.Visitor;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;

/** Guessing at the door; each test guesses at a name of its own. */
class ThrottleTest {

  @RegisterExtension static final LonjaServer SERVER = LonjaServer.withDemo();

  /** Five wrong passwords, then even the right one has to wait; another name does not. */
  @Test
  void guessingIsSlowedDown() {
    Visitor visitor = SERVER.stranger();
    for (int i = 0; i < 5; i++) {
      assertThat(visitor.signIn("buyer", "guess-" + i).path()).isEqualTo("/sign-in?wrong");
    }
    assertThat(visitor.signIn("buyer", "lonja-demo").words())
        .contains("Too many wrong passwords for this name");
    assertThat(visitor.signIn("auditor", "lonja-demo").path()).isEqualTo("/");
  }

  /** However a name is written it is the same one, and counted as one. */
  @Test
  void aNameIsCountedHoweverItIsWritten() {
    Visitor visitor = SERVER.stranger();
    for (String name :
        List.of("workshop", "WORKSHOP", " workshop ", "ｗorkshop", "work\u00ADshop")) {
      assertThat(visitor.signIn(name, "a guess").path()).isEqualTo("/sign-in?wrong");
    }
    assertThat(visitor.signIn("workshop", "lonja-demo").path()).isEqualTo("/sign-in?wait");
  }

  /** Others may guess as they like: where somebody has signed in before they still get in. */
  @Test
  void nobodyIsLockedOutOnTheirOwnDevice() {
    Visitor own = SERVER.newlySignedInAs("administrator");
    own.submit(own.get("/").form("/sign-out"), Map.of());
    Visitor stranger = SERVER.stranger();
    for (int i = 0; i < 5; i++) {
      stranger.signIn("administrator", "guess-" + i);
    }
    assertThat(SERVER.stranger().signIn("administrator", "lonja-demo").path())
        .isEqualTo("/sign-in?wait");
    assertThat(own.signIn("administrator", "lonja-demo").path()).isEqualTo("/");
  }

  @Test
  void aNameOfAnyLengthIsAnsweredAndNotKeptWhole() {
    assertThat(SERVER.stranger().signIn("n".repeat(50_000), "a guess").path())
        .isEqualTo("/sign-in?wrong");
    assertThat(SERVER.stranger().signIn("storekeeper", "p".repeat(50_000)).path())
        .isEqualTo("/sign-in?wrong");
  }
}
