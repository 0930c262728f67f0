package dev.lonja.app.wanted;

import static org.assertj.core.api.Assertions.assertThat;

import dev.lonja.app.server.LonjaServer;
import dev.lonja.app.server.Visitor;
import java.util.Map;
import org.jsoup.nodes.FormElement;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;

/** Findings, wanted parts and trays that nobody planned, over HTTP. */
class WantedPagesTest {

  @RegisterExtension static final LonjaServer SERVER = LonjaServer.withDemo();

  private final Visitor visitor = SERVER.signedInAs("storekeeper");

  private static FormElement form(Visitor.Page page, String row, String action) {
    return (FormElement)
        page.document().selectFirst("li:contains(" + row + ") form[action$=" + action + "]");
  }

  /** Found by the workshop, watched by the store, shown on the unit and on Today, closed. */
  @Test
  void aFindingLivesUntilItIsClosed() {
    Visitor workshop = SERVER.signedInAs("workshop");
    Visitor.Page noted =
        workshop.submit(
            workshop.get("/wanted?of=RT-06").form("/wanted/findings"),
            Map.of("words", "mirror bracket loose"));
    assertThat(noted.path()).isEqualTo("/wanted?of=RT-06");
    assertThat(noted.hasForm("/watch")).as("the store says what becomes of it").isFalse();
    assertThat(visitor.get("/").words()).contains("RT-06: mirror bracket loose");
    Visitor.Page page = visitor.get("/wanted");
    Visitor.Page wrong = visitor.submit(form(page, "mirror bracket", "/watch"), Map.of("why", " "));
    assertThat(wrong.words()).contains("The reason is missing.");
    Visitor.Page watched =
        visitor.submit(
            form(wrong, "mirror bracket", "/watch"), Map.of("why", "looked at each wash"));
    assertThat(watched.document().select("li:contains(mirror bracket)").text())
        .contains("watched", "looked at each wash");
    assertThat(visitor.get("/").words()).doesNotContain("mirror bracket loose");
    assertThat(visitor.get("/fleet/RT-06").words()).contains("mirror bracket loose");
    visitor.submit(
        form(watched, "mirror bracket", "/close"), Map.of("why", "tightened and painted"));
    assertThat(visitor.get("/wanted").words()).doesNotContain("mirror bracket");
    assertThat(visitor.get("/wanted?of=RT-06").words())
        .contains("mirror bracket loose", "closed", "tightened and painted");
  }

  /** Asked for by the workshop, ahead of everything planned, brought by a tray of its own. */
  @Test
  void aWantedPartComesWithTheMachinesTray() {
    Visitor workshop = SERVER.signedInAs("workshop");
    Visitor.Page unknown =
        workshop.submit(
            workshop.get("/wanted?of=RT-06").form("/wanted"),
            Map.of("code", "XX 1", "quantity", "2", "why", "clip torn off"));
    assertThat(unknown.words()).contains("No item has the number \"XX 1\".");
    assertThat(unknown.document().select("#ask-why").val()).isEqualTo("clip torn off");
    workshop.submit(unknown.form("/wanted"), Map.of("code", "hc 16-25"));
    String item = SERVER.itemId("HC 16-25").toString();
    assertThat(visitor.get("/ahead/" + item).words())
        .contains("wanted part", "workshop asked for it: clip torn off");
    Visitor.Page asks = visitor.get("/trays/new?unit=RT-06&purpose=breakdown");
    Visitor.Page tray =
        visitor.submit(asks.form("/trays/new"), Map.of("title", "hydraulic hose burst"));
    assertThat(tray.text(".title")).contains("RT-06", "hydraulic hose burst");
    assertThat(tray.document().select(".lines li").text())
        .contains("HC 16-25", "workshop asked for it: clip torn off");
    assertThat(visitor.get("/wanted?of=RT-06").document().select(".rows li:contains(HC 16-25)"))
        .isEmpty();
    Visitor.Page cleared = visitor.submit(tray.form("/clear"), Map.of());
    assertThat(cleared.path()).isEqualTo("/trays");
    Visitor.Page again = visitor.get("/wanted?of=RT-06");
    assertThat(again.document().select(".rows li:contains(HC 16-25)").text()).contains("RT-06");
    visitor.submit(form(again, "HC 16-25", "/drop"), Map.of("why", "found one"));
    assertThat(visitor.get("/wanted?of=RT-06").document().select(".rows li:contains(HC 16-25)"))
        .isEmpty();
  }

