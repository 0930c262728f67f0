package dev.lonja.app.tray;

import static org.assertj.core.api.Assertions.assertThat;

import dev.lonja.app.server.LonjaServer;
import dev.lonja.app.server.Visitor;
import java.util.Map;
import org.jsoup.nodes.FormElement;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;

/** Two spark plugs that came off PW-3 lie beside the new ones; T-0019 of SW-3 takes one. */
class UsedPartsPageTest {

  private static final String PLUG = "OS Z09";

  @RegisterExtension static final LonjaServer SERVER = LonjaServer.withDemo();

  private final Visitor visitor = SERVER.signedInAs("storekeeper");

  private Visitor.Page item() {
    return visitor.get("/items/" + SERVER.itemId(PLUG));
  }

  /** T-0019, whose machine's next spark plug is done along with it. */
  private Visitor.Page tray() {
    Visitor.Page tray = visitor.get("/trays/19");
    FormElement extend = tray.form("/extend");
    String plug = extend.select("label:contains(spark plug) input").val();
    return visitor.submit(extend, Map.of("task", plug));
  }

  @Test
  void aUsedPartGoesOutByAPersonsWordAndTheOldOneIsKept() {
    assertThat(item().words()).contains("6 free. Besides 2 used, good.");
    Visitor.Page tray = visitor.submit(tray().form("/lay-used"), Map.of());
    assertThat(tray.text("li.is-laid")).contains("used, good Spark plug.");
    assertThat(item().words()).contains("6 free").contains("Besides 2 used, good.");
    visitor.submit(tray.form("/lay"), Map.of());
    Visitor.Page out =
        visitor.submit(
            visitor.get("/trays/19").form("/hand-over"),
            Map.of("mechanic", "workshop", meter(visitor.get("/trays/19")), "655"));
    assertThat(item().words()).contains("Besides 1 used, good.");

    FormElement back = out.form("/back");
    String off = back.select("select[name^=off-]").attr("name");
    String pieces = off.replace("off-", "off-pieces-");
    Visitor.Page refused = visitor.submit(back, Map.of(off, "used", pieces, "3"));
    assertThat(refused.words()).contains("Kept are 3; allowed are whole ones, up to 1");
    assertThat(refused.document().select("[name=" + pieces + "]").val()).isEqualTo("3");
    Visitor.Page done =
        visitor.submit(refused.form("/back"), Map.of(off, "recondition", pieces, "1"));
    assertThat(done.words()).contains("back from workshop");
    assertThat(item().words()).contains("Besides 1 used, good; 1 to recondition.");
    assertThat(item().words()).contains("salvage").contains("came off: Spark plug");
    assertThat(visitor.get("/trays/19/report.txt").response().body())
        .contains("Spark plug, 14 mm, small, used, good, lot PW-3");
    assertThat(SERVER.isSound()).isTrue();
  }

  private static String meter(Visitor.Page page) {
    return page.document().select("#hand-over [name^=meter-]").attr("name");
  }

  /** Kept at the counter, cleaned for 2.00, and issued as what it is. */
  @Test
  void atTheCounter() {
    String foam = "/items/" + SERVER.itemId("OS 330");
    Map<String, String> typed =
        Map.of("quantity", "1", "condition", "recondition", "from", "AT-3", "reason", "dusty");
    Visitor.Page kept = visitor.submit(visitor.get(foam).form("/keep"), typed);
    assertThat(kept.words()).contains("Besides 2 to recondition.");
    FormElement wash =
        (FormElement) kept.document().select("form[action$=/condition]:contains(AT-3)").first();
    Visitor.Page washed =
        visitor.submit(
            wash,
            Map.of("quantity", "1", "condition", "used", "cost", "2", "reason", "washed, oiled"));
    assertThat(washed.words()).contains("Besides 1 used, good; 1 to recondition.");
    assertThat(washed.words()).contains("reconditioned");
    Visitor.Page issued =
        visitor.submit(
            washed.form("/issue"), Map.of("quantity", "1", "reason", "yard", "used", "yes"));
    assertThat(issued.words()).contains("Besides 1 to recondition.");
    Visitor.Page nothing =
        visitor.submit(visitor.get(foam).form("/keep"), Map.of("quantity", "1", "from", "AT-3"));
    assertThat(nothing.words())
        .contains("Choose whether it is used, good, or to recondition.")
        .contains("Nothing was changed.");
    // what took up oil is waste, so the page does not even ask
    Visitor.Page filter = visitor.get("/items/" + SERVER.itemId("RV 2210-4"));
    assertThat(filter.hasForm("/keep")).isFalse();
    assertThat(SERVER.isSound()).isTrue();
  }
}
