package dev.lonja.app.tray;

import static org.assertj.core.api.Assertions.assertThat;

import dev.lonja.app.server.LonjaServer;
import dev.lonja.app.server.Visitor;
import dev.lonja.core.fleet.Position;
import dev.lonja.core.fleet.Unit;
import dev.lonja.core.machine.ShelfFacts;
import dev.lonja.core.person.PersonId;
import dev.lonja.core.quantity.Money;
import dev.lonja.core.quantity.Quantity;
import dev.lonja.core.tray.TrayId;
import dev.lonja.store.tray.Tray;
import java.util.Map;
import java.util.Optional;
import org.jsoup.nodes.Element;
import org.jsoup.nodes.FormElement;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.Timeout;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.springframework.security.crypto.bcrypt.BCryptPasswordEncoder;

/** Trays over HTTP, each test on a tray of its own. */
class TrayPagesTest {

  @RegisterExtension static final LonjaServer SERVER = LonjaServer.withDemo();

  private final Visitor visitor = SERVER.signedInAs("storekeeper");

  /** AT-1: oil 2.70 L with filter, 2.40 L first; three drains, each with its new seal. */
  @Test
  void aTrayIsStartedFromTheUnitWithEveryLineOfItsService() {
    Visitor.Page tray = start("AT-1");
    assertThat(tray.words())
        .contains("Pour 2.40 L first, keep 300 mL for after running.")
        .contains("Drain seal: always a new seal (the store's policy)")
        .contains("Cover 9 N·m, crosswise.")
        .contains("9 N·m · 6.6 lbf·ft · 80 lbf·in")
        .contains("Hot oil. Burns skin. Let it cool, wear gloves and goggles.")
        .containsOnlyOnce("Under the machine. Never under one that is held only by a jack")
        .contains("The machine's manual, the safety data sheet, local rules");
    Visitor.Page again = visitor.get("/fleet/AT-1");
    assertThat(again.hasForm("/trays/start")).isFalse();
  }

  @Test
  void scannedNumbersLayLinesAndWrongOnesAreNamed() {
    Visitor.Page tray = start("AT-2");
    assertThat(scan(tray, "OS 999").words()).contains("No item has the number \"OS 999\".");
    assertThat(scan(tray, "…-/").words()).contains("holds no letter and no digit");
    assertThat(scan(tray, "NT 50 330").words()).contains("NT 50 330 is not on this tray.");
    Visitor.Page laid = scan(tray, "du104-4");
    assertThat(laid.path()).isEqualTo(tray.path());
    assertThat(laid.document().select("li.is-laid").text()).contains("DU 104-4");
    assertThat(scan(tray, "DU 104-4").words()).contains("DU 104-4 is laid in full already.");
    Visitor.Page refused = scan(tray, "nothing");
    assertThat(refused.document().select("[data-scan]").attr("value")).isEqualTo("nothing");
  }

  /** Two spark plugs are wanted: one scan lays one of them. */
  @Test
  void aScanLaysOnePiece() {
    Visitor.Page tray = start("RT-01");
    visitor.submit(
        visitor.get("/items/" + SERVER.itemId("OS Z11")).form("/put-on"), Map.of("quantity", "2"));
    Visitor.Page once = scan(tray, "OSZ11");
    assertThat(once.document().select("li:contains(OS Z11)").text()).contains("laid in part");
    assertThat(scan(tray, "OSZ11").document().select("li.is-laid").text()).contains("OS Z11");
  }

  @Test
  void whatIsPutOnNeedsAnAmountThatCanBeLaid() {
    Visitor.Page tray = start("VN-1");
    String item = "/items/" + SERVER.itemId("HC 12-16");
    for (String wrong : new String[] {"0", "-1", "1.5", "1,5", "two", ""}) {
      Visitor.Page answer =
          visitor.submit(visitor.get(item).form("/put-on"), Map.of("quantity", wrong));
      assertThat(answer.words()).as(wrong).contains("Nothing was changed.");
    }
    assertThat(lines(tray)).isEqualTo(linesOf("VN-1"));
    visitor.submit(visitor.get(item).form("/put-on"), Map.of("quantity", "500"));
    Visitor.Page scanned = visitor.get(tray.path());
    assertThat(scanned.document().select("li:contains(HC 12-16)").text()).contains("short");
    assertThat(scanned.document().select("li:contains(HC 12-16) .tick[disabled]")).hasSize(1);
  }

