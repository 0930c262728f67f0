package dev.lonja.app.pour;

import static org.assertj.core.api.Assertions.assertThat;

import dev.lonja.app.server.LonjaServer;
import dev.lonja.app.server.Visitor;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;

/** Which packs a line of a tray is advised to take, and what it takes then. */
class PackAdviceTest {

  private static final String LINE = ".lines > li:contains(Front drive.)";

  @RegisterExtension static final LonjaServer SERVER = LonjaServer.withDemo();

  private final Visitor visitor = SERVER.signedInAs("storekeeper");

  /**
   * AT-3's front drive wants 0.28 L out of a drum of 20 L, as the tray was laid out, so nothing
   * else is offered. Then the drums leak; half a litre is in an open bottle of 1 L.
   */
  @Test
  void otherPacksAreAdvisedAndTakenWhenThoseOnTheTrayAreGone() {
    Visitor.Page before = choices();
    assertThat(before.words()).contains("Which packs", "stays open until", "Next best");
    assertThat(before.hasForm("/packs")).isFalse();
    visitor.submit(
        visitor.get("/items/" + SERVER.itemId("NA 809-20")).form("/lot"),
        Map.of("what", "scrap", "quantity", "40", "reason", "leaked"));
    Visitor.Page taken = visitor.submit(choices().form("/packs"), Map.of());
    assertThat(taken.text(LINE))
        .contains("Orvane NA 809-1 ", "280 mL")
        .contains("instead of NA 809-20 other packs of the same product");
    assertThat(SERVER.isSound()).isTrue();
  }

  private Visitor.Page choices() {
    return visitor.get(
        visitor.get("/trays/8").document().select(LINE + " a[href$=/fluid]").attr("href"));
  }
}
