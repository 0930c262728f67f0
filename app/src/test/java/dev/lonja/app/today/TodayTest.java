package dev.lonja.app.today;

import static org.assertj.core.api.Assertions.assertThat;

import dev.lonja.app.server.LonjaServer;
import dev.lonja.app.server.Visitor;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;

class TodayTest {

  @RegisterExtension static final LonjaServer SERVER = LonjaServer.withDemo();

  private final Visitor visitor = SERVER.signedInAs("storekeeper");

  /** Monday to Friday, each a shelf; the trays stand on the day they are wanted. */
  @Test
  void theRackHasAShelfForEveryWorkingDay() {
    Visitor.Page page = visitor.get("/");
    assertThat(page.document().select(".shelf-day").eachText())
        .containsExactly("Mon 15", "Tue 16", "Wed 17", "Thu 18", "Fri 19");
    assertThat(page.document().select(".shelf").get(3).text()).contains("RT-04", "VN-2");
    assertThat(page.document().select(".tray-block svg[aria-label$=laid]")).isNotEmpty();
  }

  @Test
  void whatNeedsHandsIsNamedWithItsReason() {
    assertThat(visitor.get("/").text(".needs"))
        .contains("RV 2210-4 short for RT-04", "Fuel filter: 1 short, wanted Thu 18.")
        .contains("RT-05 is overdue", "overdue by 1,200 km")
        .contains("Silent meter: AT-2, 63 days");
  }

  /** Put back on the shelves, the occurrence asks for its tray again. */
  @Test
  void anOccurrenceWithoutATrayAsksForOne() {
    Visitor.Page page = visitor.get("/");
    String tray = page.document().select("a.tray-block:contains(VN-2)").attr("href");
    visitor.submit(visitor.get(tray).form("/clear"), Map.of());
    Visitor.Page after = visitor.get("/");
    assertThat(after.document().select(".wish").text()).contains("VN-2", "start tray");
    Visitor.Page started = visitor.submit(after.form("/trays/start"), Map.of());
    assertThat(started.text(".title")).contains("VN-2", "Oil and filter");
    assertThat(visitor.get("/").document().select(".wish")).isEmpty();
  }
}
