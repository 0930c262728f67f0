package dev.lonja.app.buy;

import static org.assertj.core.api.Assertions.assertThat;

import dev.lonja.app.server.LonjaServer;
import dev.lonja.app.server.Visitor;
import dev.lonja.core.quantity.Quantity;
import java.nio.charset.StandardCharsets;
import java.util.HashMap;
import java.util.Map;
import org.jsoup.nodes.Element;
import org.jsoup.nodes.FormElement;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.Timeout;
import org.junit.jupiter.api.extension.RegisterExtension;

/**
 * Orders of the demo's store. On Monday 15 March order 7 of Cabo Norte Supply is confirmed for
 * Thursday, 9 of Veldmark is four days late, and what came of 10 is the wrong thing.
 */
@Timeout(120)
class OrdersTest {

  @RegisterExtension static final LonjaServer SERVER = LonjaServer.withDemo();

  private final Visitor buyer = SERVER.signedInAs("buyer");

  private static String fieldOf(String number) {
    return "amount-" + SERVER.itemId(number);
  }

  /** The page of what to order, once the trials are drawn. */
  private Visitor.Page buy() {
    SERVER.waitForTrials();
    return buyer.get("/buy");
  }

  private static Element lineOf(Visitor.Page page, String number) {
    return page.document().selectFirst("li:has(.plate-number:contains(" + number + "))");
  }

  /** A draft of Cabo Norte Supply with two of the fuel filter and nothing else. */
  private Visitor.Page draft() {
    // the key and the token of any form do; nobody waits for trials
    Map<String, String> fields =
        new HashMap<>(Visitor.filled(buyer.get("/buy/orders").form("/answers"), Map.of()));
    fields.put("supplier", "1");
    fields.put(fieldOf("RV 2210-4"), "2");
    return buyer.post("/buy", fields);
  }

  private static void drop(Visitor visitor, Visitor.Page order) {
    visitor.submit(order.form("/drop"), Map.of());
  }

  @Test
  void whatIsOpenLateAndWrongStandsOut() {
    Visitor.Page page = buyer.get("/buy/orders");
    assertThat(page.text("li:contains(Order 9)")).contains("Veldmark", "1 line overdue");
    assertThat(page.text("li:contains(Order 7)")).contains("7 lines", "confirmed");
    assertThat(page.text("section:contains(Claims)"))
        .contains("2 the wrong thing: the boxes say OS 107");
    assertThat(page.text("section:contains(Closed)")).contains("cancelled", "closed");
    String today = SERVER.signedInAs("storekeeper").get("/").words();
    assertThat(today)
        .contains("Order 9, Veldmark Marine Parts, is late")
        .contains("Order 7, Cabo Norte Supply, comes Thu 18");
  }

  /** Of the late filters four stand on order 9: they are not ordered again, but asked for. */
  @Test
  void whatIsOverdueIsNamedOnTheProposal() {
    assertThat(lineOf(buy(), "VM 22-1010").text())
        .contains("4 overdue since 11 Mar on order 9 (ask for it first)");
  }

  /** Confirmed for Thursday: the tide line steps up, and the table counts it. */
  @Test
  void whatIsPromisedIsReckonedWith() {
    Visitor.Page ahead = buyer.get("/ahead/" + SERVER.itemId("NT 20 640"));
    assertThat(ahead.words()).contains("1 free + 1 on 18 Mar");
    assertThat(ahead.document().select("svg text").eachText()).contains("+1, order 7");
  }

  /** Workshop supplies were ordered six times; all of it came. */
  @Test
  void whatCameClosesItsOrder() {
    Visitor.Page order = buyer.get("/buy/orders/3");
    assertThat(order.words()).contains("closed", "FNL 150", "5 came");
    // what came wants its labels, which the storekeeper prints
    Visitor.Page keepers = SERVER.signedInAs("storekeeper").get("/buy/orders/3");
    assertThat(keepers.document().select("li:contains(FNL 150) a[href*=/labels/items/]"))
        .hasSize(1);
    assertThat(order.document().select("a[href*=/labels/items/]")).isEmpty();
  }

  @Test
  void aDraftIsMadeOfWhatIsProposed() {
    Visitor.Page order = draft();
    assertThat(order.path()).startsWith("/buy/orders/");
    assertThat(order.words()).contains("Cabo Norte Supply", "draft", "44.80 EUR");
    assertThat(order.document().select("ul[aria-label=Lines] > li")).hasSize(1);
    drop(buyer, order);
  }