  /** FL-2's tray is ready. Handing over writes the ledger and the reading, once. */
  @Test
  void handingOverIsDoneOnceAndUndoingCopesWithWhatCameBack() {
    Visitor.Page tray = visitor.get("/trays/" + trayId("FL-2"));
    assertThat(tray.text(".title")).contains("ready");
    assertThat(visitor.get("/fleet/FL-2").words()).contains("16 Mar");
    Map<String, String> fields =
        Visitor.filled(
            tray.form("/hand-over"), Map.of("mechanic", "workshop", meterField(tray), "4386.2"));
    String action = tray.form("/hand-over").attr("action");
    Quantity before = SERVER.onHand("NT 20 611");
    Visitor.Page done = visitor.post(action, fields);
    assertThat(done.words()).contains("out", "to workshop on 15 Mar");
    assertThat(SERVER.onHand("NT 20 611")).isEqualTo(before.minus(Quantity.pieces(1)));
    assertThat(visitor.post(action, fields).path()).isEqualTo(tray.path());
    assertThat(SERVER.onHand("NT 20 611")).isEqualTo(before.minus(Quantity.pieces(1)));
    assertThat(SERVER.signedInAs("workshop").get(tray.path()).status()).isEqualTo(200);
    assertThat(SERVER.isSound()).isTrue();

    // one air filter comes back; three would be more than went out
    Visitor.Page back = takeBack(done, "NT 50 330", "3");
    assertThat(back.words()).contains("3 would come back, 1 is out.");
    assertThat(takeBack(done, "NT 50 330", "1").words()).contains("1 came back");

    // and then the whole thing turns out to be the wrong forklift
    Visitor.Page undo = visitor.get(tray.path());
    Visitor.Page noReason = visitor.submit(undo.form("/undo"), Map.of("reason", " "));
    assertThat(noReason.words()).contains("The reason is missing.");
    onlyOneEuroAlone(true);
    Visitor.Page alone = visitor.submit(undo.form("/undo"), Map.of("reason", "was FL-1"));
    assertThat(alone.words()).contains("above 1.00 EUR a second person signs");
    assertThat(SERVER.onHand("NT 20 611")).isEqualTo(before.minus(Quantity.pieces(1)));
    Visitor.Page undone =
        visitor.submit(
            alone.form("/undo"),
            Map.of("reason", "was FL-1", "secondPerson", "administrator", "pin", "4711"));
    onlyOneEuroAlone(false);
    assertThat(undone.text(".title")).contains("0 of 3 laid");
    assertThat(SERVER.onHand("NT 20 611")).isEqualTo(before);
    assertThat(SERVER.isSound()).isTrue();
  }

  @Test
  void aHandOverNeedsAMechanicAndAReadingThatCanBe() {
    Visitor.Page tray = visitor.get("/trays/" + trayId("VN-2"));
    Visitor.Page empty = visitor.submit(tray.form("/hand-over"), Map.of());
    assertThat(empty.words())
        .contains("The mechanic's name is missing.")
        .contains("The meter reading is missing.");
    Visitor.Page backwards =
        visitor.submit(
            tray.form("/hand-over"), Map.of("mechanic", "workshop", meterField(tray), "40000"));
    assertThat(backwards.words())
        .contains("40,000 km is below the last accepted reading, 41,900 km on 2027-03-15.");
    assertThat(backwards.document().select("#mechanic").attr("value")).isEqualTo("workshop");
    assertThat(backwards.document().select("[name^=meter-]").attr("value")).isEqualTo("40000");
    assertThat(visitor.get(tray.path()).hasForm("/hand-over")).isTrue();
  }

