package dev.lonja.app.meter;

import static org.assertj.core.api.Assertions.assertThat;

import dev.lonja.app.server.LonjaServer;
import dev.lonja.app.server.Visitor;
import java.util.HashMap;
import java.util.Map;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.jsoup.nodes.Element;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;

/** Many readings at once, over HTTP. */
class MetersTest {

  @RegisterExtension static final LonjaServer SERVER = LonjaServer.withDemo();

  private final Visitor visitor = SERVER.signedInAs("storekeeper");

  /**
   * 46 units; 10 trucks and 5 boats have two meters each. AT-2, silent for 63 days, comes first.
   */
  @Test
  void everyMeterHasItsLineTheSilentFirst() {
    Visitor.Page page = visitor.get("/fleet/meters");
    assertThat(page.document().select("tbody tr")).hasSize(61);
    assertThat(page.document().select("tbody tr").first().text())
        .contains("AT-2", "63 days silent");
    assertThat(SERVER.signedInAs("workshop").get("/fleet/meters").status()).isEqualTo(200);
    assertThat(SERVER.signedInAs("auditor").get("/fleet/meters").status()).isEqualTo(403);
  }

  /**
   * Two good ones are noted together; one bad one among them keeps all back, and all stay typed.
   */
  @Test
  void aListIsNotedWholeOrNotAtAll() {
    Visitor.Page page = visitor.get("/fleet/meters");
    Map<String, String> typed = new HashMap<>();
    typed.put(field(page, "RT-06", "road"), "77330");
    typed.put(field(page, "VN-4", "road"), "29,800");
    typed.put(field(page, "FL-5", "hours"), "5000");
    Visitor.Page refused = visitor.submit(page.form("/fleet/meters"), typed);
    assertThat(refused.words())
        .contains("2 readings are wrong. Nothing was noted.")
        .contains("VN-4 road: \"29,800\" has a comma that may stand for thousands.")
        .contains("FL-5 hours: 5,000 h is below the last accepted reading, 5,742 h");
    assertThat(refused.document().select("[name=" + field(page, "RT-06", "road") + "]").val())
        .isEqualTo("77330");
    assertThat(visitor.get("/fleet/RT-06").words()).doesNotContain("77,330 km");
    Visitor.Page noted = visitor.submit(refused.form("/fleet/meters"), Map.of("keepGood", "true"));
    assertThat(noted.words()).contains("1 noted.");
    assertThat(visitor.get("/fleet/RT-06").words()).contains("77,330 km expected today");
  }

  @Test
  void anEmptyListSaysSo() {
    Visitor.Page page = visitor.get("/fleet/meters");
    assertThat(visitor.submit(page.form("/fleet/meters"), Map.of()).words())
        .contains("There is no reading to note.");
  }

  @Test
  void aTableIsPastedInAnyOfThreeSeparators() {
    Visitor.Page noted =
        paste(
            "unit\tmeter\tvalue\tday\n"
                + "WB-1;port;1412.5\n"
                + "wb-1;starboard;1397;2027-03-15\n"
                + "SW-1,413.2\n\n"
                + "PW-4\t133.5\t2027-03-15",
            false);
    assertThat(noted.words()).contains("4 noted.");
    assertThat(visitor.get("/fleet/WB-1").words()).contains("1,412.5 h expected today");
  }

  @Test
  void everyWrongLineIsNamed() {
    Visitor.Page refused =
        paste("XX-1;5\nWB-2;961\nWB-2;port;961;2027-03-16\nBH-1\nBH-1;5241;2027-03-15;a;b", false);
    assertThat(refused.words())
        .contains("5 readings are wrong.")
        .contains("line 1, XX-1: there is no unit \"XX-1\" with a meter.")
        .contains("line 2, WB-2: name its meter: port, starboard.")
        .contains("line 3, WB-2: 2027-03-16 is in the future")
        .contains("line 4, BH-1: it has 1 cells")
        .contains("line 5, BH-1: it has 5 cells");
    assertThat(refused.document().select("textarea").text()).contains("XX-1;5");
  }

  /**
   * Ten thousand lines with 37 bad ones: all 37 are named, the good ones kept only if asked for.
   */
  @Test
  void tenThousandLinesWithThirtySevenBadOnes() {
    String table =
        IntStream.range(0, 10_000)
            .mapToObj(i -> i % 270 == 5 && i / 270 < 37 ? "NO-1;1" : "PW-2;77;2027-03-15")
            .collect(Collectors.joining("\n"));
    assertThat(table.lines().filter(line -> line.startsWith("NO-1"))).hasSize(37);
    Visitor.Page refused = paste(table, false);
    assertThat(refused.words()).contains("37 readings are wrong. Nothing was noted.");
    assertThat(refused.document().select(".notice.bad li")).hasSize(37);
    assertThat(paste(table, true).words()).contains("9963 noted.");
    assertThat(paste(table + "\nPW-2;77", false).words())
        .contains("The table has 10001 lines; allowed are 10000.");
  }

  private Visitor.Page paste(String table, boolean keepGood) {
    Map<String, String> fields = new HashMap<>();
    fields.put("table", table);
    if (keepGood) {
      fields.put("keepGood", "true");
    }
    return visitor.submit(visitor.get("/fleet/meters").form("/paste"), fields);
  }

  private static String field(Visitor.Page page, String unit, String meter) {
    Element input =
        page.document().selectFirst("input[aria-label^=\"" + unit + " " + meter + ",\"]");
    return input.attr("name");
  }
}
