package dev.lonja.app.tray;

import static org.assertj.core.api.Assertions.assertThat;

import dev.lonja.app.server.LonjaServer;
import dev.lonja.app.server.Visitor;
import java.util.List;
import java.util.Map;
import org.jsoup.nodes.FormElement;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** What was done without a network is judged like anything else, and answered without a page. */
class LaterTest {

  @RegisterExtension static final LonjaServer SERVER = LonjaServer.withDemo();

  private final Visitor visitor = SERVER.signedInAs("storekeeper");

  private static JsonNode json(Visitor.Page page) {
    return JsonMapper.builder().build().readTree(page.response().body());
  }

  private Visitor.Page tray(String unit) {
    return visitor.submit(visitor.get("/fleet/" + unit).form("/trays/start"), Map.of());
  }

  private static List<String> why(JsonNode answer) {
    return answer.get("why").valueStream().map(JsonNode::asString).toList();
  }

  @Test
  void theSameVerdictsOnTheWayInThatComesLater() {
    Visitor.Page tray = tray("AT-2");
    FormElement scan = tray.form("/scan");
    JsonNode done = json(visitor.postLater(scan, Map.of("code", "du104-4"), "90"));
    assertThat(done.get("done").asBoolean()).isTrue();
    assertThat(visitor.get(tray.path()).document().select("li.is-laid").text())
        .contains("DU 104-4");
    // once more, as after a lost answer: done, and nothing laid twice
    assertThat(
            json(visitor.postLater(scan, Map.of("code", "du104-4"), "95")).get("done").asBoolean())
        .isTrue();

    FormElement next = visitor.get(tray.path()).form("/scan");
    JsonNode unknown = json(visitor.postLater(next, Map.of("code", "OS 999"), "5"));
    assertThat(unknown.get("done").asBoolean()).isFalse();
    assertThat(why(unknown)).containsExactly("No item has the number \"OS 999\".");
    assertThat(why(json(visitor.postLater(next, Map.of("code", "NT 50 330"), "5"))).toString())
        .contains("NT 50 330 is not on this tray.");
    assertThat(why(json(visitor.postLater(next, Map.of("code", "DU 104-4"), "700000"))).toString())
        .contains("longer ago than 7 days");
  }

  @Test
  void aTimeThatIsNoneIsABadRequest() {
    Visitor.Page tray = tray("AT-1");
    assertThat(visitor.postLater(tray.form("/scan"), Map.of("code", "x"), "soon").status())
        .isEqualTo(400);
  }

  /** The worker asks who is signed in before it sends, and sends nothing for somebody else. */
  @Test
  void whoeverKeepsAPageIsTold() {
    JsonNode line = json(visitor.get("/aisle"));
    assertThat(line.get("person").asString()).isEqualTo("storekeeper");
    assertThat(line.get("field").asString()).isEqualTo("_csrf");
    assertThat(line.get("token").asString()).isNotEmpty();
    assertThat(visitor.get("/aisle.js").response().headers().firstValue("Content-Type").orElse(""))
        .startsWith("text/javascript");
    FormElement scan = visitor.get("/trays/14").form("/scan");
    Visitor other = SERVER.signedInAs("administrator");
    String token = json(other.get("/aisle")).get("token").asString();
    JsonNode answer = json(other.postLater(scan, Map.of("code", "du104-4", "_csrf", token), "5"));
    assertThat(why(answer).toString()).contains("shown to somebody else");
  }
}
