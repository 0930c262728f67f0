package dev.lonja.app.due;

import static org.assertj.core.api.Assertions.assertThat;

import dev.lonja.app.server.LonjaServer;
import dev.lonja.app.server.Visitor;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;

/** What falls due on all units, over HTTP. */
class DueTest {

  @RegisterExtension static final LonjaServer SERVER = LonjaServer.forReading();

  private final Visitor visitor = SERVER.signedInAs("buyer");

  @Test
  void occurrencesComeByDayWithWhatSetsThem() {
    Visitor.Page page = visitor.get("/fleet/due");
    List<String> rows = page.document().select("tbody tr.job").eachText();
    assertThat(rows.get(0)).startsWith("15 Mar");
    assertThat(rows)
        .anyMatch(row -> row.contains("RT-05") && row.contains("overdue by 1,200 km"))
        .anyMatch(row -> row.contains("GN-2") && row.contains("no record"))
        .anyMatch(row -> row.contains("RT-04") && row.contains("due at 61,350 km or by"));
    assertThat(page.document().select("tbody svg[role=img]")).hasSize(rows.size());
  }

  /** The next occurrence of a unit carries its P10–P90 days; a later one does not. */
  @Test
  void theNextOccurrenceSaysHowSureItsDayIs() {
    Visitor.Page page = visitor.get("/fleet/due?sort=unit&unitClass=FL");
    List<String> first = page.document().select("tr:contains(FL-1)").eachText();
    assertThat(first.get(0)).containsPattern("\\d+ (Mar|Apr) – \\d+ (Mar|Apr)");
    assertThat(first.get(1)).doesNotContain("–");
  }

  @Test
  void theListIsFilteredAndSorted() {
    assertThat(visitor.get("/fleet/due?unitClass=VN").document().select("tbody .code").eachText())
        .isNotEmpty()
        .allMatch(code -> code.startsWith("VN-"));
    assertThat(visitor.get("/fleet/due?show=overdue").document().select("tbody .code").eachText())
        .containsExactlyInAnyOrder("GN-2", "RT-05");
    assertThat(visitor.get("/fleet/due?show=no-record").document().select("tbody .code").eachText())
        .contains("GN-2", "RT-10", "WB-5");
    List<String> byUnit =
        visitor.get("/fleet/due?sort=unit").document().select("tbody .code").eachText();
    assertThat(byUnit).isSorted();
    assertThat(visitor.get("/fleet/due?unitClass=ZZ").words()).contains("Nothing falls due");
  }

  @Test
  void theCalendarGoesByIsoWeek() {
    Visitor.Page page = visitor.get("/fleet/due");
    assertThat(page.document().select("tr.week").eachText().subList(0, 2))
        .containsExactly("Week 11 from 15 Mar", "Week 12 from 22 Mar");
    assertThat(page.document().select("tbody").first().select("tr.job").eachText())
        .anyMatch(row -> row.startsWith("16 Mar FL-2"))
        .noneMatch(row -> row.startsWith("22 Mar"));
    // a list by unit has no weeks
    assertThat(visitor.get("/fleet/due?sort=unit").document().select("tr.week")).isEmpty();
  }

  /**
   * RT-04: 61,050 km today, 0.985 × 20,000 = 19,700 km since the oil change, so done at 41,350 km,
   * due at 61,350 km, 300 km to go.
   */
  @Test
  void aDueDateOpensToTheFiguresBehindIt() {
    Visitor.Page due = visitor.get("/fleet/due?unitClass=RT");
    String link =
        due.document().select("tr:contains(RT-04) td:nth-child(3) a").first().attr("href");
    Visitor.Page unit = visitor.get("/fleet/RT-04");
    assertThat(link).startsWith("/fleet/RT-04#task-");
    assertThat(unit.document().select(link.replaceFirst(".*#", "#") + " ol").text())
        .contains("Last done on", "at 41,350 km.")
        .contains("+ 20,000 km gives 61,350 km.")
        .contains("The meter stood at 61,050 km on 15 Mar", "a day, from a year of readings.")
        .contains("300 km were to go then.")
        .contains("By the calendar it is due on")
        .contains("Planned for 18 Mar; one chance in ten by");
  }

  /** GN-2 has no record; RT-10 runs in; AT-1's drives are shortened with a reason. */
  @Test
  void runningInSeverityAndMissingRecordsAreSaid() {
    assertThat(visitor.get("/fleet/GN-2").words())
        .contains("No record; counted from the start of service");
    assertThat(visitor.get("/fleet/RT-10").words())
        .contains("+ 2,500 km, the running-in interval gives 2,500 km.");
    assertThat(visitor.get("/fleet/AT-1").words())
        .contains("+ 160 h, shortened by 0.8: wades in salt water gives");
    assertThat(visitor.get("/fleet/RT-05").words()).contains("It was passed by 1,200 km then.");
  }
}
