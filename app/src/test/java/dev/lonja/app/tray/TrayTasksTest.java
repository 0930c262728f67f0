package dev.lonja.app.tray;

import static org.assertj.core.api.Assertions.assertThat;

import dev.lonja.app.server.LonjaServer;
import dev.lonja.app.server.Visitor;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.jsoup.nodes.Element;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;

/**
 * A tray is split and extended: RT-04's of Thursday brings oil, oil filter, belt, fuel filter and
 * air filter, three of its six lines laid; its cold unit comes in later.
 */
class TrayTasksTest {

  @RegisterExtension static final LonjaServer SERVER = LonjaServer.withDemo();

  private final Visitor visitor = SERVER.signedInAs("storekeeper");

  private static String task(Visitor.Page tray, String form, String words) {
    return tray.document()
        .selectFirst("form[action$=" + form + "] label:contains(" + words + ") input")
        .attr("value");
  }

  private static List<String> numbers(Visitor.Page tray) {
    return tray.document().select(".lines .plate-number").eachText();
  }

  private Visitor.Page send(Visitor.Page tray, String form, String... tasks) {
    Map<String, String> chosen = new HashMap<>();
    if (tasks.length > 0) {
      chosen.put("task", String.join(",", tasks));
    }
    return visitor.submit(tray.form(form), chosen);
  }

  /** The air filter goes to somebody else: its line goes along, the rest stays as it lies. */
  @Test
  void whatIsSplitOffGetsATrayOfItsOwn() {
    Visitor.Page tray = visitor.get("/trays/17");
    int laid = tray.document().select("li.is-laid").size();
    Visitor.Page made = send(tray, "/split", task(tray, "/split", "Replace air filter"));
    assertThat(made.path()).isNotEqualTo("/trays/17");
    assertThat(numbers(made)).containsExactly("PL 6620-A");
    assertThat(made.words()).contains("RT-04 Large service");
    Visitor.Page rest = visitor.get("/trays/17");
    assertThat(numbers(rest)).hasSize(5).doesNotContain("PL 6620-A");
    assertThat(rest.document().select("li.is-laid")).hasSize(laid);
    assertThat(SERVER.isSound()).isTrue();

    Visitor.Page whole = visitor.get("/trays/17");
    String filter = task(whole, "/split", "Replace oil filter");
    assertThat(send(whole, "/split", filter).words())
        .contains("\"Change engine oil\" and \"Replace oil filter\" stay together");
    assertThat(send(whole, "/split").words()).contains("Choose tasks that no other tray stands");
    String all =
        String.join(
            ",",
            whole.document().select("form[action$=/split] input[name=task]").stream()
                .map(Element::val)
                .toList());
    assertThat(send(whole, "/split", all).words()).contains("some of its own, not all");
  }

  /**
   * GN-1's yearly service is laid in part; its inspection of the belt joins with its line, and is
   * planned by itself no more.
   */
  @Test
  void whatJoinsBringsItsLines() {
    Visitor.Page tray = visitor.get("/trays/20");
    int before = numbers(tray).size();
    List<String> more = tray.document().select("form[action$=/extend] label").eachText();
    assertThat(more).isNotEmpty();
    String id = tray.document().selectFirst("form[action$=/extend] input[name=task]").attr("value");
    Visitor.Page extended = send(tray, "/extend", id);
    assertThat(extended.path()).isEqualTo("/trays/20");
    assertThat(numbers(extended)).hasSizeGreaterThanOrEqualTo(before);
    assertThat(extended.document().select("form[action$=/extend] label").eachText())
        .isEqualTo(more.subList(1, more.size()));
    assertThat(extended.document().select("form[action$=/split] input[value=" + id + "]"))
        .hasSize(1);
    // it is in hand now: sent once more it is refused
    assertThat(send(extended, "/extend", id).words()).contains("that no other tray stands for");
    assertThat(SERVER.isSound()).isTrue();
  }
}