  /** Thirteen do not make packs of ten; what was typed stays. */
  @Test
  void anAmountThatIsNotSoldSoIsRefusedAtItsField() {
    Map<String, String> fields = Visitor.filled(buy().form("/buy"), Map.of());
    fields.put(fieldOf("Cu 14×18×1.5"), "13");
    Visitor.Page page = buyer.post("/buy", fields);
    Element line = lineOf(page, "Cu 14×18×1.5");
    assertThat(line.selectFirst(".field-error:not([x-ref])").text())
        .isEqualTo("It comes in packs of 10: order 10 or 20.");
    assertThat(line.selectFirst("input.figure").val()).isEqualTo("13");
    assertThat(buyer.get("/buy/orders").words()).doesNotContain("draft");
  }

  /** Two of 22.40 EUR; a longer time, with one pack more. */
  @Test
  void whatAnotherAmountMeansIsAnswered() {
    buy();
    String path = "/buy/items/" + SERVER.itemId("RV 2210-4");
    String two = buyer.ask(path + "?amount=2").response().body();
    assertThat(two).contains("\"money\":\"44.80 EUR\"", "\"packs\":\"1 × 2\"", "\"problem\":\"\"");
    assertThat(buyer.ask(path + "?amount=3").response().body()).contains("order 2 or 4");
    assertThat(buyer.ask(path + "?amount=-1").status()).isEqualTo(404);
  }

  /** Sends what a line's form at the door says, with these in it. */
  private Visitor.Page takeIn(Visitor.Page door, Map<String, String> fields) {
    Element form = door.document().selectFirst("form:has([name=damaged])");
    return buyer.post(form.attr("action"), Visitor.filled((FormElement) form, fields));
  }

  /** Drafted, sent, answered by the simulated supplier, taken in: then it lies on the shelf. */
  @Test
  void fromShortToShelf() {
    Visitor.Page draft = draft();
    Quantity before = SERVER.onHand("RV 2210-4");
    Visitor.Page sent = buyer.submit(draft.form("/send"), Map.of());
    assertThat(sent.words()).contains("waits to be handed to their system");
    buyer.submit(buyer.get("/buy/orders").form("/answers"), Map.of());
    Visitor.Page answered = buyer.get(sent.path());
    assertThat(answered.words()).contains("handed to their system", "What they said");
    Visitor.Page door = buyer.get("/buy/door?code=RV+2210-4");
    assertThat(door.words()).contains("Hold it against this", "M16×1.5");
    Visitor.Page back = takeIn(door, Map.of("quantity", "1", "damaged", "1", "note", "LN 5"));
    assertThat(back.words()).contains("closed", "2 came", "1 damaged");
    assertThat(SERVER.onHand("RV 2210-4")).isEqualTo(before.plus(Quantity.pieces(2)));
    assertThat(SERVER.isSound()).isTrue();
  }

  /**
   * Two of the fuel filter are awaited, and another number is scanned: the page says for what it
   * may have come and how it does there; it is kept only when somebody says so.
   */
  @Test
  void whatCameInPlaceOfWhatWasOrdered() {
    buyer.submit(draft().form("/send"), Map.of());
    Visitor.Page scanned = buyer.get("/buy/door?code=PL+88-F4");
    assertThat(scanned.text("section:contains(in place of)"))
        .contains("2 of 2")
        .contains(
            "Pellam PL 88-F4 fits wherever RV 2210-4 goes (RT-01 Fuel filter, RT-02 Fuel filter,")
        .contains("RT-04 Fuel filter and 6 more).");
    Visitor.Page form =
        buyer.get(scanned.document().selectFirst("a:contains(Take it in for this)").attr("href"));
    Visitor.Page asked = takeIn(form, Map.of());
    assertThat(asked.words()).contains("Keep it in place of what was ordered");
    Quantity before = SERVER.onHand("PL 88-F4");
    Visitor.Page kept = takeIn(asked, Map.of("keep", "yes"));
    assertThat(kept.words()).contains("2 came", "of them 2 as Pellam PL 88-F4");
    assertThat(SERVER.onHand("PL 88-F4")).isEqualTo(before.plus(Quantity.pieces(2)));
    assertThat(SERVER.isSound()).isTrue();
  }

