package dev.lonja.web.fleet;

import static org.assertj.core.api.Assertions.assertThat;

import dev.lonja.web.server.LonjaServer;
import dev.lonja.web.server.Visitor;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;

/** What falls due on all units, over HTTP. */
class DueTest {

  @RegisterExtension static final LonjaServer SERVER = LonjaServer.withDemo();

  private final Visitor visitor = SERVER.signedInAs("buyer");

  @Test
  void occurrencesComeByDayWithWhatSetsThem() {
    Visitor.Page page = visitor.get("/fleet/due");
    List<String> rows = page.document().select("tbody tr").eachText();
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
    assertThat(page.document().select("article h3").first().text())
        .isEqualTo("Week 11 from 15 Mar");
    assertThat(page.document().select("article").first().text()).contains("Tue 16 FL-2");
  }
}
