package dev.lonja.app.unit;

import static org.assertj.core.api.Assertions.assertThat;

import dev.lonja.app.server.LonjaServer;
import dev.lonja.app.server.Visitor;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.springframework.web.servlet.mvc.method.annotation.RequestMappingHandlerMapping;

/** Units that come into the fleet and leave it, over HTTP. */
class UnitsTest {

  @RegisterExtension static final LonjaServer SERVER = LonjaServer.withDemo();

  private final Visitor visitor = SERVER.signedInAs("storekeeper");

  /** Like RT-01: the same variant and both meters; its running-in change comes at 2,500 km. */
  @Test
  void aNewUnitIsLikeOneThatIsThere() {
    Visitor.Page next = add("RT-01", Map.of("code", "rt-11", "name", "Refrigerated truck"));
    assertThat(next.path()).isEqualTo("/fleet/RT-11/last-done");
    assertThat(visitor.get("/fleet/RT-11").words())
        .contains("Corvane T7, 4.2", "9.60 L drain with filter", "Meter: road", "Meter: cold unit")
        .contains("no record; counted from 15 Mar at 0 km")
        .contains("at 2,500 km or by 15 Mar 2028");
    assertThat(SERVER.isSound()).isTrue();
  }

  @Test
  void everyWrongFieldIsNamedAndStays() {
    Map<String, String> typed = new HashMap<>();
    typed.put("code", "RT-02");
    typed.put("name", " ");
    typed.put("inService", "2027-03-16");
    typed.put("meter-1-start", "-1");
    typed.put("meter-2-start", "1,500");
    typed.put("layUpFirst", "2027-05-02");
    typed.put("layUpLast", "2027-05-01");
    Visitor.Page answer = add("RT-01", typed);
    assertThat(answer.words())
        .contains("What it is is missing.")
        .contains("What it stood at is -1; allowed is 0 to 10000000.")
        .contains("\"1,500\" has a comma that may stand for thousands.")
        .contains("It ends before it begins; allowed is 2027-05-02 or later.");
    assertThat(answer.document().select("#code").val()).isEqualTo("RT-02");
    assertThat(answer.document().select("[name=meter-2-start]").val()).isEqualTo("1,500");
    Map<String, String> taken = Map.of("code", "RT-02", "name", "x", "inService", "2027-03-16");
    assertThat(add("RT-01", taken).words())
        .contains("There is a unit RT-02 already.")
        .contains("2027-03-16 is in the future");
    for (String code : new String[] {"due", "A B", "", "-X", "X".repeat(21)}) {
      assertThat(add("RT-01", Map.of("code", code, "name", "x")).words())
          .as(code)
          .contains("cannot be a code");
    }
  }

  /** Whichever model the page begins with, its meters stand there too. */
  @Test
  void thePageBeginsWithAModelAndItsMeters() {
    Visitor.Page page = visitor.get("/fleet/new");
    assertThat(page.document().select("#meter-1-name").val()).isNotEmpty();
    Visitor.Page sent = send(page, Map.of("code", "ZZ-1", "name", "x", "meter-3-start", "7"));
    assertThat(sent.words()).contains("Name the meter that this is about");
    assertThat(sent.document().select("#meter-3-start").val()).isEqualTo("7");
  }

  /** What the book says and a machine turned out not to have is told before another is taken in. */
  @Test
  void whatTheBookSaidWronglyIsToldAgain() {
    String words = "BH-2 has no Return filter: this tank has a suction strainer instead";
    assertThat(visitor.get("/fleet/new?variant=8").words()).contains(words);
    assertThat(visitor.get("/fleet/variants/8").words()).contains(words);
    assertThat(visitor.get("/fleet/new?variant=1").words()).doesNotContain("strainer");
  }

