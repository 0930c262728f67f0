package dev.lonja.app.crossref;

import static org.assertj.core.api.Assertions.assertThat;

import dev.lonja.app.server.LonjaServer;
import dev.lonja.app.server.Visitor;
import dev.lonja.core.fleet.PositionId;
import dev.lonja.core.machine.ShelfFacts;
import dev.lonja.core.part.PartId;
import dev.lonja.core.part.PartKey;
import org.jsoup.nodes.Element;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Every trap of the demo store has its verdict and a reason. */
class WhatFitsTest {

  @RegisterExtension static final LonjaServer SERVER = LonjaServer.forReading();

  private final Visitor visitor = SERVER.signedInAs("storekeeper");

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        // the twin of another maker, tried here
        "PL 4107-B | RV 1160-7 | fits | fitted and confirmed here",
        // the machine maker's own box, which brings the washer
        "PL 4107-B | CV 6-3310 | fits | Its box also brings 1 × Cu 14×18×1.5",
        // the house label, of which little is measured
        "PL 4107-B | CN 500 | check | not verified: gasket outside, gasket inside, bypass opens at",
        // the look-alike
        "PL 4107-B | PL 4107-S | does not fit | never: bypass opens at 2.5 bar: the engine starves",
        // no anti-drain valve
        "PL 4107-B | NT 20 600 | does not fit | anti-drain valve no instead of yes",
        // an inch thread that passes for a metric one
        "PL 4107-B | RV 1204-3 | does not fit | thread 3/4-16 UN instead of M20×1.5",
        // longer, a stopgap
        "PL 4107-B | TM-3312 | stopgap | height 121 mm instead of 93 mm",
        // a number nobody knows more of
        "PL 4107-B | TM-3300 | check | its kind is not known",
        // a fuel filter without the separator
        "PL 88-F4 | NT 41 030 | does not fit | water separator no instead of yes",
        "RV 8801-C | QN 77-310 | check | carbon no instead of yes",
        "TW 5-011 | OS 5011 | check | pre-cleaner no instead of yes",
        "RV 5104 | TM-7002 | does not fit | height 49 mm instead of 46 mm",
        "QN 11-204 | DP M14 S | does not fit | length under the head 12 mm instead of 16.5 mm",
        "QN 11-204 | CV 2-0014 | check | magnet yes instead of no",
        "OR 68×3 NBR | OR 68×3 EPDM | check | not verified: rubber",
        "Cu 14×18×1.5 | Al 14×18×1.5 | does not fit | material aluminium instead of copper",
        "VM 22-1000 | VM 22-1010 | check | not verified",
        "OS 212 | PL 3-06 | fits | filter maker's catalogue"
      })
  void aTrap(String asked, String offered, String verdict, String reason) {
    Element row = row(visitor.get("/parts/" + part(asked)), offered);
    assertThat(row.select(".verdict-cell .state").text()).isEqualTo(verdict);
    assertThat(row.text()).contains(reason);
  }

  /** Superseded twice: the old numbers lead to the new one, never back. */
  @Test
  void aSupersessionLeadsOneWay() {
    assertThat(visitor.get("/find?q=VM+22-1000").words()).contains("VM 22-1005", "VM 22-1010");
    Visitor.Page now = visitor.get("/parts/" + part("VM 22-1010"));
    assertThat(now.document().select(".fits li:contains(VM 22-1005)")).isEmpty();
    Visitor.Page old = visitor.get("/items/" + SERVER.itemId("VM 22-1005"));
    assertThat(old.words()).contains("Running out", "Replaced by VM 22-1010");
  }

  /** The place has a say: a drain point that allows aluminium, and one with 110 mm of room. */
  @Test
  void thePositionCounts() {
    Visitor.Page seal = fits("RT-01 sump plug seal");
    assertThat(row(seal, "Al 14×18×1.5").select(".verdict-cell .state").text()).isEqualTo("check");
    assertThat(row(seal, "Fb 14×18×1.5").text())
        .contains("does not fit", "material fibre, here copper or aluminium");
    Visitor.Page filter = fits("what fits RT-01, oil filter, upright");
    assertThat(filter.path()).startsWith("/find");
    filter = visitor.get("/fleet/RT-01/fits/" + positionOf("RT-01", "Oil filter"));
    assertThat(filter.words()).contains("at most 110 mm high");
    assertThat(row(filter, "TM-3312").text()).contains("does not fit", "room here for 110 mm");
  }

  /** On RT-01 the cold unit's filter hangs sideways, so a valve is needed, whoever makes it. */
  @Test
  void aFilterThatHangsSidewaysNeedsTheValve() {
    Visitor.Page page =
        visitor.get("/fleet/RT-01/fits/" + positionOf("RT-01", "Cold unit oil filter"));
    assertThat(page.words()).contains("needs an anti-drain valve", "OS 107");
  }

  @Test
  void twoPartsAreDrawnAndHeldAgainstEachOther() {
    Visitor.Page page =
        visitor.get("/find/compare?asked=" + part("PL 4107-B") + "&offered=" + part("TM-3312"));
    assertThat(page.document().select("svg").text()).contains("▲ height 121 mm", "outside 76 mm");
    assertThat(page.document().select("tr:contains(height)").text())
        .contains("93 mm", "121 mm", "within 2 mm", "differs");
    byte[] pdf =
        visitor.bytes(
            "/find/compare.pdf?asked=" + part("PL 4107-B") + "&offered=" + part("TM-3312"));
    assertThat(new String(pdf, 0, 4, java.nio.charset.StandardCharsets.US_ASCII)).isEqualTo("%PDF");
    assertThat(visitor.get("/find/compare?asked=1&offered=999999").status()).isEqualTo(404);
  }

  /** Every number of the map leads on, and the table says the same. */
  @Test
  void theMapAndItsTableSayTheSame() {
    Visitor.Page map = visitor.get("/parts/" + part("PL 4107-B") + "/map");
    assertThat(map.document().select("svg a").eachAttr("aria-label"))
        .anySatisfy(label -> assertThat(label).matches("Pellam PL 4107-B, [0-9]+ free"))
        .anySatisfy(
            label -> assertThat(label).matches("Pellam PL 4107-S, [0-9]+ free, does not fit"))
        .contains("Tamisco TM-3300, not stocked, check");
    assertThat(map.document().select("svg").text()).contains("✕ never", "stands in");
    assertThat(map.document().select("tbody tr:contains(never for)").text())
        .contains("PL 4107-S", "bypass opens at 2.5 bar");
  }

  /** A squeezed washer, in millimetres and in inches: 14.3 mm is 9/16 in = 14.2875 mm. */
  @ParameterizedTest
  @CsvSource({"14.3", "9/16 in"})
  void aWasherIsFoundByMeasuring(String inside) {
    Visitor.Page page =
        visitor.get(
            "/find/measure?what=washer&washer-id="
                + inside.replace(" ", "+")
                + "&washer-od=17.6&washer-thickness=1.4");
    assertThat(page.document().select("tbody tr").first().text())
        .contains("Al 14×18×1.5", "thickness 0.1 mm less");
    assertThat(page.words()).contains("Cu 14×18×1.5").doesNotContain("CuF 14×18×2");
  }

  @ParameterizedTest
  @CsvSource({"-14", "'14,300'", "wide", "0"})
  void aReadingThatIsNoneStaysInItsField(String reading) {
    Visitor.Page page = visitor.get("/find/measure?what=washer&washer-id=" + reading);
    assertThat(page.words()).contains("Inside is \"" + reading + "\"; allowed is millimetres");
    assertThat(page.document().select("#washer-id").val()).isEqualTo(reading);
  }

  @Test
  void aPlugIsFoundByThreadPitchAndLength() {
    Visitor.Page page =
        visitor.get("/find/measure?what=plug&plug-diameter=13.9&plug-pitch=1.5&plug-length=17");
    assertThat(page.document().select("tbody tr").eachText())
        .hasSize(2)
        .first()
        .asString()
        .contains("QN 11-204");
    assertThat(visitor.get("/find/measure?what=plug&plug-pitch=16&plug-diameter=13.9").words())
        .contains("Nothing on file measures so.");
  }

  private Visitor.Page fits(String query) {
    return visitor.get("/find?q=" + query.replace(" ", "+"));
  }

  private static Element row(Visitor.Page page, String number) {
    return page.document().select(".fits > li").stream()
        .filter(row -> row.select(".plate-number").text().equals(number))
        .findFirst()
        .orElseThrow(() -> new AssertionError("no " + number + " on " + page.path()));
  }

  static PartId part(String number) {
    return SERVER
        .store()
        .<PartId>read(
            session -> session.parts().byKey(PartKey.of(number).orElseThrow(), 9).get(0).id());
  }

  private static PositionId positionOf(String unit, String name) {
    return SERVER
        .store()
        .<PositionId>read(
            session ->
                session
                    .fleet()
                    .needs(ShelfFacts.NONE)
                    .get(session.fleet().unitByCode(unit).orElseThrow().variant().id())
                    .positions()
                    .stream()
                    .filter(position -> position.name().equals(name))
                    .findFirst()
                    .orElseThrow()
                    .id());
  }
}