  /** A fluid is asked for in the unit that people speak: 2 qt are 1.892706 L. */
  @Test
  void aFluidIsAskedForInQuarts() {
    Visitor.Page page = visitor.get("/wanted?of=RT-06");
    Visitor.Page wrong =
        visitor.submit(
            page.form("/wanted"), Map.of("code", "FA 15-205", "quantity", "2 yd", "why", "leak"));
    assertThat(wrong.words()).contains("The quantity is \"2 yd\"; it is counted in L");
    Visitor.Page asked = visitor.submit(wrong.form("/wanted"), Map.of("quantity", "2 qt"));
    assertThat(asked.document().select(".rows li:contains(FA 15-205)").text()).contains("1.89 L");
    visitor.submit(form(asked, "FA 15-205", "/drop"), Map.of("why", "not needed"));
  }

  @Test
  void aTrayThatNobodyPlannedIsForSomething() {
    Visitor.Page asks = visitor.get("/trays/new");
    Visitor.Page empty = visitor.submit(asks.form("/trays/new"), Map.of("day", "tomorrow"));
    assertThat(empty.words())
        .contains(
            "Choose what it is for.", "\"tomorrow\" is not a date.", "What it is for is missing.");
    Visitor.Page noUnit =
        visitor.submit(
            empty.form("/trays/new"),
            Map.of("purpose", "leak", "day", "2027-03-15", "title", "drips"));
    assertThat(noUnit.words()).contains("Say which unit it is for.");
    Visitor.Page supplies =
        visitor.submit(noUnit.form("/trays/new"), Map.of("purpose", "workshop supplies"));
    assertThat(supplies.text(".title")).contains("drips").doesNotContain("RT-");
    visitor.submit(
        visitor.get("/items/" + SERVER.itemId("HC 12-16")).form("/put-on"),
        Map.of("quantity", "2"));
    Visitor.Page laid = visitor.submit(visitor.get(supplies.path()).form("/lay"), Map.of());
    Visitor.Page out = visitor.submit(laid.form("/hand-over"), Map.of("mechanic", "workshop"));
    assertThat(out.text(".title")).contains("to workshop on 15 Mar");
    Visitor.Page back = visitor.submit(out.form("/back"), Map.of());
    assertThat(back.text(".title")).contains("back from workshop");
    assertThat(SERVER.isSound()).isTrue();
  }

  /** A filter for another machine is refused, a washer that is not known to fit asks for a word. */
  @Test
  void whatIsPutOnByKeyIsJudgedLikeWhatIsScanned() {
    Visitor.Page tray =
        visitor.submit(
            visitor.get("/trays/new?unit=RT-06&purpose=leak").form("/trays/new"),
            Map.of("title", "drips"));
    Visitor.Page refused =
        visitor.submit(
            visitor.get("/items/" + SERVER.itemId("OS 118")).form("/put-on"),
            Map.of("quantity", "1"));
    assertThat(refused.words()).contains("A filter goes only where it fits");
    Visitor.Page asked =
        visitor.submit(
            visitor.get("/items/" + SERVER.itemId("Cu 16×20×1.5")).form("/put-on"),
            Map.of("quantity", "3"));
    assertThat(asked.words()).contains("Say what it is for, and it is put on.");
    Visitor.Page put = visitor.submit(asked.form("/put-on"), Map.of("why", "for the wash pump"));
    assertThat(put.document().select(".lines li:contains(Cu 16×20×1.5)").text())
        .contains("for the wash pump", "3");
    visitor.submit(visitor.get(tray.path()).form("/clear"), Map.of());
  }
}
