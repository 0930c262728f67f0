package dev.lonja.app.count;

import static org.assertj.core.api.Assertions.assertThat;

import dev.lonja.app.server.LonjaServer;
import dev.lonja.app.server.Visitor;
import dev.lonja.app.server.Visitor.Page;
import dev.lonja.core.count.Spot;
import dev.lonja.core.item.Item;
import dev.lonja.core.item.ItemId;
import dev.lonja.core.ledger.StockKey;
import dev.lonja.core.quantity.Measure;
import dev.lonja.core.quantity.Quantity;
import java.io.IOException;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.text.PDFTextStripper;
import org.jsoup.nodes.Element;
import org.jsoup.nodes.FormElement;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;

class CountPagesTest {

  @RegisterExtension static final LonjaServer SERVER = LonjaServer.withDemo();

  private static Visitor keeper() {
    return SERVER.signedInAs("storekeeper");
  }

  /** What is on the list and lies there in pieces, the most of it first. */
  private static List<Element> rows(Page page) {
    return page.document().select("[data-count]").stream()
        .filter(row -> row.select("input.figure").attr("aria-label").endsWith("counted, pc"))
        .sorted(Comparator.comparing((Element row) -> book(row)).reversed())
        .toList();
  }

  private static int book(Element row) {
    String text = row.select(".count-what .figure").text();
    return text.isEmpty() ? 0 : Integer.parseInt(text.replaceAll("[^0-9]", ""));
  }

  private static FormElement form(Element row) {
    return (FormElement) row.closest("form");
  }

  private static String counted(Element row) {
    return "counted-" + row.attr("data-count");
  }

  private static String why(Element row) {
    return "why-" + row.attr("data-count");
  }

  private static Page shown() {
    return keeper().get("/stores/counts?book=yes");
  }

  private static Element washers(Page page) {
    return rows(page).stream()
        .filter(one -> one.text().contains("washer"))
        .findFirst()
        .orElseThrow();
  }

  @Test
  void theListIsBlindAndFollowsTheWalk() {
    Page page = keeper().get("/stores/counts");
    assertThat(page.document().select("section")).hasSizeBetween(1, 12);
    assertThat(page.words()).doesNotContain("book:").contains("counted last", "every");
    List<String> bins = page.document().select("section h2 a").eachText();
    assertThat(bins).isSorted();
    assertThat(shown().words()).contains("book:");
  }

  @Test
  void whatAgreesIsNotedAndLeavesTheList() {
    Page page = shown();
    Element row =
        rows(page).stream().filter(one -> !one.text().contains("washer")).findFirst().orElseThrow();
    String field = counted(row);
    String bin = row.closest("[data-bin]").attr("data-bin");
    Page after = keeper().submit(form(row), Map.of(field, String.valueOf(book(row))));
    assertThat(after.document().select("input[name=" + field + "]")).isEmpty();
    assertThat(after.document().select(".count-done li:contains(" + bin + ")").text())
        .contains("agrees");
  }

  /** A reason is asked for, with what it comes to and what moved there last; then it is booked. */
  @Test
  void aDifferenceIsBookedWithItsReason() {
    // the cheapest washers: one more of them is worth far less than ten
    Element row = washers(shown());
    int book = book(row);
    String more = String.valueOf(book + 1);
    Page asked = keeper().submit(form(row), Map.of(counted(row), more));
    assertThat(asked.words())
        .contains(more + " counted, the book has " + book + ": 1 too many, 0.")
        .contains("Last moved");
    Element again = asked.document().selectFirst("[data-count=" + row.attr("data-count") + "]");
    Page done =
        keeper()
            .submit(form(again), Map.of(counted(row), more, why(row), "found behind the shelf"));
    assertThat(done.document().select("input[name=" + counted(row) + "]")).isEmpty();
    assertThat(done.words()).contains("1 too many");
    assertThat(SERVER.isSound()).isTrue();
  }

