package dev.lonja.app.tray;

import static org.assertj.core.api.Assertions.assertThat;

import dev.lonja.app.server.LonjaServer;
import dev.lonja.app.server.Visitor;
import dev.lonja.core.policy.Choice;
import dev.lonja.core.policy.Holder;
import dev.lonja.core.policy.School;
import java.util.Map;
import org.jsoup.nodes.Element;
import org.jsoup.nodes.FormElement;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;

/** The carriers' oil service by a kit, which covers filter, seals and plugs. */
class KitPolicyTest {

  @RegisterExtension static final LonjaServer SERVER = LonjaServer.withDemo();

  private final Visitor visitor = SERVER.signedInAs("storekeeper");

  @BeforeAll
  static void alwaysKit() {
    SERVER
        .store()
        .write(
            session -> {
              session.policies().choose(Holder.STORE, Choice.of(School.ALWAYS_KIT));
              return true;
            });
  }

  private Visitor.Page tray(String unit) {
    return visitor.submit(visitor.get("/fleet/" + unit).form("/trays/start"), Map.of());
  }

  private static Element kit(Visitor.Page tray) {
    return tray.document().select(".lines > li:contains(KIT AT7)").first();
  }

  private static FormElement form(Element line, String end) {
    return (FormElement) line.select("form[action$=" + end + "]").first();
  }

  /**
   * It names the policy, its tasks do not part, and its parts may be taken loose where the kit is
   * not to be had.
   */
  @Test
  void aKitIsOnTheTrayAndMayBeTakenLoose() {
    Visitor.Page tray = tray("AT-2");
    assertThat(kit(tray).text())
        .contains("Covers 5 lines; what is left over comes back.")
        .contains("In it: 1 × 05107, 1 × Bond M18, 2 × Al 14×18×1.5, 1 × LT 1-0095, 2 × OS Z14R.")
        .contains("Kit or loose: always kit (the store's policy)");
    assertThat(tray.document().select(".lines .plate-number:contains(05107)")).isEmpty();
    assertThat(visitor.get("/ahead/" + SERVER.itemId("KIT AT7")).words()).contains("AT-2");

    FormElement split = tray.form("/split");
    String plugs = split.select("label:contains(rear drive) input").first().val();
    assertThat(visitor.submit(split, Map.of("task", plugs)).words())
        .contains("KIT AT7 covers something of both. Take its parts loose first");

    Visitor.Page loose = visitor.submit(form(kit(tray), "/loose"), Map.of());
    assertThat(loose.document().select(".lines > li:contains(KIT AT7)")).isEmpty();
    assertThat(loose.text(".lines"))
        .contains("Oil filter.")
        .contains("Bond M18")
        .contains("Al 14×18×1.5");
    // once more, as after a lost answer
    assertThat(visitor.submit(form(kit(tray), "/loose"), Map.of()).text(".lines"))
        .isEqualTo(loose.text(".lines"));
    assertThat(SERVER.isSound()).isTrue();
  }

  /** Left out, everything that it covers stands at not done. */
  @Test
  void aKitThatIsLeftOutHoldsAllItsTasksUp() {
    Visitor.Page tray = tray("AT-1");
    assertThat(kit(tray)).isNotNull();
    Visitor.Page left =
        visitor.submit(form(kit(tray), "/leave-out"), Map.of("why", "none to be had"));
    for (Element tick : left.document().select(".lines > li:not(.is-laid) form[action$=/lay]")) {
      visitor.submit((FormElement) tick, Map.of());
    }
    Visitor.Page open = visitor.get(tray.path());
    Visitor.Page out =
        visitor.submit(
            open.form("/hand-over"),
            Map.of(
                "mechanic",
                "workshop",
                open.document().select("#hand-over [name^=meter-]").attr("name"),
                open.document()
                    .select("#hand-over [name^=meter-]")
                    .attr("placeholder")
                    .replaceAll("[^0-9.]", "")));
    assertThat(out.document().select("#back select[name^=task-] option[selected][value=not]"))
        .hasSizeGreaterThan(1);
    assertThat(SERVER.isSound()).isTrue();
  }
}
