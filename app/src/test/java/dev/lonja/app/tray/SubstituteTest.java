package dev.lonja.app.tray;

import static org.assertj.core.api.Assertions.assertThat;

import dev.lonja.app.server.LonjaServer;
import dev.lonja.app.server.Visitor;
import dev.lonja.core.place.Place;
import dev.lonja.core.place.SatelliteId;
import dev.lonja.core.tray.TrayId;
import java.util.HashMap;
import java.util.Map;
import org.jsoup.nodes.Element;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;

/** Something else on a tray, from the choice to what the job says of it. */
class SubstituteTest {

  @RegisterExtension static final LonjaServer SERVER = LonjaServer.withDemo();

  private final Visitor visitor = SERVER.signedInAs("storekeeper");

  private Visitor.Page tray(String unit) {
    return visitor.get(
        visitor.get("/").document().select("a.tray-block:contains(" + unit + ")").attr("href"));
  }

  private Visitor.Page choices(Visitor.Page tray, String number) {
    Element line = tray.document().select(".lines > li:contains(" + number + ")").first();
    if (line.hasClass("is-laid")) {
      tray = visitor.submit((org.jsoup.nodes.FormElement) line.select("form").first(), Map.of());
      line = tray.document().select(".lines > li:contains(" + number + ")").first();
    }
    return visitor.get(line.select("a[href$=/instead]").attr("href"));
  }

  private Visitor.Page lay(Visitor.Page choices, String number, String reason) {
    return visitor.submit(
        choices.form("/instead"),
        Map.of("itemId", String.valueOf(SERVER.itemId(number)), "reason", reason));
  }

  /**
   * NT 20 611 brings the sump's washer in its box. PL 3408-B does not, so the tray gains the
   * washer; when NT 20 611 is put back the washer goes again. What fitted becomes a statement.
   */
  @Test
  void theMissingWasherComesByItselfAndWhatFittedIsConfirmed() {
    Visitor.Page tray = tray("FL-2");
    assertThat(tray.document().select(".lines > li:contains(Cu 18×22×1.5)")).isEmpty();
    Visitor.Page choices = choices(tray, "NT 20 611");
    assertThat(choices.words()).contains("PL 3408-B", "Its box lacks 1 × Cu 18×22×1.5");

    assertThat(lay(choices, "PL 3408-B", " ").words()).contains("The reason is missing.");
    assertThat(lay(choices, "RV 1204-3", "out").words())
        .contains("RV 1204-3 does not fit here: gasket outside 72 mm instead of 71 mm");
    assertThat(lay(choices, "HC 12-16", "out").words()).contains("Nobody has said that");

    Visitor.Page laid = lay(choices, "PL 3408-B", "NT 20 611 is kept for FL-3");
    assertThat(laid.document().select(".lines > li:contains(PL 3408-B)").text())
        .contains("instead of NT 20 611 NT 20 611 is kept for FL-3");
    assertThat(laid.document().select(".lines > li:contains(Cu 18×22×1.5)").text())
        .contains("Sump plug seal. Came in the box of NT 20 611; this box lacks it.");

    Visitor.Page back = choices(laid, "PL 3408-B");
    Visitor.Page original = lay(back, "NT 20 611", "");
    assertThat(original.document().select(".lines > li:contains(Cu 18×22×1.5)")).isEmpty();
    assertThat(original.words()).doesNotContain("instead of");

    lay(choices(original, "NT 20 611"), "PL 3408-B", "NT 20 611 is kept for FL-3");
    Visitor.Page out = handOver(laid.path());
    String fitted = out.document().select("[name^=fitted-]").attr("name");
    String air = out.document().select("#back label:contains(Inspect air filter)").attr("for");
    Visitor.Page wrong = visitor.submit(out.form("/back"), Map.of(fitted, "wrong", air, "sound"));
    assertThat(wrong.words()).contains("Why PL 3408-B did not fit is missing.");
    Visitor.Page noted = visitor.submit(out.form("/back"), Map.of(fitted, "fitted", air, "sound"));
    Visitor.Page part = visitor.get("/find?q=NT+20+611");
    assertThat(part.document().select(".fits li:contains(PL 3408-B)").text())
        .contains("fits", "0.99", "fitted and confirmed here, 15 Mar, 0.99");
    // said once, however often it is noted
    Visitor.Page again =
        visitor.submit(noted.form("/out-again"), Map.of("reason", "the litres are missing"));
    visitor.submit(again.form("/back"), Map.of(fitted, "fitted", air, "sound"));
    assertThat(SERVER.isSound()).isTrue();
  }

