package dev.lonja.app.unit;

import static org.assertj.core.api.Assertions.assertThat;

import dev.lonja.app.server.LonjaServer;
import dev.lonja.app.server.Visitor;
import java.time.LocalDate;
import java.util.HashMap;
import java.util.Map;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.jsoup.nodes.FormElement;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;

/** Work without a tray, noted on a page of the truck RT-03. */
class WorkPageTest {

  @RegisterExtension static final LonjaServer SERVER = LonjaServer.withDemo();

  private final Visitor visitor = SERVER.signedInAs("storekeeper");

  private static String field(Visitor.Page page, String task) {
    return page.document().select(".tick-row:contains(" + task + ") input").attr("name");
  }

  /** What is typed stays at its field; what is noted moves the due date and can be withdrawn. */
  @Test
  void workDoneElsewhereIsNotedAndWithdrawn() {
    Visitor.Page unit = visitor.get("/fleet/RT-03");
    Visitor.Page work =
        visitor.get(unit.document().select("a:contains(Work on record)").attr("href"));
    String oil = field(work, "Change engine oil");
    String meter = work.document().select("[name^=meter-]").attr("name");
    Map<String, String> typed = new HashMap<>(Map.of(oil, "yes", "note", "North yard"));
    Visitor.Page blind = visitor.submit(work.form("/work"), typed);
    assertThat(blind.words()).contains("\"Change engine oil\" counts by it; say what it showed.");
    assertThat(blind.document().select("[name=" + oil + "][checked]")).hasSize(1);
    assertThat(blind.document().select("[name=note]").val()).isEqualTo("North yard");
    assertThat(visitor.submit(work.form("/work"), Map.of("note", "North yard")).words())
        .contains("Tick what was done.");

    String shown = unit.document().select(".figure:contains(km)").text().replaceAll("[^0-9]", "");
    typed.put(meter, shown);
    Visitor.Page noted = visitor.submit(blind.form("/work"), typed);
    String row = "tbody tr:contains(North yard)";
    assertThat(noted.text(row)).contains("15 Mar", "Change engine oil", "storekeeper");
    assertThat(
            visitor.get("/fleet/RT-03").document().select("tr:contains(Change engine oil)").text())
        .contains("15 Mar at ");
    assertThat(visitor.submit(noted.form("/work"), typed).words())
        .contains("\"Change engine oil\" is on record for 2027-03-15 already.");

    FormElement withdraw = (FormElement) noted.document().selectFirst(row + " form");
    assertThat(visitor.submit(withdraw, Map.of()).words()).contains("The reason is missing.");
    Visitor.Page gone = visitor.submit(withdraw, Map.of("reason", "that was RT-04"));
    assertThat(gone.document().select(row)).isEmpty();
    assertThat(SERVER.isSound()).isTrue();
  }

  /**
   * RT-02 in one go: the oil on one day at one reading, the gearbox on another; a reading that does
   * not agree is named at its row, and then nothing is noted.
   */
  @Test
  void whenEachTaskWasLastDoneIsSaidTogether() {
    Visitor.Page page = visitor.get("/fleet/RT-02/last-done");
    Map<String, String> typed = new HashMap<>(Map.of("note", "service book"));
    last(page, typed, "Change gearbox oil", "2024-05-01", "100");
    last(page, typed, "Change axle oil", "2024-05-01", "101");
    Visitor.Page two = visitor.submit(page.form("/last-done"), typed);
    assertThat(two.text(".form-row:contains(Change gearbox oil) .field-error"))
        .contains("gives one meter two readings");
    last(page, typed, "Change axle oil", "", "101");
    assertThat(visitor.submit(page.form("/last-done"), typed).words())
        .contains("Say on which day it showed 101.");
    last(page, typed, "Change axle oil", "2024-05-02", "");
    Visitor.Page blind = visitor.submit(page.form("/last-done"), typed);
    assertThat(blind.words()).contains("\"Change axle oil\" counts by it; say what it showed.");
    assertThat(visitor.get("/fleet/RT-02/work").words()).doesNotContain("service book");
    assertThat(visitor.submit(page.form("/last-done"), Map.of("note", "x")).words())
        .contains("Tick what was done.");
    last(page, typed, "Change axle oil", "2024-05-02", "140");
    assertThat(visitor.submit(blind.form("/last-done"), typed).path()).isEqualTo("/fleet/RT-02");
    assertThat(visitor.get("/fleet/RT-02/work").text("tbody tr:contains(Change axle oil)"))
        .contains("2 May 2024", "140 km", "service book");
    assertThat(SERVER.isSound()).isTrue();
  }

  private static void last(
      Visitor.Page page, Map<String, String> typed, String task, String day, String shown) {
    var row = page.document().select(".form-row:contains(" + task + ")");
    typed.put(row.select("input[name$=-day]").attr("name"), day);
    typed.put(row.select("input[name$=-shown]").attr("name"), shown);
  }

  /** Each wrong line is named, and what was pasted stays. */
  @Test
  void aTableIsTakenInOrSentBack() {
    String good = "RT-01; 2025-03-01; Change gearbox oil; 1000; North yard\n";
    Visitor.Page page = visitor.get("/fleet/work");
    Visitor.Page bad =
        visitor.submit(
            page.form("/work"),
            Map.of("table", good + "XX-1; 2025-03-01; Oil; 5; yard\nRT-01; soon; Oil; 5; yard"));
    assertThat(bad.words()).contains("line 3, RT-01: \"soon\" is not a date.");
    assertThat(bad.document().select("#table").text()).contains("XX-1; 2025-03-01");
    Visitor.Page unknown =
        visitor.submit(
            page.form("/work"), Map.of("table", good + "XX-1; 2025-03-01; Oil; 5; yard"));
    assertThat(unknown.words()).contains("line 2, XX-1: No unit XX-1 is in service.");
    assertThat(visitor.submit(page.form("/work"), Map.of("table", " ")).words())
        .contains("The table is empty.");
    assertThat(SERVER.signedInAs("auditor").get("/fleet/work").status()).isEqualTo(403);
  }

  /** A sheet of 500 lines: one wrong one sends all of it back, and without it all are noted. */
  @Test
  void aSheetOfFiveHundredLinesIsTakenInWhole() {
    String sheet =
        IntStream.range(0, 500)
            .mapToObj(
                i ->
                    "RT-01; %s; Change gearbox oil; %d; sheet"
                        .formatted(LocalDate.parse("2024-04-01").plusDays(i), 200 + 40 * i))
            .collect(Collectors.joining("\n"));
    Visitor.Page page = visitor.get("/fleet/work");
    Visitor.Page bad =
        visitor.submit(page.form("/work"), Map.of("table", sheet + "\nRT-01; soon; Oil; 5; yard"));
    assertThat(bad.words()).contains("line 501, RT-01: \"soon\" is not a date.");
    assertThat(visitor.get("/fleet/RT-01/work").words()).doesNotContain("sheet");
    visitor.submit(page.form("/work"), Map.of("table", sheet));
    assertThat(visitor.get("/fleet/RT-01/work").words())
        .contains("13 Aug 2025", "20,160 km", "sheet");
    assertThat(SERVER.isSound()).isTrue();
  }

  @Test
  void whoDoesNotKeepTheStoreOnlyLooks() {
    assertThat(SERVER.signedInAs("auditor").get("/fleet/RT-03/work").hasForm("/work")).isFalse();
    assertThat(SERVER.signedInAs("workshop").get("/fleet/RT-03/work").status()).isEqualTo(403);
    assertThat(visitor.get("/fleet/XX-1/work").status()).isEqualTo(404);
  }
}