  /** Its tasks count by a meter called road, so that none of its units goes without. */
  @Test
  void metersAreHeldAgainstTheModel() {
    Map<String, String> other = new HashMap<>(Map.of("code", "RT-90", "name", "x"));
    other.put("meter-1-name", "odometer");
    other.put("meter-2-measure", "km");
    other.put("meter-3-name", "odometer");
    assertThat(add("RT-01", other).words())
        .contains("Its tasks count by a meter called road, which is not among its own.")
        .contains("The meter cold unit of this variant counts h.")
        .contains("Two of its meters are called odometer.");
    assertThat(add("RT-01", Map.of("code", "RT-90", "name", "x", "meter-1-perDay", "1501")).words())
        .contains("A day is 1501 km; allowed is 0 to 1,500 km.");
    Map<String, String> below = new HashMap<>(Map.of("code", "RT-90", "name", "x"));
    below.put("meter-1-start", "500");
    below.put("meter-1-shows", "400");
    assertThat(add("RT-01", below).words())
        .contains("The meter road stood at 500 km that day and cannot show 400 km today.");
    assertThat(visitor.get("/fleet/RT-90").status()).isEqualTo(404);
  }

  /**
   * The first machine of a model and a class that were not there: in service since 1 April 2026, it
   * shows 12 h today and is said to run 2 h a day. Refused as a whole if any part of it is.
   */
  @Test
  void aUnitComesWithItsClassAndItsModel() {
    Map<String, String> typed = new HashMap<>();
    typed.put("make", "Corvane");
    typed.put("model", "T7");
    typed.put("engine", "4.2");
    typed.put("code", "RM-01");
    typed.put("name", "Ride-on mower");
    typed.put("inService", "2026-04-01");
    typed.put("unitClass", "new");
    typed.put("classCode", "RT");
    typed.put("className", "Mowers");
    typed.put("meter-1-name", "hours");
    typed.put("meter-1-shows", "12");
    typed.put("meter-1-perDay", "2");
    typed.put("layUpFirst", "2027-11-01");
    typed.put("layUpLast", "2028-03-31");
    Visitor.Page refused = addNew(typed);
    assertThat(refused.words())
        .contains("There is Corvane T7, 4.2 already; choose it, or name the engine")
        .contains("There is a class RT already; choose it above.");
    assertThat(refused.document().select("[name=className]").val()).isEqualTo("Mowers");
    typed.put("make", "Tarrowby");
    typed.put("model", "Lawn 22");
    typed.put("engine", "");
    typed.put("classCode", "rm");
    Visitor.Page next = addNew(typed);
    assertThat(next.path()).isEqualTo("/fleet/RM-01/last-done");
    assertThat(next.words()).contains("Say what it takes, then when each was last done.");
    Visitor.Page meters = visitor.get("/fleet/RM-01/meters");
    assertThat(meters.words())
        .contains("12 h", "2.00 h a day, declared", "1 Nov to 31 Mar 2028", "Mowers");
    assertThat(visitor.get("/fleet/classes/RM").words()).contains("RM-01");
    assertThat(SERVER.isSound()).isTrue();
  }

  /** A unit that is called like a page of the fleet could never be opened. */
  @Test
  void noUnitIsCalledLikeAPage() {
    List<String> pages =
        SERVER.bean(RequestMappingHandlerMapping.class).getHandlerMethods().keySet().stream()
            .flatMap(info -> info.getPatternValues().stream())
            .filter(path -> path.matches("/fleet/[a-z-]+"))
            .map(path -> path.substring("/fleet/".length()))
            .distinct()
            .toList();
    assertThat(pages).contains("costs", "due");
    for (String page : pages) {
      assertThat(add("RT-01", Map.of("code", page, "name", "x")).words())
          .as(page)
          .contains("cannot be a code");
    }
  }