  /**
   * PL 3408-B is in the hand and not on FL-3's tray: its line is offered at once. RV 1204-3 has
   * been said to fit and does not; a number that two makes print is asked about.
   */
  @Test
  void whatIsScannedInsteadIsJudgedLikeWhatIsChosen() {
    Visitor.Page tray = tray("FL-3");
    Element line = tray.document().select(".lines > li:contains(NT 20 611)").first();
    if (line.hasClass("is-laid")) {
      visitor.submit((org.jsoup.nodes.FormElement) line.select("form").first(), Map.of());
    }
    Visitor.Page offer = scan(tray, "PL 3408-B");
    assertThat(offer.path()).contains("/instead?offered=");
    assertThat(offer.words()).contains("What you scanned is not asked for", "PL 3408-B");
    assertThat(offer.document().select(".fits > li")).hasSize(1);
    assertThat(scan(tray, "RV 1204-3").words())
        .contains("RV 1204-3 is not on this tray and does not fit Oil filter: gasket outside");
    Visitor.Page laid =
        visitor.submit(
            offer.form("/instead"),
            Map.of("itemId", String.valueOf(SERVER.itemId("PL 3408-B")), "reason", "was at hand"));
    assertThat(laid.document().select(".lines > li:contains(PL 3408-B)").text())
        .contains("instead of", "was at hand");
  }

  private Visitor.Page scan(Visitor.Page tray, String code) {
    return visitor.submit(visitor.get(tray.path()).form("/scan"), Map.of("code", code));
  }

  private Visitor.Page handOver(String path) {
    Visitor.Page tray = visitor.get(path);
    for (int i = 0;
        i < 20 && tray.document().select("button.tick[aria-pressed=false]").size() > 0;
        i++) {
      tray =
          visitor.submit(
              (org.jsoup.nodes.FormElement)
                  tray.document().select("button.tick[aria-pressed=false]").first().closest("form"),
              Map.of());
    }
    Map<String, String> hands = new HashMap<>();
    hands.put("mechanic", "workshop");
    for (Element meter : tray.document().select("[name^=meter-]")) {
      hands.put(meter.attr("name"), meter.attr("placeholder").replaceAll("[^0-9.]", ""));
    }
    return visitor.submit(tray.form("/hand-over"), hands);
  }

  /** On the van the maker's cartridge brings the cover's O-ring, so that line is dropped. */
  @Test
  void whatTheBoxBringsIsDropped() {
    Visitor.Page tray = tray("VN-2");
    assertThat(tray.document().select(".lines > li:contains(OR 68×3 NBR)")).hasSize(1);
    Visitor.Page choices = choices(tray, "RV 1180-2");
    assertThat(choices.words()).contains("Its box also brings 1 × OR 68×3 NBR");
    Visitor.Page laid = lay(choices, "QN 11-300", "the maker's box, under warranty");
    assertThat(laid.document().select(".lines > li:contains(OR 68×3 NBR)")).isEmpty();
  }

  /** RV 2210-4 is out; what fits and lies there is named on the tray and on Today. */
  @Test
  void whatIsShortNamesWhatFits() {
    String words = "PL 88-F4 fits, 3 on shelf C-07.";
    assertThat(tray("RT-04").document().select(".lines > li:contains(RV 2210-4)").text())
        .contains("1 short", words);
    assertThat(visitor.get("/").words()).contains("Fuel filter: 1 short, wanted Thu 18. " + words);
  }

  /** Laid at the Boatyard Cage the same tray lacks what fits, too: C-07 is at the Quay Store. */
  @Test
  void whatFitsElsewhereIsNotNamedHere() {
    TrayId id = TrayId.valueOf(tray("RT-04").path().substring("/trays/".length()));
    layAt(id, Place.of(new SatelliteId(1)));
    assertThat(visitor.get("/trays/" + id).document().select(".lines > li:contains(RV 2210-4)"))
        .singleElement()
        .satisfies(
            line -> assertThat(line.text()).contains("1 short").doesNotContain("PL 88-F4 fits"));
    layAt(id, Place.MAIN);
  }

  private static void layAt(TrayId tray, Place place) {
    SERVER
        .store()
        .write(
            session -> {
              session.trays().setPlace(tray, place);
              return true;
            });
  }

  /** A scanner reads the barcode where the number is oily. */
  @Test
  void aBarcodeLaysToo() {
    Visitor.Page tray = tray("RT-02");
    Element line = tray.document().select(".lines > li:contains(PL 4107-B)").first();
    visitor.submit((org.jsoup.nodes.FormElement) line.select("form").first(), Map.of());
    Visitor.Page laid =
        visitor.submit(visitor.get(tray.path()).form("/scan"), Map.of("code", "7302214107024"));
    assertThat(laid.document().select(".lines > li.is-laid:contains(PL 4107-B)")).hasSize(1);
  }
}
