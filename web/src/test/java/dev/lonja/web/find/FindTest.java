package dev.lonja.web.find;

import static org.assertj.core.api.Assertions.assertThat;

import dev.lonja.web.server.LonjaServer;
import dev.lonja.web.server.Visitor;
import java.net.URLEncoder;
import java.nio.charset.StandardCharsets;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;

class FindTest {

  @RegisterExtension static final LonjaServer SERVER = LonjaServer.withDemo();

  private final Visitor visitor = SERVER.signedInAs("storekeeper");

  @Test
  void anExactKeyLeadsStraightToTheItemHoweverItIsTyped() {
    for (String typed : new String[] {"PL 4107-B", "pl4107b", " PL-4107.B ", "ＰＬ4107B"}) {
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
