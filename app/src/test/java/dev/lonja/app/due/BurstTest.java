package dev.lonja.app.due;

import static org.assertj.core.api.Assertions.assertThat;

import dev.lonja.app.server.LonjaServer;
import dev.lonja.app.server.Visitor;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;

/** The burst what-if over HTTP, on the standby sets of the ice plant. */
class BurstTest {

  @RegisterExtension static final LonjaServer SERVER = LonjaServer.forReading();

  private final Visitor visitor = SERVER.signedInAs("workshop");

  /**
   * GN-1 stands at 612 h and its oil was last changed 0.62 × 250 = 155 h ago, at 457 h, so it is
   * due at 707 h. Day and night from the 16th on it stands at 612 + 4 × 24 = 708 h on the 19th.
   */
  @Test
  void aWeekWithoutMainsBringsTheYearlyServiceForward() {
    Visitor.Page page = burst("GN-1", "first=2027-03-16&last=2027-03-21&perDay=24");
    assertThat(page.words()).contains("The hours meter would stand at 756 h on 21 Mar");
    assertThat(page.document().select("tr:contains(Change engine oil)").text()).contains("19 Mar");
    assertThat(page.document().select("section:contains(Wanted sooner)").text())
        .contains("FA 15-20", "17.85 L", "TM-3308");
  }

  @Test
  void beforeAnythingIsTypedItAsksForSixDaysAndNights() {
    Visitor.Page page = visitor.get("/fleet/GN-3/burst");
    assertThat(page.document().select("#first").val()).isEqualTo("2027-03-15");
    assertThat(page.document().select("#last").val()).isEqualTo("2027-03-20");
    assertThat(page.document().select("#perDay").val()).isEqualTo("24");
  }

  /** A boat has two meters; only the tasks of the one that runs come sooner. */
  @Test
  void onlyTheMeterThatRunsCounts() {
    Visitor.Page page = visitor.get("/fleet/WB-2/burst");
    String starboard = page.document().select("#meterId option:contains(starboard)").val();
    Visitor.Page answer =
        burst("WB-2", "meterId=" + starboard + "&first=2027-03-15&last=2027-03-24&perDay=10");
    assertThat(answer.document().select("tbody").first().text())
        .contains("starboard")
        .doesNotContain("port engine");
  }

  @Test
  void wrongFiguresAreNamedAndStay() {
    Visitor.Page page = burst("GN-1", "first=2027-03-20&last=2027-03-16&perDay=25");
    assertThat(page.words())
        .contains("The use a day is 25; allowed is more than 0, up to 24.0.")
        .contains("The last day, 2027-03-16, lies before the first, 2027-03-20.");
    assertThat(page.document().select("#perDay").val()).isEqualTo("25");
    assertThat(burst("GN-1", "first=soon&last=2099-01-01&perDay=1,500").words())
        .contains("\"soon\" is not a date", "allowed is up to a year ahead", "has a comma");
    assertThat(visitor.get("/fleet/XX-1/burst").status()).isEqualTo(404);
  }

  private Visitor.Page burst(String unit, String query) {
    return visitor.get("/fleet/" + unit + "/burst?" + query);
  }
}
