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
    List<String> before = numbers(tray);
    int laid = tray.document().select("li.is-laid").size();
    Visitor.Page made = send(tray, "/split", task(tray, "/split", "Replace air filter"));
    assertThat(made.path()).isNotEqualTo("/trays/17");
    assertThat(numbers(made)).containsExactly("PL 6620-A");
    assertThat(made.words()).contains("RT-04 Large service");
    Visitor.Page rest = visitor.get("/trays/17");
    assertThat(numbers(rest))
        .containsExactlyElementsOf(before.stream().filter(n -> !n.equals("PL 6620-A")).toList());
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
   * Its cold unit's oil, planned for 20 April, is changed along with it: 3.60 L and the seal of its
   * plug come on, nothing else changes. Its filter may not follow once the tray is begun, since the
   * oil laid for it would be another amount.
   */
  @Test
  void whatJoinsBringsItsLines() {
    Visitor.Page tray = visitor.get("/trays/17");
    List<String> before = numbers(tray);
    String oil = task(tray, "/extend", "Change cold unit oil");
    Visitor.Page extended = send(tray, "/extend", oil);
    assertThat(extended.path()).isEqualTo("/trays/17");
    assertThat(numbers(extended))
        .hasSize(before.size() + 2)
        .containsAll(before)
        .contains("GR 1040-20", "Al 14×18×1.5");
    assertThat(extended.document().select(".lines li:contains(GR 1040-20) .figure").text())
        .isEqualTo("3.60 L");
    // it is in hand now: sent once more it is refused
    assertThat(send(extended, "/extend", oil).words()).contains("that no other tray stands for");
    String filter = task(extended, "/extend", "Replace cold unit filter");
    assertThat(send(extended, "/extend", filter).words())
        .contains("\"Change cold unit oil\" and \"Replace cold unit filter\" stay together");
    assertThat(SERVER.isSound()).isTrue();
  }

  /**
   * As long as nobody has begun to lay it, RT-08's tray may be given its cold unit's oil and then
   * the filter too: it is made anew, and beside the 3.60 L the filter takes 0.30 L.
   */
  @Test
  void aFilterJoinsItsOilOnATrayThatNobodyHasBegun() {
    Visitor.Page tray = visitor.submit(visitor.get("/fleet/RT-08").form("/trays/start"), Map.of());
    Visitor.Page oil = send(tray, "/extend", task(tray, "/extend", "Change cold unit oil"));
    assertThat(oil.text(".lines li:contains(Cold unit engine) .figure")).isEqualTo("3.60 L");
    Visitor.Page both = send(oil, "/extend", task(oil, "/extend", "Replace cold unit filter"));
    assertThat(both.text(".lines li:contains(Cold unit engine) .figure")).isEqualTo("3.90 L");
    assertThat(both.text(".lines")).contains("Cold unit oil filter.");
    assertThat(SERVER.isSound()).isTrue();
  }
}
