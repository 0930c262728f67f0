package dev.lonja.app.unitclass;

import static org.assertj.core.api.Assertions.assertThat;

import dev.lonja.app.server.LonjaServer;
import dev.lonja.app.server.Visitor;
import java.util.HashMap;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;

/** Classes of units, their months and their calendars, over HTTP. */
class ClassesTest {

  @RegisterExtension static final LonjaServer SERVER = LonjaServer.withDemo();

  private final Visitor visitor = SERVER.signedInAs("storekeeper");

  /** Eleven times 2 and once 0: the mean is 22 / 12, so each 2 becomes 24 / 22 = 1.0909. */
  @Test
  void typedMonthsAreScaledToMeanOne() {
    Visitor.Page page = months("VN", 0, "0", "2");
    assertThat(page.document().select("#month-1").val()).isEqualTo("0");
    assertThat(page.document().select("#month-7").val()).startsWith("1.09");
    assertThat(SERVER.isSound()).isTrue();
  }

  @Test
  void wrongMonthsAreNamedAndStay() {
    assertThat(months("BH", 0, "0", "0").words()).contains("All twelve months are 0");
    Visitor.Page page = months("BH", 3, "-1", "1");
    assertThat(page.words()).contains("April is -1; allowed is 0 to 12.");
    assertThat(page.document().select("#month-4").val()).isEqualTo("-1");
    assertThat(months("BH", 3, "1,500", "1").words())
        .contains("\"1,500\" has a comma that may stand for thousands.");
  }

  /** The trucks were read through all twelve months; what was learned is taken with one press. */
  @Test
  void whatTheReadingsSuggestIsTaken() {
    Visitor.Page page = visitor.get("/fleet/classes/RT");
    assertThat(page.words()).contains("What the readings of two years suggest");
    String learned = page.document().select("form:not([x-data]) input[name=month-7]").val();
    Visitor.Page taken =
        visitor.submit(
            (org.jsoup.nodes.FormElement)
                page.document().select("form:has(button:contains(Take these))").first(),
            Map.of());
    assertThat(taken.document().select("#month-7").val()).isEqualTo(learned);
  }

  /** A copy takes the months; empty it can be deleted, with a retired unit in it, it cannot. */
  @Test
  void aClassIsCopiedAndDeletedWhileItIsEmpty() {
    Visitor.Page page = visitor.get("/fleet/classes");
    Visitor.Page copy =
        visitor.submit(
            page.form("/fleet/classes"), Map.of("code", "T2", "name", "Tugs", "like", "WB"));
    assertThat(copy.document().select("#month-8").val()).isEqualTo("1.5");
    Visitor.Page gone = visitor.submit(copy.form("/delete"), Map.of());
    assertThat(gone.path()).isEqualTo("/fleet/classes");
    assertThat(gone.words()).doesNotContain("Tugs");
    Map<String, String> forced = Visitor.filled(copy.form("/delete"), Map.of());
    forced.put("requestKey", "a-key-of-its-own");
    assertThat(visitor.post("/fleet/classes/WB/delete", forced).words())
        .contains("It cannot be deleted: 5 units belong to it.");
    assertThat(SERVER.isSound()).isTrue();
  }

  @Test
  void twoPeopleDoNotOverwriteEachOther() {
    Visitor.Page mine = visitor.get("/fleet/classes/SE");
    months("SE", 0, "1", "1");
    Visitor.Page late = visitor.submit(mine.form("/months"), Map.of("month-1", "3"));
    assertThat(late.words()).contains("Someone else changed this meanwhile.");
  }

  @Test
  void aClassIsAddedNamedAndDrawn() {
    Visitor.Page page = visitor.get("/fleet/classes");
    Visitor.Page added =
        visitor.submit(page.form("/fleet/classes"), Map.of("code", "tr", "name", "Trailers"));
    assertThat(added.path()).isEqualTo("/fleet/classes/TR");
    assertThat(added.words()).contains("No unit belongs to it yet.");
    Visitor.Page edited =
        visitor.submit(added.form("/edit"), Map.of("name", "Boat trailers", "outline", "CARRIER"));
    assertThat(edited.words()).contains("Boat trailers");
    assertThat(visitor.submit(page.form("/fleet/classes"), twice("TR")).words())
        .contains("There is a class TR already.");
    assertThat(visitor.submit(page.form("/fleet/classes"), twice("no good")).words())
        .contains("cannot be a code");
  }

  private static Map<String, String> twice(String code) {
    return Map.of("code", code, "name", "x", "requestKey", "another-key-" + code.hashCode());
  }

  /** Who knows the address reads the calendar without signing in; a new one ends the old. */
  @Test
  void theCalendarHasASecretAddress() {
    Visitor.Page page = visitor.get("/fleet/classes/GN");
    assertThat(page.words()).contains("No address yet.");
    Visitor.Page with = visitor.submit(page.form("/feed"), Map.of());
    String address = with.document().select("a[href^=/feeds/]").attr("href");
    Visitor stranger = new Visitor(SERVER.url());
    Visitor.Page feed = stranger.get(address);
    assertThat(feed.status()).isEqualTo(200);
    assertThat(feed.response().headers().firstValue("Content-Type").orElse(""))
        .startsWith("text/calendar");
    // GN-2's yearly service is overdue and so planned for today
    assertThat(feed.response().body())
        .startsWith("BEGIN:VCALENDAR")
        .contains("DTSTART;VALUE=DATE:20270315", "SUMMARY:GN-2 Yearly service", "UID:unit-")
        .doesNotContain("RT-0");
    Visitor.Page renewed = visitor.submit(with.form("/feed"), Map.of());
    assertThat(stranger.get(address).status()).isEqualTo(404);
    String next = renewed.document().select("a[href^=/feeds/]").attr("href");
    assertThat(stranger.get(next).status()).isEqualTo(200);
    assertThat(stranger.get("/feeds/" + "0".repeat(32) + ".ics").status()).isEqualTo(404);
    assertThat(SERVER.signedInAs("auditor").get("/fleet/classes/GN").hasForm("/feed")).isFalse();
  }

  /** Every month as {@code rest}, one of them as {@code one}. */
  private Visitor.Page months(String code, int at, String one, String rest) {
    Map<String, String> typed = new HashMap<>();
    for (int month = 0; month < 12; month++) {
      typed.put("month-" + (month + 1), month == at ? one : rest);
    }
    return visitor.submit(visitor.get("/fleet/classes/" + code).form("/months"), typed);
  }
}
