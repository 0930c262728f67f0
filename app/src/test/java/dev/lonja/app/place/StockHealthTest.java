package dev.lonja.app.place;

import static org.assertj.core.api.Assertions.assertThat;

import dev.lonja.app.server.LonjaServer;
import dev.lonja.app.server.Visitor;
import dev.lonja.core.quantity.Money;
import dev.lonja.store.ledger.StockList;
import java.io.IOException;
import java.math.BigDecimal;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.text.PDFTextStripper;
import org.jsoup.nodes.Element;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;

/** What lies there: how it stands, and what it is worth. */
class StockHealthTest {

  @RegisterExtension static final LonjaServer SERVER = LonjaServer.withDemo();

  private static Visitor keeper() {
    return SERVER.signedInAs("storekeeper");
  }

  private static BigDecimal money(String words) {
    return new BigDecimal(words.replace(" EUR", "").replace(",", ""));
  }

  /** Each way to group it adds up to what the ledger says all stock is worth. */
  @Test
  void whatItIsWorthAddsUpToTheBook() {
    Visitor.Page page = keeper().get("/stores/health");
    BigDecimal book =
        SERVER
            .store()
            .<Money>read(
                session ->
                    session.stockList().before(Instant.parse("2100-01-01T00:00:00Z")).stream()
                        .map(StockList.Row::worth)
                        .reduce(Money::plus)
                        .orElseThrow())
            .amount();
    assertThat(page.words()).contains("worth " + book.toPlainString());
    List<Element> tables = page.document().select("table");
    assertThat(tables).hasSize(4);
    for (Element table : tables) {
      assertThat(
              table.select("tbody td:nth-child(2)").eachText().stream()
                  .map(StockHealthTest::money)
                  .reduce(BigDecimal.ZERO, BigDecimal::add))
          .as(table.select("th").first().text())
          .isEqualByComparingTo(book);
    }
  }

  /** The demo's filters whose gasket is too small. */
  @Test
  void whatIsSetAsideStandsWithItsReason() {
    assertThat(keeper().get("/stores/health").document().select("li:contains(Q9-0042)").text())
        .contains("set aside", "Set aside since 10 Mar.", "gasket too small");
  }

  /** Every open container of the ledger stands there, what keeps shortest in front. */
  @Test
  void whatIsOpenStandsWithHowLongItKeeps() {
    List<String> open =
        keeper()
            .get("/stores/health")
            .document()
            .select("section:has(h2:contains(Open containers)) li")
            .eachText();
    assertThat(open).isNotEmpty().allMatch(words -> words.contains("Opened"));
    long lots =
        SERVER
            .store()
            .<Long>read(
                session ->
                    session.binContents().all().values().stream()
                        .flatMap(List::stream)
                        .filter(lot -> lot.lot().openedOn().isPresent())
                        .count());
    assertThat(open).hasSize((int) lots);
  }

  /** What is booked today is in today's list and not in yesterday's. */
  @Test
  void aListOfADayIsWhatTheBookSaidThen() throws IOException {
    String before = csv("2027-03-14");
    String number = before.lines().skip(1).findFirst().orElseThrow().split(",")[2];
    Visitor.Page page = keeper().get("/items/" + SERVER.itemId(number));
    String quantity = SERVER.onHand(number).exactText();
    keeper()
        .submit(
            page.form("/issue"),
            Map.of("amount", "1", "quantity", "1", "reason", "for the workshop"));
    assertThat(SERVER.onHand(number).exactText()).isNotEqualTo(quantity);
    assertThat(csv("2027-03-14")).isEqualTo(before);
    assertThat(csv("2027-03-15")).isNotEqualTo(before);
    try (PDDocument list =
        Loader.loadPDF(keeper().bytes("/stores/health/list?on=2027-03-14&as=pdf"))) {
      assertThat(new PDFTextStripper().getText(list)).contains("At the end of 2027-03-14", number);
    }
  }

  private static String csv(String day) {
    return keeper().ask("/stores/health/list?as=csv&on=" + day).response().body();
  }

  @Test
  void aDayToComeHasNoList() {
    Visitor.Page page = keeper().get("/stores/health/list?on=2027-03-16");
    assertThat(page.words()).contains("2027-03-16");
    assertThat(page.document().select(".field-error").text()).isNotEmpty();
    assertThat(page.document().select("#on").attr("value")).isEqualTo("2027-03-16");
  }
}