  @Test
  void anOrderGoesOutInEveryForm() {
    assertThat(buyer.bytes("/buy/orders/7.pdf")).startsWith('%', 'P', 'D', 'F');
    assertThat(buyer.ask("/buy/orders/7.csv").response().body())
        .startsWith("line,their_number,make,number,")
        .contains(",NT 20 640,");
    assertThat(buyer.ask("/buy/orders/7.json").response().body()).contains("\"number\":\"7\"");
    assertThat(buyer.ask("/buy/orders/7.txt").response().body())
        .startsWith("Quay Store, order 7 of 2027-03-08, to Cabo Norte Supply")
        .contains("wanted by 2027-03-18");
    assertThat(buyer.ask("/buy/orders/7.xml").response().body())
        .contains("<cbc:UBLVersionID>2.1</cbc:UBLVersionID>", "2027-03-08");
    assertThat(buyer.get("/buy/orders/99.pdf").status()).isEqualTo(404);
  }

  /** A document that is none changes nothing and says so. */
  @Test
  void anAnswerThatCannotBeReadIsRefused() {
    Visitor.Page form = buyer.get("/buy/orders/7/answer");
    Visitor.Page refused =
        buyer.upload(
            form.form("/answer"),
            Map.of(),
            "document",
            "<hello/>".getBytes(StandardCharsets.UTF_8));
    assertThat(refused.words()).contains("Nothing was changed", "It begins with hello");
    assertThat(buyer.get("/buy/orders/7").words()).doesNotContain("hello");
  }

  @Test
  void whatIsPromisedInThePastOrGivenUpTooMuchIsRefused() {
    Visitor.Page order = buyer.get("/buy/orders/8");
    Visitor.Page past =
        buyer.submit(order.form("/promise"), Map.of("day", "2027-03-14", "price", ""));
    assertThat(past.text(".field-error")).contains("2027-03-14 is past; allowed is 2027-03-15");
    Visitor.Page more =
        buyer.submit(
            buyer.get("/buy/orders/8").form("/give-up"),
            Map.of("amount", "100", "why", "sold out"));
    assertThat(more.text(".field-error")).contains("100.00 L is more than the 8.00 L");
  }

  /** Something that nobody awaits may be a wrong delivery. */
  @Test
  void anUnknownCodeAtTheDoorSaysSo() {
    assertThat(buyer.get("/buy/door?code=nobody").words()).contains("is on no order that is open");
  }

  @Test
  void theTermsOfASupplierAreChanged() {
    Visitor.Page page = buyer.get("/setup/suppliers/3");
    Visitor.Page refused =
        buyer.submit(page.form("/suppliers/3"), Map.of("freeFrom", "100", "closed", "2027-13-01"));
    assertThat(refused.text(".field-error"))
        .contains("Write what the freight is that becomes free.", "\"2027-13-01\" is not a date");
    buyer.submit(
        refused.form("/suppliers/3"),
        Map.of(
            "freight",
            "12",
            "closed",
            "2027-08-02 2027-08-20",
            "cutOff",
            "FRIDAY",
            "arrives-monday",
            "yes"));
    assertThat(buyer.get("/setup/reference").text("tr:contains(Darsena)"))
        .contains("3 days as quoted, arrives Mon, orders up to Fri");
    Visitor.Page late = buyer.submit(page.form("/suppliers/3"), Map.of("leadDays", "4"));
    assertThat(late.words()).contains("Someone else changed this supplier meanwhile");
  }

  @Test
  void whatLiesTooLongIsNamed() {
    Visitor.Page page = buyer.get("/buy/slow");
    assertThat(page.words()).contains("things, ", "EUR too much");
    assertThat(page.document().select("ul[aria-label=What lies too long] > li")).isNotEmpty();
    assertThat(buyer.ask("/buy/slow.csv").response().body())
        .startsWith("make,number,unit,free,yearly_use,surplus,worth,currency,why");
  }

  @Test
  void theWorkshopSeesNoOrders() {
    Visitor workshop = SERVER.signedInAs("workshop");
    assertThat(workshop.get("/buy/orders").status()).isEqualTo(403);
    assertThat(workshop.get("/buy/orders/7").status()).isEqualTo(403);
    assertThat(workshop.get("/buy/door").status()).isEqualTo(403);
  }
}