  /**
   * A washer lies in another bin: why is asked where it was written, and then it is booked there.
   */
  @Test
  void whatLiesWhereItDoesNotBelongIsWrittenBesideTheList() {
    Page page = shown();
    Element washers = washers(page);
    String here = washers.closest("[data-bin]").attr("data-bin");
    Element other =
        page.document().select("[data-bin]").stream()
            .filter(bin -> !bin.attr("data-bin").equals(here))
            .findFirst()
            .orElseThrow();
    Map<String, String> found = new HashMap<>();
    found.put("found", washers.attr("data-words"));
    found.put("foundCounted", "1");
    FormElement form = (FormElement) other.selectFirst("form");
    Page asked = keeper().submit(form, found);
    String wrong = "[id^=foundWhy-][id$=-wrong] .field-error";
    assertThat(asked.document().select(wrong).text()).contains("1 counted, the book has 0");
    found.put("foundWhy", "fell out of its box");
    keeper()
        .submit(
            (FormElement)
                asked.document().selectFirst("[data-bin=" + other.attr("data-bin") + "] form"),
            found);
    assertThat(
            keeper()
                .get("/stores/counts?at=" + other.attr("data-bin"))
                .document()
                .select(
                    "[data-bin="
                        + other.attr("data-bin")
                        + "] [data-words='"
                        + washers.attr("data-words")
                        + "']"))
        .hasSize(1);
    assertThat(SERVER.isSound()).isTrue();
  }

  @Test
  void whatMovedMeanwhileIsCountedAgain() {
    Element row = rows(shown()).get(2);
    Map<String, String> old = new HashMap<>(Map.of(counted(row), String.valueOf(book(row))));
    old.put("stamp-" + row.attr("data-count"), "1-0");
    assertThat(keeper().submit(form(row), old).words())
        .contains("Some of it moved since this list was opened.");
    assertThat(keeper().submit(form(row), Map.of(counted(row), "2.5")).words())
        .contains("pieces are counted whole");
    assertThat(keeper().submit(form(row), Map.of(counted(row), "-1")).words())
        .contains("What you counted is -1");
    assertThat(keeper().submit(form(row), Map.of()).words())
        .contains("Nothing was counted. Where nothing lies, write 0.");
  }

  /** One wrong figure of a bin, and nothing of the bin is taken. */
  @Test
  void aBinIsTakenWholeOrNotAtAll() {
    Page page = shown();
    Element bin =
        page.document().select("[data-bin]").stream()
            .filter(one -> one.select("[data-count]").size() > 1)
            .findFirst()
            .orElseThrow();
    Element first = bin.select("[data-count]").get(0);
    Element second = bin.select("[data-count]").get(1);
    Page after =
        keeper()
            .submit(
                form(first),
                Map.of(counted(first), String.valueOf(book(first)), counted(second), "many"));
    assertThat(after.words()).contains("\"many\" is not a number");
    assertThat(after.document().select("[name=" + counted(first) + "]").attr("value"))
        .isEqualTo(String.valueOf(book(first)));
    assertThat(after.document().select("[name=" + counted(second) + "]").attr("value"))
        .isEqualTo("many");
    assertThat(keeper().get("/stores/counts").document().select("[name=" + counted(first) + "]"))
        .isNotEmpty();
  }

  /** A bin that is not due is counted because somebody stands before it. */
  @Test
  void aBinIsCountedOutOfTurn() {
    Set<String> due =
        Set.copyOf(
            keeper().get("/stores/counts").document().select("[data-bin]").eachAttr("data-bin"));
    String other =
        SERVER
            .store()
            .<String>read(
                session ->
                    session.items().bins().stream()
                        .filter(bin -> !session.ledger().itemsIn(bin.id()).isEmpty())
                        .map(Item.Bin::address)
                        .filter(address -> !due.contains(address))
                        .filter(address -> !address.startsWith("T"))
                        .findFirst()
                        .orElseThrow());
    Page page = keeper().get("/stores/counts?at=" + other.toLowerCase(Locale.ROOT));
    assertThat(page.document().select("[data-bin]").first().attr("data-bin")).isEqualTo(other);
    assertThat(keeper().get("/stores/counts?at=Q-99").words())
        .contains("No bin is called \"Q-99\".");
  }

