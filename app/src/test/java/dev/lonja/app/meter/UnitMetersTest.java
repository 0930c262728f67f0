package dev.lonja.app.meter;

import static org.assertj.core.api.Assertions.assertThat;

import dev.lonja.app.server.LonjaServer;
import dev.lonja.app.server.Visitor;
import java.util.HashMap;
import java.util.Map;
import org.jsoup.nodes.Element;
import org.jsoup.nodes.FormElement;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Exchanged meters, rulings, corrections and lay-ups, over HTTP. */
class UnitMetersTest {

  @RegisterExtension static final LonjaServer SERVER = LonjaServer.withDemo();

  private final Visitor visitor = SERVER.signedInAs("storekeeper");

  /**
   * FL-1 stands at 6,120 h: the old meter ends there, and the new one shows 4 h on the same day.
   */
  @Test
  void anExchangeKeepsTheLifeAndTheLimits() {
    String limit = visitor.get("/fleet/FL-1").text("#task-" + oilTask("FL-1") + " td:nth-child(4)");
    Visitor.Page page =
        replace("FL-1", Map.of("end", "6120", "start", "4", "reason", "glass broken"));
    assertThat(page.words())
        .contains("4 h expected on it today, a life of 6,120 h")
        .contains("the old one ended at 6,120 h, the new one started at 4 h");
    String after = visitor.get("/fleet/FL-1").text("#task-" + oilTask("FL-1") + " td:nth-child(4)");
    // the limit is the same life as before, now with what the new meter shows then beside it
    assertThat(after.substring(0, after.indexOf(" h")))
        .isEqualTo(limit.substring(0, limit.indexOf(" h")));
    assertThat(after).contains("(meter shows ");
    assertThat(visitor.get("/fleet/meters").document().select("tr:contains(FL-1)").text())
        .contains("6,120 h on 15 Mar")
        .contains("4 h");
    Map<String, String> below = Map.of("value", "3.9", "day", "2027-03-15");
    assertThat(visitor.submit(visitor.get("/fleet/FL-1").form("/readings"), below).words())
        .contains(
            "3.9 h is below what this meter stood at when it came into service, 4 h on 2027-03-15.");
    assertThat(SERVER.isSound()).isTrue();
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "|0|broken|The old meter's last reading is missing. If it cannot be read any more, write the last accepted one, 8,940 h",
        "100|0|broken|100 h is below the last accepted reading, 8,940 h on 2027-03-15.",
        "9999|0|broken|9,999 h would be more than 24 h a day since",
        "8940|-1|broken|The new meter's first reading is -1; allowed is 0 to 10000000.",
        "8940||broken|The new meter's first reading is missing.",
        "8940|0||The reason is missing."
      })
  void anExchangeThatCannotBeIsRefused(String end, String start, String reason, String problem) {
    Visitor.Page page =
        replace("FL-3", Map.of("end", text(end), "start", text(start), "reason", text(reason)));
    assertThat(page.words()).contains("Nothing was changed.").contains(problem);
    assertThat(page.document().select("input[name=end]").val()).isEqualTo(text(end));
    assertThat(visitor.get("/fleet/FL-3/meters").words()).doesNotContain("Exchanged on");
  }

  /** FL-6's exchange in January noted in error: its readings then run backwards. */
  @Test
  void anExchangeNotedInErrorIsWithdrawn() {
    Visitor.Page page = visitor.get("/fleet/FL-6/meters");
    assertThat(page.words()).contains("146.5 h expected on it today, a life of 2,108 h");
    FormElement withdraw = page.form("/withdraw");
    assertThat(visitor.submit(withdraw, Map.of("reason", " ")).words())
        .contains("The reason is missing.");
    Visitor.Page after = visitor.submit(withdraw, Map.of("reason", "that was FL-5"));
    assertThat(after.words()).doesNotContain("Exchanged on").contains("backwards");
  }

  /** RT-03's meter went backwards by 2,700 km 17 days ago; counting it would set others aside. */
  @Test
  void aFlaggedReadingIsCountedWhenAPersonSaysSo() {
    String unit = unitWithBackwardsReading();
    Visitor.Page page = visitor.get("/fleet/" + unit + "/meters");
    Element flagged = page.document().select("tr:contains(backwards)").first();
    Visitor.Page counted =
        visitor.submit(form(flagged), Map.of("what", "accept", "reason", "read by two"));
    assertThat(counted.words())
        .contains("counts, accepted")
        .contains("Accepted by storekeeper: read by two.")
        .contains("overruled")
        .contains("which a person accepted");
    Element again = counted.document().select("tr:contains(counts, accepted)").first();
    Visitor.Page refused =
        visitor.submit(form(again), Map.of("what", "refuse", "reason", "both were wrong"));
    assertThat(refused.words())
        .contains("Set aside by storekeeper: both were wrong.")
        .doesNotContain("overruled");
  }

  @Test
  void aWrongReadingIsCorrectedByANewOne() {
    Visitor.Page page = visitor.get("/fleet/SW-1/meters");
    FormElement latest = form(page.document().select("tbody tr").first());
    Visitor.Page wrong =
        visitor.submit(latest, Map.of("what", "correct", "value", "1", "reason", "misread"));
    assertThat(wrong.words()).contains("Nothing was changed.").contains("1 h is below");
    assertThat(wrong.document().select("[name=value]").eachAttr("value")).contains("1");
    Visitor.Page right =
        visitor.submit(
            form(wrong.document().select("tbody tr").first()),
            Map.of("what", "correct", "value", "412.5", "reason", "misread"));
    assertThat(right.words()).contains("412.5 h").contains("Corrected by a later entry.");
    assertThat(SERVER.isSound()).isTrue();
  }

  /** Laid up, PW-1 does not run: what is due by its meter comes later. */
  @Test
  void aLayUpPutsServicesOff() {
    Visitor.Page page = layUp("PW-1", "2027-03-16", "2027-05-31");
    assertThat(page.words()).contains("16 Mar to 31 May");
    assertThat(visitor.get("/fleet/PW-1").text("section ul li:first-child b:first-child"))
        .matches(".*(Jun|Jul|Aug).*");
    assertThat(layUp("PW-1", "2027-05-31", "2027-06-10").words())
        .contains("It overlaps the lay-up from 2027-03-16 to 2027-05-31.");
    assertThat(layUp("PW-1", "2027-08-10", "2027-08-01").words())
        .contains("The last day, 2027-08-01, lies before the first, 2027-08-10.");
    assertThat(layUp("PW-1", "soon", "2027-08-01").words()).contains("\"soon\" is not a date.");
    Visitor.Page off = visitor.submit(page.form("/remove"), Map.of());
    assertThat(off.words()).contains("No lay-up on file.");
  }

  @Test
  void theWorkshopAndTheAuditorDecideNothing() {
    for (String who : new String[] {"auditor", "workshop"}) {
      Visitor other = SERVER.signedInAs(who);
      assertThat(other.get("/fleet/FL-2/meters").hasForm("/replacements")).isFalse();
      Map<String, String> fields = new HashMap<>();
      fields.put("requestKey", "abcdefgh-" + who);
      fields.put("reason", "x");
      assertThat(other.post("/fleet/FL-2/meters/replacements/1/withdraw", fields).status())
          .isEqualTo(403);
    }
  }

  private Visitor.Page replace(String unit, Map<String, String> typed) {
    return visitor.submit(visitor.get("/fleet/" + unit + "/meters").form("/replacements"), typed);
  }

  private Visitor.Page layUp(String unit, String first, String last) {
    return visitor.submit(
        visitor.get("/fleet/" + unit + "/meters").form("/lay-ups"),
        Map.of("first", first, "last", last));
  }

  private String unitWithBackwardsReading() {
    for (int i = 1; i <= 9; i++) {
      String unit = "RT-0" + i;
      if (visitor.get("/fleet/" + unit + "/meters").words().contains("backwards")) {
        return unit;
      }
    }
    throw new AssertionError("no truck of the demo has a backwards reading");
  }

  private String oilTask(String unit) {
    return visitor
        .get("/fleet/" + unit)
        .document()
        .select("tr:contains(Change engine oil)")
        .attr("id")
        .substring("task-".length());
  }

  private static FormElement form(Element row) {
    return (FormElement) row.selectFirst("form");
  }

  private static String text(String value) {
    return value == null ? "" : value;
  }
}