  /** Someone takes a line off while the form is open elsewhere: the form is stale. */
  @Test
  void aStaleHandOverIsRefusedAndShowsTheTrayAsItIs() {
    Visitor.Page tray = start("RT-03");
    leaveOutAll(tray);
    visitor.submit(
        visitor.get("/items/" + SERVER.itemId("HC 16-25")).form("/put-on"),
        Map.of("quantity", "1"));
    Visitor.Page ready = scan(tray, "HC 16-25");
    Map<String, String> fields =
        Visitor.filled(ready.form("/hand-over"), Map.of("mechanic", "workshop"));
    ready
        .document()
        .select("[name^=meter-]")
        .forEach(field -> fields.put(field.attr("name"), meterNow(field.attr("placeholder"))));
    Visitor other = SERVER.signedInAs("administrator");
    Visitor.Page seen = other.get(tray.path());
    other.submit(seen.form("/take-off"), Map.of());
    Visitor.Page answer = visitor.post(ready.form("/hand-over").attr("action"), fields);
    assertThat(answer.words()).contains("Not every line is laid.");
    other.submit(
        (FormElement)
            other
                .get(tray.path())
                .document()
                .selectFirst(".lines > li:contains(HC 16-25) form[action$=/lay]"),
        Map.of());
    fields.put("requestKey", "another-key-0001");
    Visitor.Page stale = visitor.post(ready.form("/hand-over").attr("action"), fields);
    assertThat(stale.words()).contains("The tray has changed since this form was shown");
    assertThat(SERVER.onHand("HC 16-25")).isEqualTo(Quantity.pieces(onHandAtFirst("HC 16-25")));
  }

  /** What is left out needs a reason, stays visible and can be asked for again. */
  @Test
  void whatIsLeftOutStaysVisibleAndItsTaskIsOpen() {
    Visitor.Page tray = start("RT-06");
    String filter = "li:contains(Oil filter)";
    Element line = tray.document().selectFirst(".lines > " + filter);
    FormElement leave = (FormElement) line.selectFirst("form[action$=/leave-out]");
    assertThat(visitor.submit(leave, Map.of()).words()).contains("Why it is left out is missing.");
    Visitor.Page left = visitor.submit(leave, Map.of("why", "the old one is a week old"));
    assertThat(left.document().select(".lines > " + filter).text())
        .contains("left out the old one is a week old");
    Visitor.Page wanted =
        visitor.submit(
            (FormElement)
                left.document().selectFirst(".lines > " + filter + " form[action$=/want-again]"),
            Map.of());
    assertThat(wanted.document().select(".lines > " + filter).text()).doesNotContain("left out");
    assertThat(wanted.document().select(".lines > " + filter + " .tick[aria-pressed=false]"))
        .hasSize(1);
  }

  /** The filter is taken out of VN-3's variant: its tray says so where the line would stand. */
  @Test
  void whatTheMachinesDataLackIsALineThatSaysSo() {
    Unit van = SERVER.store().<Unit>read(s -> s.fleet().unitByCode("VN-3").orElseThrow());
    SERVER
        .store()
        .write(
            session -> {
              session.fleet().needs(ShelfFacts.NONE).get(van.variant().id()).positions().stream()
                  .filter(position -> position.kind() == Position.Kind.OIL_FILTER)
                  .forEach(
                      position ->
                          session.variants().save(van.variant().id(), withoutItem(position)));
              return true;
            });
    Visitor.Page tray = start("VN-3");
    assertThat(tray.document().select(".lines > li:contains(no item chosen)").text())
        .contains("not known", "say which");
    assertThat(tray.document().select("a:contains(say which)").attr("href"))
        .isEqualTo("/fleet/variants/" + van.variant().id());
  }

  private static Position withoutItem(Position of) {
    return new Position(
        of.id(),
        of.name(),
        of.kind(),
        of.compartmentId(),
        Optional.empty(),
        of.quantity(),
        of.strokes(),
        of.torque(),
        of.mounting(),
        of.thread(),
        of.drive(),
        of.note(),
        Optional.empty(),
        of.limits());
  }