  /** Worth far more than ten: another person counts, and the second count is booked. */
  @Test
  void aLargeDifferenceIsCountedBySomebodyElse() {
    Spot dear =
        SERVER
            .store()
            .<Spot>read(
                session -> {
                  Map<Spot, Quantity> book = session.counts().book();
                  return book.keySet().stream()
                      .filter(spot -> book.get(spot).isPositive())
                      .filter(spot -> book.get(spot).measure() == Measure.PIECES)
                      .max(
                          Comparator.comparing(
                              spot -> session.ledger().stockOf(spot.item()).value().minor()))
                      .orElseThrow();
                });
    Item item = SERVER.store().<Item>read(s -> s.items().byId(dear.item()).orElseThrow());
    Quantity elsewhere =
        SERVER
            .onHand(item.number())
            .minus(SERVER.store().<Quantity>read(s -> s.counts().book().get(dear)));
    String path = "/stores/counts/" + dear.bin();
    String address =
        SERVER
            .store()
            .<String>read(
                s ->
                    s.items().bins().stream()
                        .filter(bin -> bin.id().equals(dear.bin()))
                        .findFirst()
                        .orElseThrow()
                        .address());
    String stamp =
        keeper()
            .get("/stores/counts?at=" + address)
            .document()
            .select("[name=stamp-" + dear.item() + "]")
            .attr("value");
    Map<String, String> none =
        Map.of(
            "counted-" + dear.item(),
            "0",
            "stamp-" + dear.item(),
            stamp,
            "requestKey",
            "count-one-c1",
            "_csrf",
            csrf(keeper()));
    keeper().post(path, none);
    Map<String, String> again = new HashMap<>(none);
    again.put("requestKey", "count-two-c1");
    assertThat(keeper().post(path, again).words()).contains("somebody else makes the second count");
    Visitor other = SERVER.signedInAs("administrator");
    Map<String, String> second = new HashMap<>(none);
    second.put("requestKey", "count-three-c1");
    second.put("_csrf", csrf(other));
    second.put("why-" + dear.item(), "stolen over the weekend");
    other.post(path, second);
    // what lies on trays is not in the bin, and stays
    assertThat(SERVER.onHand(item.number())).isEqualTo(elsewhere.plus(laid(dear.item())));
    assertThat(SERVER.isSound()).isTrue();
  }

  private static Quantity laid(ItemId item) {
    return SERVER
        .store()
        .<Quantity>read(
            s -> s.ledger().held().getOrDefault(StockKey.ofNew(item), Quantity.pieces(0)));
  }

  /** What is laid on a tray is on the tray: whoever counts the bin does not find it there. */
  @Test
  void whatLiesOnTraysIsNotCounted() {
    Spot laid =
        SERVER
            .store()
            .<Spot>read(
                s ->
                    s.ledger().held().entrySet().stream()
                        .filter(held -> held.getValue().isPositive())
                        .filter(held -> held.getValue().measure() == Measure.PIECES)
                        .map(held -> held.getKey())
                        .filter(key -> key.equals(StockKey.ofNew(key.itemId())))
                        .filter(key -> s.ledger().lotsOf(key.itemId()).size() == 1)
                        .map(
                            key ->
                                new Spot(
                                    key.itemId(),
                                    s.ledger().lotsOf(key.itemId()).get(0).lot().place().binId()))
                        .findFirst()
                        .orElseThrow());
    Item item = SERVER.store().<Item>read(s -> s.items().byId(laid.item()).orElseThrow());
    String address =
        SERVER.store().<String>read(s -> s.ledger().lotsOf(laid.item()).get(0).binAddress());
    Page page = keeper().get("/stores/counts?book=yes&at=" + address);
    Element row = page.document().selectFirst("[data-count=" + laid.item() + "]");
    Quantity found = SERVER.onHand(item.number()).minus(laid(laid.item()));
    assertThat(row.text())
        .contains("book: " + found.display(), laid(laid.item()).display() + " more on trays");
  }

  @Test
  void theListIsPrintedToBeWrittenOn() throws IOException {
    try (PDDocument sheet = Loader.loadPDF(keeper().bytes("/stores/counts/sheet.pdf"))) {
      assertThat(new PDFTextStripper().getText(sheet)).contains("Count sheet", "Counted by");
    }
  }

  private static String csrf(Visitor visitor) {
    return visitor.get("/stores/counts").document().selectFirst("[name=_csrf]").attr("value");
  }
}