  @Test
  void aUnitIsEditedByOneAtATime() {
    Visitor.Page mine = visitor.get("/fleet/PW-4");
    Visitor.Page edited =
        visitor.submit(
            mine.form("/edit"),
            Map.of("name", "Washer at the slip", "unitClass", "BH", "inService", "2024-02-29"));
    assertThat(edited.words()).contains("Washer at the slip", "Boat hoists", "29 Feb 2024");
    Visitor.Page late = visitor.submit(mine.form("/edit"), otherKey("name", "Washer"));
    assertThat(late.words()).contains("Someone else changed this meanwhile.");
    Visitor.Page wrong =
        visitor.submit(
            edited.form("/edit"), Map.of("name", "", "unitClass", "", "inService", "2023-02-29"));
    assertThat(visitor.submit(edited.form("/edit"), otherKey("unitClass", "")).words())
        .contains("Choose a class of units.");
    assertThat(wrong.words())
        .contains("The name is missing.")
        .contains("\"2023-02-29\" is not a date.");
    assertThat(wrong.document().select("#edit-day").val()).isEqualTo("2023-02-29");
    assertThat(SERVER.isSound()).isTrue();
  }

  private static Map<String, String> otherKey(String field, String value) {
    return Map.of(field, value, "requestKey", "another-key-of-mine");
  }

  /** Out of the fleet: no longer listed or forecast, its page still there with its history. */
  @Test
  void aRetiredUnitKeepsItsHistory() {
    Visitor.Page page = visitor.get("/fleet/GN-3");
    assertThat(visitor.submit(page.form("/retire"), Map.of("why", " ")).words())
        .contains("The reason is missing.");
    Visitor.Page list = visitor.submit(page.form("/retire"), Map.of("why", "sold to the mill"));
    assertThat(list.path()).isEqualTo("/fleet");
    assertThat(list.words()).doesNotContain("GN-3");
    assertThat(visitor.get("/fleet/due").words()).doesNotContain("GN-3");
    Visitor.Page after = visitor.get("/fleet/GN-3");
    assertThat(after.status()).isEqualTo(200);
    assertThat(after.words()).contains("Retired on 15 Mar");
    assertThat(after.hasForm("/retire")).isFalse();
    assertThat(SERVER.isSound()).isTrue();
  }

  /** GN-2 is sold for 1 September 2027: planned for until then, and its page says so. */
  @Test
  void aUnitThatLeavesLaterIsPlannedForUntilThen() {
    Visitor.Page page = visitor.get("/fleet/GN-2");
    Visitor.Page refused =
        visitor.submit(page.form("/retire"), Map.of("why", "sold", "on", "2001-01-01"));
    assertThat(refused.document().select("#leaves-on-wrong").text())
        .contains("2001-01-01 is before its first day of service");
    Visitor.Page after =
        visitor.submit(page.form("/retire"), Map.of("why", "sold", "on", "2027-09-01"));
    assertThat(after.path()).isEqualTo("/fleet/GN-2");
    assertThat(after.words()).contains("Leaves the fleet on 1 Sep; planned for until then.");
    assertThat(visitor.get("/fleet").words()).contains("GN-2");
  }

  @Test
  void aUnitWithAnOpenTrayStays() {
    Visitor.Page page = visitor.get("/fleet/RT-04");
    assertThat(visitor.submit(page.form("/retire"), Map.of("why", "old")).words())
        .contains("is open for it. Put it back first.");
    assertThat(visitor.get("/fleet").words()).contains("RT-04");
  }

  @Test
  void onlyTheStorekeeperChangesTheFleet() {
    assertThat(SERVER.signedInAs("buyer").get("/fleet/new").status()).isEqualTo(403);
    assertThat(SERVER.signedInAs("workshop").get("/fleet/RT-04").hasForm("/retire")).isFalse();
  }

  private Visitor.Page add(String like, Map<String, String> typed) {
    return send(visitor.get("/fleet/new?like=" + like), typed);
  }

  private Visitor.Page addNew(Map<String, String> typed) {
    return send(visitor.get("/fleet/new?variant=new"), typed);
  }

  private Visitor.Page send(Visitor.Page page, Map<String, String> typed) {
    var form =
        (org.jsoup.nodes.FormElement)
            page.document().selectFirst("form[method=post][action$=/fleet/new]");
    return visitor.submit(form, typed);
  }
}
