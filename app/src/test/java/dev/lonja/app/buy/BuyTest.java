package dev.lonja.app.buy;

import static org.assertj.core.api.Assertions.assertThat;

import dev.lonja.app.server.LonjaServer;
import dev.lonja.app.server.Visitor;
import org.jsoup.nodes.Element;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.Timeout;
import org.junit.jupiter.api.extension.RegisterExtension;

/** What the demo's store has to order. */
@Timeout(120)
class BuyTest {

  @RegisterExtension static final LonjaServer SERVER = LonjaServer.forReading();

  private final Visitor visitor = SERVER.signedInAs("buyer");

  @BeforeEach
  void untilTheTrialsAreDrawn() {
    SERVER.waitForTrials();
  }

  /** What the Quay Store can spare goes to the Boatyard Cage before anything is bought. */
  @Test
  void aSatelliteIsFilledUpFirst() {
    Visitor.Page page = visitor.get("/buy");
    assertThat(page.words())
        .contains("Boatyard Cage is below its level of 4 things that Quay Store can spare.");
    assertThat(page.document().select("a:contains(Fill up first)").attr("href"))
        .isEqualTo("/stores/transfers");
  }

  /** Nothing of the cutting set is free and one is wanted before any can come: late. */
  @Test
  void whatIsLateSaysSoAndWhy() {
    Visitor.Page page = visitor.get("/buy");
    Element line = page.document().selectFirst("form li:contains(VM 40-0021)");
    assertThat(line.text())
        .contains("late", "0 free; ")
        .contains("will be lacking before an order of today is there")
        .contains("in 85 of 100 cases (convenience)");
    assertThat(Integer.parseInt(line.selectFirst("input.figure").val())).isPositive();
    assertThat(line.parents().is("form:contains(Veldmark Marine Parts)")).isTrue();
  }

  /** The bin of the washer is to hold 20 and 19 are free: one is wanted, and ten are a pack. */
  @Test
  void theLeastOfTheBinsIsTheFloorOfTheLevel() {
    Element line = visitor.get("/buy").document().selectFirst("form li:contains(Cu 14×18×1.5)");
    assertThat(line.text()).contains("19 free. The level is 20, the least that its bins are to");
    assertThat(line.selectFirst("input.figure").val()).isEqualTo("10");
  }

  /**
   * Nothing of the fuel filter is free and RT-04 wants one this week; but three of another number
   * are, which fits there. Of the oil filter 3 are to be there and 1 is: 2 of another make it up.
   */
  @Test
  void whatFitsEverywhereIsUsedUpBeforeAnythingIsOrdered() {
    Visitor.Page page = visitor.get("/buy");
    assertThat(page.document().select("form li:contains(RV 2210-4)")).isEmpty();
    assertThat(page.text("section:contains(used up first)"))
        .contains("RV 2210-43 of Pellam PL 88-F4, which fits wherever this goes, used up first.")
        .contains("PL 4112-B2 of Ravelin RV 1212-4, which fits wherever this goes");
  }

  @Test
  void whatIsDueAsATable() {
    String csv = visitor.ask("/buy.csv").response().body();
    assertThat(csv).startsWith("supplier,make,number,their_number,unit,free,level,quantity,");
    assertThat(csv.lines().filter(line -> line.contains("VM 40-0021")).findFirst().orElseThrow())
        .startsWith("Veldmark Marine Parts,Veldmark,VM 40-0021,")
        .endsWith(",EUR,,yes");
  }

  /**
   * What is due at Cabo Norte is worth less than the 400.00 EUR from which freight is free: what
   * would be ordered soon anyway fills it up, and says for how much.
   */
  @Test
  void freightIsFilledUpWithWhatComesSoonAnyway() {
    Element berth = visitor.get("/buy").document().selectFirst("form:contains(Cabo Norte Supply)");
    assertThat(berth.select(".berth-crate").text()).contains("freight free");
    assertThat(berth.select("li:contains(Brought forward)").eachText())
        .isNotEmpty()
        .allMatch(line -> line.contains("with it the freight is free, which saves 24.00 EUR for"));
  }

  /** A thing that nobody sells is named, and what is not due yet has its day. */
  @Test
  void whatCannotBeOrderedAndWhatNeedNotBeYet() {
    Visitor.Page page = visitor.get("/buy");
    assertThat(page.text("section:contains(nobody sells it)")).contains("Bond M18");
    assertThat(page.document().select("section:contains(Not yet) tbody tr")).isNotEmpty();
  }

  /** What the criticality of an item is, is chosen in its form and said on its page. */
  @Test
  void anItemSaysWhatItsAbsenceMeans() {
    Visitor keeper = SERVER.signedInAs("storekeeper");
    Visitor.Page item = keeper.get("/items/" + SERVER.itemId("RV 2210-4"));
    assertThat(item.words()).contains("Stops the unit if it is not there.");
    Visitor.Page form = keeper.get("/items/" + SERVER.itemId("HC 16-25") + "/edit");
    assertThat(form.document().select("#criticality option[selected]").val())
        .isEqualTo("CONVENIENCE");
  }
}
