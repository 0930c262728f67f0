package dev.lonja.app.replay;

import static org.assertj.core.api.Assertions.assertThat;

import dev.lonja.app.server.LonjaServer;
import dev.lonja.app.server.Visitor;
import dev.lonja.app.server.Wait;
import java.util.HashMap;
import java.util.Map;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** The demo's last half year stepped through again, at the buyer's desk. */
class ReplayTest {

  @RegisterExtension static final LonjaServer SERVER = LonjaServer.forReading();

  private final Visitor buyer = SERVER.signedInAs("buyer");

  private Visitor.Page ask(String first, String last) {
    return buyer.submit(
        buyer.get("/buy/replay").form("/buy/replay"), Map.of("first", first, "last", last));
  }

  private void waitForIt() {
    Wait.until(
        "the replay ends",
        () -> !buyer.ask("/buy/replay/progress").response().body().contains("\"running\":true"));
  }

  @Test
  @Tag("long")
  void theSameAgainComesToTheSame() {
    String once = halfAYear();
    assertThat(halfAYear()).isEqualTo(once);
  }

  private String halfAYear() {
    buyer.submit(
        buyer.get("/buy/replay").form("/buy/replay"),
        Map.of("first", "2026-09-14", "last", "2027-03-14", "others", "yes"));
    waitForIt();
    return buyer.ask("/buy/replay.csv").response().body();
  }

  /**
   * Nothing of it is written. Beside it four spans are tried, the asked one among them, and one of
   * them is named.
   */
  @Test
  void theRulesAreHeldAgainstWhatHappened() {
    String csv = halfAYear();
    Visitor.Page page = buyer.get("/buy/replay");
    assertThat(page.words())
        .contains("2026-09-14 to 2027-03-14, orders to last 8 weeks")
        .containsPattern("Freight, as it is asked today, would have been [0-9.]+ EUR instead of");
    assertThat(page.document().select("[aria-label=Things] tbody tr:contains(FUS 15)")).hasSize(1);
    assertThat(csv).startsWith("make,number,lines,at_once,at_once_by_rules,");
    Map<String, String> fuses = row(csv, "FUS 15");
    // what happened is never short in the demo, and both sides serve the same lines
    assertThat(fuses.get("at_once")).isEqualTo(fuses.get("lines"));
    assertThat(Integer.parseInt(fuses.get("orders"))).isPositive();
    Visitor.Page thing =
        buyer.get(
            page.document()
                .selectFirst("[aria-label=Things] tbody tr:contains(FUS 15) td:last-child a")
                .attr("href"));
    assertThat(thing.document().select("svg title").text()).contains("FUS 15");
    assertThat(thing.document().select("table:has(caption) tbody tr")).hasSize(26);
    theOthersAreTriedToo(page);
    assertThat(SERVER.isSound()).isTrue();
  }

  private static void theOthersAreTriedToo(Visitor.Page page) {
    assertThat(
            page.document()
                .select("[aria-label=For how long orders last] tbody tr td:first-child")
                .eachText())
        .containsExactly("4 weeks", "8 weeks", "12 weeks", "16 weeks");
    assertThat(page.text("section:contains(How critical things are)"))
        .containsAnyOf("would have done best", "None of the others");
    // the asked one is the one that the table of things shows
    String own = page.text("[aria-label=For how long orders last] tr:contains(8 weeks)");
    String served = own.substring("8 weeks ".length(), own.indexOf(" of "));
    assertThat(page.text("[aria-label=Things] tr:contains(All)")).contains(served + " of ");
  }

  private static Map<String, String> row(String csv, String number) {
    String[] names = csv.lines().findFirst().orElseThrow().split(",");
    String[] values =
        csv.lines().filter(line -> line.contains(number)).findFirst().orElseThrow().split(",");
    Map<String, String> row = new HashMap<>();
    for (int i = 0; i < names.length; i++) {
      row.put(names[i], values[i]);
    }
    return row;
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "2026-09-14|2027-03-15|The last day has to be over: allowed is up to yesterday.",
        "2026-09-15|2027-03-14|From the first day to the last there have to be 26 weeks, 182 days.",
        "2027-03-14|2026-09-14|From the first day to the last",
        "last year|2027-03-14|\"last year\" is not a date"
      })
  void aSpanThatSaysNothingIsRefused(String first, String last, String problem) {
    Visitor.Page page = ask(first, last);
    assertThat(page.words()).contains(problem);
    assertThat(page.document().select("#first").val()).isEqualTo(first);
    assertThat(page.document().select("#last").val()).isEqualTo(last);
  }

  @Test
  void whatRunsIsBrokenOffAndOnlyOneRuns() {
    Visitor.Page running = ask("2026-03-16", "2027-03-14");
    assertThat(running.words()).contains("The past is being stepped through.");
    assertThat(ask("2026-03-16", "2027-03-14").words()).contains("Another replay is running");
    Visitor.Page after =
        buyer.submit(buyer.get("/buy/replay").form("/buy/replay/cancel"), Map.of());
    waitForIt();
    assertThat(after.status()).isEqualTo(200);
    assertThat(buyer.get("/buy/replay").words()).doesNotContain("2026-03-16 to 2027-03-14");
  }

  @Test
  void whoOnlyReadsSeesNoForm() {
    assertThat(SERVER.signedInAs("auditor").get("/buy/replay").hasForm("/buy/replay")).isFalse();
    assertThat(SERVER.signedInAs("workshop").get("/buy/replay").status()).isEqualTo(403);
    assertThat(buyer.get("/buy/replay/999999").status()).isEqualTo(404);
  }
}