  @Test
  void aTrayPutBackHoldsNothing() {
    Visitor.Page tray = visitor.get("/trays/" + trayId("GN-2"));
    Visitor.Page cleared = visitor.submit(tray.form("/clear"), Map.of());
    assertThat(cleared.path()).isEqualTo("/trays");
    Visitor.Page again = visitor.get(tray.path());
    assertThat(again.text(".title")).contains("put back");
    assertThat(again.hasForm("/scan")).isFalse();
    Map<String, String> scan = Visitor.filled(tray.form("/scan"), Map.of("code", "TM-3308"));
    assertThat(visitor.post(tray.form("/scan").attr("action"), scan).words())
        .contains("This tray is not open any more.");
  }

  private void leaveOutAll(Visitor.Page tray) {
    Visitor.Page page = tray;
    while (page.hasForm("/leave-out")) {
      page = visitor.submit(page.form("/leave-out"), Map.of("why", "not today"));
    }
  }

  private Visitor.Page start(String unit) {
    return visitor.submit(visitor.get("/fleet/" + unit).form("/trays/start"), Map.of());
  }

  private Visitor.Page scan(Visitor.Page tray, String code) {
    String path = tray.path().replaceAll("(/trays/\\d+).*", "$1");
    return visitor.submit(visitor.get(path).form("/scan"), Map.of("code", code));
  }

  private Visitor.Page takeBack(Visitor.Page tray, String number, String quantity) {
    Visitor.Page page = visitor.get(tray.path());
    var form =
        (org.jsoup.nodes.FormElement)
            page.document().selectFirst("li:contains(" + number + ") form[action$=/take-back]");
    return visitor.submit(form, Map.of("back", quantity));
  }

  private static String meterField(Visitor.Page tray) {
    return tray.document().select("[name^=meter-]").attr("name");
  }

  /** "about 142,900 km" → "142900". */
  private static String meterNow(String placeholder) {
    return placeholder.replaceAll("[^0-9.]", "");
  }

  private static int lines(Visitor.Page tray) {
    return tray.document().select(".lines > li").size();
  }

  private int linesOf(String unit) {
    return lines(visitor.get("/trays/" + trayId(unit)));
  }

  private static TrayId trayId(String unit) {
    return SERVER
        .store()
        .<TrayId>read(
            session ->
                session.trays().open().stream()
                    .filter(tray -> tray.unitCode().filter(unit::equals).isPresent())
                    .map(Tray::id)
                    .findFirst()
                    .orElseThrow());
  }

  private static long onHandAtFirst(String number) {
    return SERVER
        .store()
        .<Long>read(
            session ->
                session.ledger().latest(SERVER.itemId(number), 1_000).stream()
                        .mapToLong(line -> line.quantity().millionths())
                        .sum()
                    / 1_000_000);
  }

  /** Above one euro the administrator signs as the second person, or nobody does. */
  private static void onlyOneEuroAlone(boolean so) {
    String pin = new BCryptPasswordEncoder(4).encode("4711");
    PersonId admin = SERVER.personId("administrator");
    SERVER
        .store()
        .write(
            session -> {
              Money one = new Money(100, session.settings().currency());
              session.settings().setMostAlone(so ? Optional.of(one) : Optional.empty());
              session.people().setPin(admin, Optional.of(pin));
              return true;
            });
  }

  /** Nobody lays a tray for a service in a hundred years, and nobody waits for one. */
  @ParameterizedTest
  @ValueSource(strings = {"2199-12-31", "2150-01-01"})
  @Timeout(10)
  void aDayFarAheadIsAnsweredAtOnce(String day) {
    Visitor visitor = SERVER.signedInAs("storekeeper");
    Visitor.Page page = visitor.get("/fleet/RT-03");
    Map<String, String> fields = Visitor.filled(page.form("/trays/start"), Map.of("day", day));
    assertThat(visitor.post("/trays/start", fields).path()).startsWith("/fleet/RT-03");
    fields.put("day", "9999-12-31");
    assertThat(visitor.post("/trays/start", fields).status()).isEqualTo(400);
  }
}
