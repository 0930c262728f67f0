package dev.lonja.app.count;

import static org.assertj.core.api.Assertions.assertThat;

import dev.lonja.app.server.LonjaServer;
import dev.lonja.app.server.Visitor;
import dev.lonja.app.server.Visitor.Page;
import dev.lonja.core.count.Spot;
import dev.lonja.core.item.Item;
import dev.lonja.core.quantity.Measure;
import dev.lonja.core.quantity.Quantity;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
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
    return page.document().select("ul[aria-label^='To count'] li").stream()
        .filter(row -> row.text().contains("New ones, pc"))
        .sorted(Comparator.comparing((Element row) -> book(row)).reversed())
        .toList();
  }

  private static int book(Element row) {
    String text = row.select("span.figure").text();
    return text.isEmpty() ? 0 : Integer.parseInt(text.replaceAll("[^0-9]", ""));
  }

  private static FormElement form(Element row) {
    return (FormElement) row.selectFirst("form");
  }

  private static Page shown() {
    return keeper().get("/stores/counts?book=yes");
  }

  @Test
  void theListIsBlindAndFollowsTheWalk() {
    Page page = keeper().get("/stores/counts");
    assertThat(page.document().select("section")).hasSizeBetween(1, 12);
    assertThat(page.words()).doesNotContain("book:").contains("counted last", "every");
    List<String> bins = page.document().select("section h2").eachText();
    assertThat(bins).isSorted();
    assertThat(shown().words()).contains("book:");
  }

  @Test
  void whatAgreesIsNotedAndLeavesTheList() {
    Page page = shown();
    Element row =
        rows(page).stream().filter(one -> !one.text().contains("washer")).findFirst().orElseThrow();
    String action = form(row).attr("action");
    Page after = keeper().submit(form(row), Map.of("counted", String.valueOf(book(row))));
    assertThat(after.document().select("form[action=" + action + "]")).isEmpty();
    assertThat(after.words()).contains("of 12 a day begun");
  }

  /** A reason is asked for, then it is booked. */
  @Test
  void aDifferenceIsBookedWithItsReason() {
    Page page = shown();
    // the cheapest washers: one more of them is worth far less than ten
    Element row =
        rows(page).stream().filter(one -> one.text().contains("washer")).findFirst().orElseThrow();
    int book = book(row);
    String action = form(row).attr("action");
    Page asked = keeper().submit(form(row), Map.of("counted", String.valueOf(book + 1)));
    assertThat(asked.words()).contains("you counted " + (book + 1));
    Page done =
        keeper()
            .submit(
                (FormElement) asked.document().selectFirst("form[action=" + action + "]"),
                Map.of("counted", String.valueOf(book + 1), "why", "found behind the shelf"));
    assertThat(done.document().select("form[action=" + action + "]")).isEmpty();
    assertThat(SERVER.isSound()).isTrue();
  }

  @Test
  void whatMovedMeanwhileIsCountedAgain() {
    Page page = shown();
    Element row = rows(page).get(2);
    Map<String, String> old = new HashMap<>(Map.of("counted", String.valueOf(book(row))));
    old.put("stamp", "1");
    assertThat(keeper().submit(form(row), old).words())
        .contains("Some of it moved since this list was opened.");
    assertThat(keeper().submit(form(row), Map.of("counted", "2.5")).words())
        .contains("pieces are counted whole");
    assertThat(keeper().submit(form(row), Map.of("counted", "-1")).words())
        .contains("What you counted is -1");
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
    String path = "/stores/counts/" + dear.bin() + "/" + dear.item();
    String stamp = String.valueOf(SERVER.store().<Long>read(s -> s.counts().stamp(dear)));
    Map<String, String> none =
        Map.of(
            "counted", "0", "stamp", stamp, "requestKey", "count-one-c1", "_csrf", csrf(keeper()));
    keeper().post(path, none);
    Map<String, String> again = new HashMap<>(none);
    again.put("requestKey", "count-two-c1");
    assertThat(keeper().post(path, again).words()).contains("somebody else makes the second count");
    Visitor other = SERVER.signedInAs("administrator");
    Map<String, String> second = new HashMap<>(none);
    second.put("requestKey", "count-three-c1");
    second.put("_csrf", csrf(other));
    second.put("why", "stolen over the weekend");
    other.post(path, second);
    assertThat(SERVER.onHand(item.number()).isZero()).isTrue();
    assertThat(SERVER.isSound()).isTrue();
  }

  private static String csrf(Visitor visitor) {
    return visitor.get("/stores/counts").document().selectFirst("[name=_csrf]").attr("value");
  }
}
