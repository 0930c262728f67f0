package dev.lonja.app.spec;

import static org.assertj.core.api.Assertions.assertThat;

import dev.lonja.app.server.LonjaServer;
import dev.lonja.app.server.Visitor;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** The matrix, products, specs, the year and packs of the demo store. */
class OilsPagesTest {

  @RegisterExtension static final LonjaServer SERVER = LonjaServer.withDemo();

  private final Visitor visitor = SERVER.signedInAs("storekeeper");

  private Visitor.Page cell(String kind, String place, String product) {
    Visitor.Page matrix = visitor.get("/oils?kind=" + kind);
    return visitor.get(
        matrix
            .document()
            .select("a.verdict[aria-label^=" + product + " in " + place + "]")
            .attr("href"));
  }

  /** Every trap of the harbour's oils, each with its verdict and the reason that names it. */
  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "engine_oil|Engine sump, Corvane T7, 4.2|Faro|listed|carries CV 41.2, listed",
        "engine_oil|Engine sump, Corvane T7, 4.2|Sereno|sign-off|carries CV 4.12, the spec wants"
            + " CV 41.2: near is not the same",
        "engine_oil|Port engine sump|Sereno|sign-off|carries VK-250, the spec wants VK-205",
        "engine_oil|Engine sump, Tessaly|Sereno|sign-off|its ash is not known",
        "engine_oil|Engine sump, Tessaly|Grua|seasonal|10W-40 is too thin for the heat of Jul to"
            + " Aug",
        "engine_oil|Engine sump, Quillon|Faro|no|ash 1.45 %, allowed is at most 0.8 %",
        "engine_oil|Engine sump, Quillon|Brisa|listed|carries QN 30-1, listed",
        "engine_oil|Engine and clutch|Rola|no|holds a friction modifier, which is not allowed",
        "engine_oil|Engine and clutch|Grua|no|JASO MA is not claimed",
        "engine_oil|Engine and clutch|Duna|meets|meets API SL by API SN",
        "gear_oil|Gearbox|Nasa EP|no|lacks API GL-4",
        "gear_oil|Rear drive|Nasa EP|meets|meets API GL-5",
        "hydraulic_oil|Hydraulic tank, Osprel|Cabo|no|not readily biodegradable",
        "hydraulic_oil|Hydraulic tank, Osprel|Verde|meets|meets ISO 6743-4 HEES",
        "brake_fluid|Brake circuit|Freno|meets|meets DOT 4 by DOT 5.1",
        "coolant|Cooling circuit|Ria|meets|neither class nor approval is demanded",
        // one edit from BR-H3, and only said to be suitable: neither helps
        "hydraulic_oil|Hydraulic tank, Brannoch|Verde|no|carries BR-H8, the spec wants BR-H3",
      })
  void theTrapsOfTheHarbour(
      String kind, String place, String product, String verdict, String reason) {
    assertThat(cell(kind, place, product).text("#reasons")).contains(verdict, reason);
  }

  /** Each no says what would do instead from the shelf. */
  @Test
  void aNoNamesWhatWouldDo() {
    assertThat(cell("gear_oil", "Gearbox", "Nasa EP").text("#reasons"))
        .contains("From the shelf instead: Orvane Nasa Sincro meets it, 20.00 L in D-05.");
  }

  @Test
  void theMatrixIsFilteredByClassAndShelf() {
    Visitor.Page vans = visitor.get("/oils?kind=engine_oil&class=VN");
    assertThat(vans.document().select(".matrix tbody tr")).hasSize(1);
    assertThat(vans.text(".matrix tbody")).contains("Quillon 230");
    Visitor.Page shelf = visitor.get("/oils?kind=engine_oil&shelf=true");
    assertThat(shelf.text(".matrix thead")).contains("Faro").doesNotContain("none here");
    assertThat(visitor.get("/oils?kind=exhaust_fluid").words())
        .contains("No machine here takes such a fluid.");
  }

  @Test
  void aSpecIsJudgedForMonthsAndPlaces() {
    String spec =
        visitor
            .get("/oils?kind=engine_oil")
            .document()
            .select(".matrix th a:contains(Engine sump)")
            .stream()
            .filter(a -> a.parent().text().contains("Tessaly"))
            .findFirst()
            .orElseThrow()
            .attr("href");
    Visitor.Page year = visitor.get(spec);
    assertThat(year.words())
        .contains("Sundrel Grua may be used from Sep to Jun. Change over to another by 1 Jul.");
    assertThat(visitor.get(spec + "?from=10&to=3").text(".fits li:contains(Grua)"))
        .startsWith("meets");
    assertThat(visitor.get(spec + "?low=-25&high=-18").text(".fits li:contains(Faro)"))
        .startsWith("no")
        .contains("15W-40 is too thick for the cold here");
    assertThat(visitor.get(spec + "?low=5&high=-5").words())
        .contains("The place runs from 5 to -5 °C; write the lower first.");
    assertThat(visitor.get(spec + "?from=13&to=2").words()).contains("The month is \"13\"");
    assertThat(visitor.get("/oils/specs/99999").status()).isEqualTo(404);
  }

  /** A grade that is none, ranges that lie over each other or are upside down, an unknown class. */
  @Test
  void aWrongSpecIsRefusedAndKept() {
    Visitor.Page form = visitor.get("/oils/specs/1/edit");
    Visitor.Page refused =
        visitor.submit(
            form.form("/oils/specs/1"),
            Map.ofEntries(
                Map.entry("grade-1", "10W-40"),
                Map.entry("low-1", "-25"),
                Map.entry("high-1", "20"),
                Map.entry("grade-2", "10W-40"),
                Map.entry("low-2", "20"),
                Map.entry("high-2", "40"),
                Map.entry("grade-3", "15W-41"),
                Map.entry("grade-4", "15W-40"),
                Map.entry("low-4", "40"),
                Map.entry("high-4", "-15"),
                Map.entry("classes", "API CI-4, API ZZ-9")));
    assertThat(refused.words())
        .contains(
            "Two ranges of 10W-40 lie over each other",
            "\"15W-41\" is not a grade of engine oil",
            "The range of 15W-40 runs from 40 °C to −15 °C; the first must not be the higher.",
            "\"API ZZ-9\" is not a class that is known");
    assertThat(refused.document().select("#grade-3").attr("value")).isEqualTo("15W-41");
    assertThat(visitor.get("/oils/specs/1").words()).doesNotContain("15W-41");
  }

  @Test
  void aSpecIsSavedAndItsEffectIsTold() {
    String path = "/oils/specs/" + specOf("Engine sump", "Osprel H30");
    Visitor.Page form = visitor.get(path + "/edit");
    assertThat(form.text("#effect")).contains("Met by 2 products, 2 on the shelf.");
    Map<String, String> fields = Visitor.filled(form.form(path), Map.of("ash", "1.4"));
    assertThat(visitor.post(path + "/effect", fields).words())
        .contains("No product meets it without a signature.");
    Visitor.Page saved =
        visitor.submit(
            form.form(path), Map.of("ash", "1.5", "classes", "API CI-4\nACEA E7, API CH-4"));
    assertThat(saved.words())
        .contains("API CI-4 or ACEA E7 and API CH-4", "ash at most 1.5 %")
        .contains("Met by 1 product, 1 on the shelf.");
    // the form was shown before the edit: it does not overwrite it
    assertThat(
            visitor.submit(visitor.get(path + "/edit").form(path), Map.of("version", "0")).words())
        .contains("Someone else changed this meanwhile.");
    assertThat(SERVER.isSound()).isTrue();
  }

  private String specOf(String compartment, String machine) {
    return visitor
        .get("/oils/products/1")
        .document()
        .select("a:contains(" + compartment + ", " + machine + ")")
        .attr("href")
        .replace("/oils/specs/", "");
  }

  @Test
  void aProductIsAddedWithWhatItsLabelClaims() {
    Visitor.Page form = visitor.get("/oils/products/new");
    assertThat(visitor.submit(form.form("/oils/products/new"), Map.of("name", "Alba")).words())
        .contains("The make is missing.", "Choose what the fluid is for.");
    Map<String, String> typed =
        Map.of(
            "make", "Orvane",
            "name", "Alba",
            "kind", "ENGINE_OIL",
            "grade", "10W-40",
            "classes", "API SP; MA2",
            "listed", "VK-205",
            "suitable", "VK 205, CV 41.2",
            "ash", "0.9",
            "hazard-hot-oil", "yes");
    assertThat(
            visitor
                .submit(
                    form.form("/oils/products/new"),
                    Map.of(
                        "make", "Orvane",
                        "name", "Alba",
                        "kind", "ENGINE_OIL",
                        "grade", "VG 46",
                        "ash", "-1"))
                .words())
        .contains("\"VG 46\" is not a grade of engine fluids", "allowed is 0 to 100.");
    Visitor.Page saved = visitor.submit(form.form("/oils/products/new"), typed);
    assertThat(saved.words())
        .contains("Orvane Alba", "VK-205, listed", "CV 41.2, only said to be suitable")
        .contains("Not understood: MA2", "Hot oil.", "API SN", "No pack of it is stocked");
    assertThat(
            visitor
                .submit(visitor.get("/oils/products/new").form("/oils/products/new"), typed)
                .words())
        .contains("There is Orvane Alba already.");
  }

  @Test
  void anEditThatMetAnotherIsNotLost() {
    Visitor.Page form = visitor.get("/oils/products/2/edit");
    visitor.submit(visitor.get("/oils/products/2/edit").form("/oils/products/2"), Map.of());
    Visitor.Page refused =
        visitor.submit(form.form("/oils/products/2"), Map.of("name", "Brisa Nova"));
    assertThat(refused.words()).contains("Someone else changed this meanwhile.");
    assertThat(refused.document().select("#name").attr("value")).isEqualTo("Brisa Nova");
  }

  @Test
  void theYearIsSetWholeOrNotAtAll() {
    Visitor.Page year = visitor.get("/oils/year");
    assertThat(year.words()).contains("Sep to Jun", "change over by 1 Jul");
    Visitor.Page refused =
        visitor.submit(year.form("/oils/year"), Map.of("low-7", "40", "high-1", "warm"));
    assertThat(refused.words())
        .contains("July runs from 40 °C to 36 °C; the lowest must not be above the highest.")
        .contains("\"warm\" is not a number");
    Visitor.Page set = visitor.submit(year.form("/oils/year"), Map.of("high-7", "35"));
    assertThat(set.text("table")).contains("Sep to Jul", "change over by 1 Aug");
    visitor.submit(set.form("/oils/year"), Map.of("high-7", "36"));
  }

  /** A phone lists the products of a machine, what may go in first. */
  @Test
  void onAPhoneTheMatrixOpensByMachine() {
    Visitor.Page oils = visitor.get("/oils");
    List<String> states =
        oils.document().select("details:contains(Lintrel Duo 700) li .state").eachText();
    assertThat(states).hasSize(oils.document().select(".matrix th.product").size());
    assertThat(states.get(0)).endsWith("meets");
    assertThat(states.subList(1, states.size())).allSatisfy(s -> assertThat(s).endsWith("no"));
  }

  /** It begins with the fluids that run short, each with what is lacking filled in. */
  @Test
  void packsBeginWithWhatRunsShort() {
    Visitor.Page packs = visitor.get("/oils/packs");
    String path = packs.document().select("a:contains(Sundrel Grua):contains(12 Apr)").attr("href");
    assertThat(path).contains("by=2027-04-12");
    assertThat(visitor.get(path).words()).contains("To buy", "Off the shelf");
    assertThat(visitor.get(path).words()).doesNotContain("What runs short");
  }

  /** 6.6 L of Faro, of which much is used: the open drum serves; to buy, the drum is cheapest. */
  @Test
  void packsAreWorkedOut() {
    Visitor.Page packs = visitor.get("/oils/packs?product=1&litres=6.6");
    assertThat(packs.words()).contains("the open", "(FA 15-205)", "stays open until", "Next best");
    assertThat(visitor.get("/oils/packs?product=1&litres=0").words())
        .contains("The need in litres is 0; allowed is more than 0");
    assertThat(visitor.get("/oils/packs?product=999&litres=5").words())
        .contains("There is no product \"999\".");
    assertThat(visitor.get("/oils/packs?product=15&litres=40").words())
        .contains("What is free on the shelf does not cover it.");
    assertThat(visitor.get("/oils/packs?product=1&litres=5&by=soon").words())
        .contains("\"soon\" is not a date.");
  }

  /** A stand holds one product: hydraulic oil is not received where engine oil stands. */
  @Test
  void aDrumIsNotReceivedOntoAnothersStand() {
    Map<String, String> drum =
        Map.of(
            "quantity", "205", "lot", "NEW-1", "bin", "T-5", "cost", "574", "reason", "delivery");
    visitor.submit(visitor.get("/items/" + SERVER.itemId("CB 46-205")).form("/receive"), drum);
    Visitor.Page other = visitor.get("/items/" + SERVER.itemId("FA 15-205"));
    assertThat(visitor.submit(other.form("/receive"), drum).words())
        .contains("T-5 holds Sundrel Cabo, and a stand holds one product.");
  }

  @Test
  void onlyTheStoreEdits() {
    Visitor workshop = SERVER.signedInAs("workshop");
    assertThat(workshop.get("/oils").status()).isEqualTo(403);
    Map<String, String> form =
        Visitor.filled(visitor.get("/oils/year").form("/oils/year"), Map.of("high-7", "35"));
    assertThat(workshop.post("/oils/year", form).status()).isEqualTo(403);
    assertThat(workshop.get("/oils/studies").status()).isEqualTo(403);
  }
}
