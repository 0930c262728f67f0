package dev.lonja.app.due;

import static org.assertj.core.api.Assertions.assertThat;

import dev.lonja.app.server.LonjaServer;
import dev.lonja.app.server.Visitor;
import java.util.Map;
import org.jsoup.nodes.FormElement;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Moving a planned occurrence, over HTTP. */
class MoveTest {

  @RegisterExtension static final LonjaServer SERVER = LonjaServer.withDemo();

  private final Visitor visitor = SERVER.signedInAs("storekeeper");

  /** RT-03's small service is moved past its limit: shown before, done with a reason, undone. */
  @Test
  void anOccurrenceIsMovedAfterItWasSeenWhatThatDoes() {
    String link = moveLink("RT-03");
    Visitor.Page look = visitor.get(link + "&to=2027-06-10");
    assertThat(look.words())
        .contains("What it does", "10 Jun", "moved", "past its limit by")
        .contains("a qualified person to say");
    assertThat(visitor.submit(sure(look), Map.of("reason", "")).words())
        .contains("The reason is missing.");
    Visitor.Page unit = visitor.submit(sure(look), Map.of("reason", "away on the mainland"));
    assertThat(unit.path()).isEqualTo("/fleet/RT-03");
    assertThat(unit.words())
        .contains("Change engine oil (moved by hand)")
        .contains("Moved by storekeeper to 10 Jun: away on the mainland. By the rule it would be");
    assertThat(visitor.get("/fleet/due").document().select("tr:contains(RT-03)").text())
        .contains("10 Jun")
        .contains("moved by hand");
    Visitor.Page back = visitor.get(moveLinkOf(unit, "10 Jun"));
    Visitor.Page restored = visitor.submit(back.form("/back"), Map.of());
    assertThat(restored.words()).doesNotContain("moved by hand");
    assertThat(SERVER.isSound()).isTrue();
  }

  @ParameterizedTest
  @CsvSource({
    "2027-03-14,The new day is 2027-03-14; allowed is 2027-03-15 to 2028-03-15.",
    "2028-03-16,The new day is 2028-03-16; allowed is 2027-03-15 to 2028-03-15.",
    "tomorrow,\"\"\"tomorrow\"\" is not a date.\""
  })
  void aDayThatCannotBeIsRefused(String to, String problem) {
    Visitor.Page page = visitor.get(moveLink("RT-07") + "&to=" + to);
    assertThat(page.words()).contains(problem.replace("\"\"", "\"").replaceAll("^\"|\"$", ""));
    assertThat(page.document().select("#look-to").val()).isEqualTo(to);
    assertThat(page.hasForm("/move/back")).isFalse();
  }

  @Test
  void whatFollowsOnPlansCannotMove() {
    assertThat(visitor.get("/fleet/RT-03/move?day=2029-01-01").status()).isEqualTo(404);
    assertThat(
            SERVER.signedInAs("auditor").get("/fleet/RT-07").document().select("a:contains(Move)"))
        .isEmpty();
  }

  /** VN-1's service was moved by nine days when the demo was made. */
  @Test
  void theDemoHasAMovedOccurrence() {
    assertThat(visitor.get("/fleet/VN-1").words()).contains("away on the ferry that week");
  }

  /** The form that moves, not the one that only looks. */
  private static FormElement sure(Visitor.Page page) {
    return (FormElement) page.document().select("form:has(#reason)").first();
  }

  private String moveLink(String unit) {
    return visitor
        .get("/fleet/" + unit)
        .document()
        .select("a[href*=/move?day=]")
        .first()
        .attr("href");
  }

  private static String moveLinkOf(Visitor.Page unit, String day) {
    return unit.document()
        .select("li:contains(" + day + ") a[href*=/move?day=]")
        .first()
        .attr("href");
  }
}
