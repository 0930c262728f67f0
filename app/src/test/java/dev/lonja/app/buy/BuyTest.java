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

  @RegisterExtension static final LonjaServer SERVER = LonjaServer.withDemo();

  private final Visitor visitor = SERVER.signedInAs("buyer");

  @BeforeEach
  void untilTheTrialsAreDrawn() {
    visitor.get("/buy");
    while (visitor.ask("/ahead/drawing").response().body().contains("\"running\":true")) {
      Thread.onSpinWait();
    }
  }

  /**
   * Nothing of the fuel filter is free and RT-04 wants one this week: late with everybody, and it
   * stops the unit. It is sold in twos.
   */
  @Test
  void whatIsLateSaysSoAndWhy() {
    Visitor.Page page = visitor.get("/buy");
    Element line = page.document().selectFirst("li:contains(RV 2210-4)");
    assertThat(line.text())
        .contains("late", "0 free; ")
        .contains("will be lacking before an order of today is there")
        .contains("in 98 of 100 cases (stops the unit)");
    int amount = Integer.parseInt(line.selectFirst("input.figure").val());
    assertThat(amount).isPositive();
    assertThat(amount % 2).isZero();
    assertThat(line.parents().is("form:contains(Cabo Norte Supply)")).isTrue();
  }

  /**
   * The bins of the oil filter are to hold 3 at least and 1 is free: 2 more are wanted at least.
   */
  @Test
  void theLeastOfTheBinsIsTheFloorOfTheLevel() {
    Element line = visitor.get("/buy").document().selectFirst("li:contains(PL 4112-B)");
    assertThat(line.text()).contains("1 free. The level is 3");
    assertThat(Integer.parseInt(line.selectFirst("input.figure").val())).isGreaterThanOrEqualTo(2);
  }

  @Test
  void whatIsDueAsATable() {
    String csv = visitor.ask("/buy.csv").response().body();
    assertThat(csv).startsWith("supplier,make,number,their_number,unit,free,level,quantity,");
    assertThat(csv.lines().filter(line -> line.contains("RV 2210-4")).findFirst().orElseThrow())
        .startsWith("Cabo Norte Supply,Ravelin,RV 2210-4,")
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
