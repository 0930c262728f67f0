package dev.lonja.app.unit;

import static org.assertj.core.api.Assertions.assertThat;

import dev.lonja.app.server.LonjaServer;
import dev.lonja.app.server.Visitor;
import java.util.HashMap;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;

/** The fan belt of a truck gives 8 to 12 mm under the thumb; beyond that it is tightened. */
class InspectedValuesTest {

  @RegisterExtension static final LonjaServer SERVER = LonjaServer.withDemo();

  private final Visitor visitor = SERVER.signedInAs("storekeeper");

  private Visitor.Page values(String unit) {
    return visitor.get(
        visitor
            .get("/fleet/" + unit)
            .document()
            .select("tr:contains(Inspect fan belt) a[href*=values]")
            .attr("href"));
  }

  /**
   * 9.2, 9.9 and 10.8 mm, each 20,000 km after the other: the median of 35, 45 and 40 nm a km is
   * 40; from 10.8 to 12 mm are 30,000 km.
   */
  @Test
  void whereAValueIsHeadingIsDrawn() {
    Visitor.Page page = values("RT-04");
    assertThat(page.words()).contains("sound: 8 mm to 12 mm", "12 mm is reached about at");
    assertThat(page.document().select("tbody tr")).hasSize(3);
    long latest = kilometres(page.document().select("tbody tr td.num").get(0).text());
    long reached = kilometres(page.words().replaceAll(".*reached about at ([0-9,.]+) km.*", "$1"));
    assertThat(reached - latest).isEqualTo(30_000);
    assertThat(page.document().select("svg circle")).hasSize(3);
    assertThat(visitor.get("/fleet/RT-04/values/999").status()).isEqualTo(404);
  }

  private static long kilometres(String text) {
    return Math.round(Double.parseDouble(text.replaceAll("[^0-9.]", "")));
  }

  /** The name of a field of the belt's inspection. */
  private static String field(Visitor.Page work, String which) {
    return work.document().select(".tick-row:contains(Inspect fan belt) " + which).attr("name");
  }

  /** The inspection is ticked, at what the road meter shows. */
  private Map<String, String> ticked(Visitor.Page work, String unit) {
    String shown = visitor.get("/fleet/" + unit).document().select(".figure:contains(km)").text();
    return new HashMap<>(
        Map.of(
            "note",
            "North yard",
            field(work, "input[type=checkbox]"),
            "yes",
            work.document().select("[name^=meter-]").attr("name"),
            shown.replaceAll("[^0-9]", "")));
  }

  /** Half an inch is 12.7 mm, which is too much: nobody may call it sound, and it is tightened. */
  @Test
  void aValueIsTypedInTheUnitOfItsGauge() {
    Visitor.Page work = visitor.get("/fleet/RT-02/work");
    Map<String, String> typed = ticked(work, "RT-02");
    String met = field(work, "input[name^=value-]");
    String left = field(work, "input[name^=after-]");
    typed.put(met, "half an inch");
    Visitor.Page unread = visitor.submit(work.form("/work"), typed);
    assertThat(unread.words())
        .contains("\"half an inch\" is no length; write a number: mm, cm or in.");
    assertThat(unread.document().select("[name=" + met + "]").val()).isEqualTo("half an inch");
    typed.put(met, "");
    typed.put(left, "10 mm");
    assertThat(visitor.submit(unread.form("/work"), typed).words())
        .contains("It was left at 10 mm; say what it was before, or what was done about it.");
    typed.put(left, "");
    typed.put(met, "1/2 in");
    Visitor.Page outside = visitor.submit(unread.form("/work"), typed);
    assertThat(outside.words()).contains("12.7 mm is out of limits (8 mm to 12 mm).");
    typed.put(field(work, "select"), "adjusted");
    Visitor.Page tightened = visitor.submit(outside.form("/work"), typed);
    assertThat(tightened.words()).contains("What was adjusted has a value afterwards.");
    typed.put(left, "10");
    Visitor.Page noted = visitor.submit(tightened.form("/work"), typed);
    assertThat(noted.text("tbody tr:contains(North yard)"))
        .contains("Inspect fan belt: adjusted, 12.7 mm, then 10 mm");
    assertThat(values("RT-02").document().select("tbody tr").first().text())
        .contains("12.7 mm", "10 mm", "adjusted");
    assertThat(SERVER.isSound()).isTrue();
  }

  /** 13 mm is too much and nobody had time: it is on record, and a finding of the machine. */
  @Test
  void whatStaysOutsideItsLimitsIsAFinding() {
    Visitor.Page work = visitor.get("/fleet/RT-07/work");
    Map<String, String> typed = ticked(work, "RT-07");
    typed.put(field(work, "input[name^=value-]"), "13");
    typed.put(field(work, "select"), "left");
    visitor.submit(work.form("/work"), typed);
    assertThat(visitor.get("/wanted?of=RT-07").words())
        .contains("Inspect fan belt: 13 mm, sound is 8 mm to 12 mm");
  }
}
