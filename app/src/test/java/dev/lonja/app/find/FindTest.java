package dev.lonja.app.find;

import static org.assertj.core.api.Assertions.assertThat;

import dev.lonja.app.server.LonjaServer;
import dev.lonja.app.server.Visitor;
import java.net.URLEncoder;
import java.nio.charset.StandardCharsets;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;

class FindTest {

  @RegisterExtension static final LonjaServer SERVER = LonjaServer.forReading();

  private final Visitor visitor = SERVER.signedInAs("storekeeper");

  @Test
  void anExactKeyLeadsStraightToTheItemHoweverItIsTyped() {
    for (String typed :
        new String[] {"PL 4107-B", "pl4107b", " PL-4107.B ", "ＰＬ4107B", "\u202ePL 4107-B\u202c"}) {
      Visitor.Page page = find(typed);
      assertThat(page.path()).as(typed).startsWith("/items/");
      assertThat(page.text(".title")).contains("PL 4107-B");
    }
  }

  /** 05107 and OS 107 look alike to tired eyes; each is found as it was typed. */
  @Test
  void lookAlikesAreNotMixedUp() {
    assertThat(find("05107").text(".title")).contains("05107").doesNotContain("OS 107");
    assertThat(find("OS107").text(".title")).contains("OS 107");
  }

  @Test
  void aBeginningOfThreeOrMoreListsWhatBeginsSo() {
    Visitor.Page page = find("NT 5");
    assertThat(page.path()).startsWith("/find");
    assertThat(page.document().select("tbody tr:contains(begins with it)").eachText())
        .singleElement()
        .asString()
        .contains("NT 50 330");
    // 12×15.5, 14×18, 16×20, 18×22
    assertThat(find("cu1").document().select("tbody tr:contains(begins with it)")).hasSize(4);
    assertThat(find("NT").words()).contains("Type 3 characters or more");
  }

  @Test
  void unitsTraysAndBinsAreFoundByTheirOwnNames() {
    assertThat(find("rt-04").path()).isEqualTo("/fleet/RT-04");
    assertThat(find("T-0001").path()).isEqualTo("/trays/1");
    assertThat(find("c-07").words()).contains("Bin C-07: 3 items at home here.", "RV 2210-4");
  }

  /** Each hit says what kind it is, the surest first; one number of two makes asks. */
  @Test
  void hitsSayWhatTheyAreInTheirOrder() {
    assertThat(find("44107").words()).contains("2 makes use the number 44107. Which one");
    assertThat(find("44107").document().select("tbody tr").eachText())
        .allSatisfy(row -> assertThat(row).startsWith("this number"));
    // O for 0 and S for 5 read alike; one mark off is 4117 for 4107
    assertThat(find("PL 4IO7-B").document().select("tbody tr").first().text())
        .startsWith("reads like it Pellam PL 4107-B");
    assertThat(find("PL 4117-B").document().select("tbody tr").eachText())
        .filteredOn(row -> row.startsWith("one mark off"))
        .hasSize(2);
    assertThat(find("VM 22 1000").path()).startsWith("/parts/");
    assertThat(find("O-rings").document().select("tbody tr").first().text())
        .startsWith("of this kind");
    assertThat(find("tamisco").document().select("tbody tr").first().text())
        .startsWith("of this make");
    assertThat(find("bonded seal").document().select("tbody tr").eachText())
        .singleElement()
        .asString()
        .startsWith("these words");
  }

  /** What was looked for stays at hand, the latest first. */
  @Test
  void recentFindsAreKept() {
    find("RT-04");
    find("44107");
    find("rt-04");
    assertThat(find("").document().select("ul a.choice").eachText()).startsWith("rt-04", "44107");
  }

  /** Letters of any script are letters; a number of them is looked for like any other. */
  @Test
  void otherScriptsAndPlaces() {
    assertThat(find("אבג 12").words()).contains("No item, unit, bin or tray is called אבג 12.");
    assertThat(find("RT-04 plug seal").document().select("tbody tr").eachText())
        .hasSize(4)
        .first()
        .asString()
        .contains("RT-04", "Sump plug seal", "Cu 14×18×1.5");
    assertThat(find("what fits VN-1, cabin filter").path()).startsWith("/fleet/VN-1/fits/");
    assertThat(find("RT-04 propeller").words()).contains("RT-04 has no position called propeller.");
    assertThat(find("7302214107024").text(".title")).contains("PL 4107-B");
  }

  @Test
  void whatIsNotThereOrNotANumberSaysSo() {
    assertThat(find("ZZ 999").words()).contains("No item, unit, bin or tray is called ZZ 999.");
    assertThat(find("-/-").words()).contains("holds no letter and no digit");
    assertThat(find("x".repeat(201)).words()).contains("That is 201 characters long");
    assertThat(find("").words()).contains("Type or scan a number");
    assertThat(find("<script>alert(1)</script>").document().select("main script")).isEmpty();
  }

  private Visitor.Page find(String typed) {
    return visitor.get("/find?q=" + URLEncoder.encode(typed, StandardCharsets.UTF_8));
  }
}
