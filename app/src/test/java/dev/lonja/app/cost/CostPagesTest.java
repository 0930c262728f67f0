package dev.lonja.app.cost;

import static org.assertj.core.api.Assertions.assertThat;

import dev.lonja.app.server.LonjaServer;
import dev.lonja.app.server.Visitor;
import java.math.BigDecimal;
import java.util.List;
import java.util.Map;
import org.jsoup.nodes.Element;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;

/** What the trays of the demo cost. */
class CostPagesTest {

  @RegisterExtension static final LonjaServer SERVER = LonjaServer.withDemo();

  private final Visitor visitor = SERVER.signedInAs("buyer");

  private static BigDecimal money(Element cell) {
    return cell.text().isEmpty() ? BigDecimal.ZERO : new BigDecimal(cell.text().replace(",", ""));
  }

  /** What a job cost is what the book says of its tray, kinds and returns together. */
  @Test
  void aJobCostsWhatTheBookSaysOfItsTray() {
    Visitor.Page year = visitor.get("/fleet/costs");
    String path = year.document().select("a.code[href$=/costs]").get(0).attr("href");
    Visitor.Page unit = visitor.get(path);
    Element job = unit.document().selectFirst("tbody tr");
    String tray = job.select("td").get(2).text();
    long booked =
        SERVER
            .store()
            .<Long>read(
                session ->
                    session.ledger().latest(10_000).stream()
                        .filter(line -> line.cause().reference().equals(tray))
                        .mapToLong(line -> line.value().minor())
                        .sum());
    assertThat(money(job.select("td.num").get(3))).isEqualTo(BigDecimal.valueOf(-booked, 2));
    assertThat(booked).isNegative();
  }

  private final Visitor keeper = SERVER.signedInAs("storekeeper");

  /** VN-6's oil and filter stand at 185.00 elsewhere; another quote holds from then on. */
  @Test
  void whatAWorkshopElsewhereAsksStandsBeside() {
    Visitor.Page unit = keeper.get("/fleet/VN-6/costs");
    assertThat(unit.text("tbody tr")).contains("Oil and filter").endsWith("185.00");
    Visitor.Page changed =
        keeper.submit(
            unit.form("/quote"), Map.of("price", "199,50", "by", "South yard", "on", "2027-03-01"));
    assertThat(changed.text("tbody tr")).endsWith("199.50");
    Visitor.Page refused = keeper.submit(changed.form("/quote"), Map.of("on", "2027-03-16"));
    assertThat(refused.words()).contains("Nothing was changed.", "2027-03-16");
    assertThat(refused.document().select("[name=on]").first().val()).isEqualTo("2027-03-16");
    Visitor.Page zero = keeper.submit(refused.form("/quote"), Map.of("price", "0"));
    assertThat(zero.words()).contains("The price is 0; allowed is more than 0.");
    Visitor.Page none = keeper.submit(zero.form("/quote"), Map.of("price", ""));
    assertThat(none.text("tbody tr")).endsWith("1 without a quote");
    Visitor.Page nothing = keeper.submit(none.form("/quote"), Map.of("price", "", "by", "East"));
    assertThat(nothing.words()).contains("There is no quote to take off; write a price.");
    assertThat(nothing.document().select("[name=by]").first().val()).isEqualTo("East");
    keeper.submit(nothing.form("/quote"), Map.of("price", "185", "by", "North yard"));
    assertThat(visitor.get("/fleet/VN-6/costs").hasForm("/quote")).isFalse();
  }

  /** A budget of 3,650 gives 740 to 15 March, the 74th day: far more than was spent. */
  @Test
  void aBudgetSaysWhetherTheYearKeepsWithinIt() {
    Visitor.Page year = keeper.get("/fleet/costs?year=2027");
    Visitor.Page set = keeper.submit(year.form("/budget"), Map.of("of", "", "amount", "3650"));
    assertThat(set.words()).contains("Budget 3,650", "304", "within it");
    Visitor.Page small = keeper.submit(set.form("/budget"), Map.of("of", "VN", "amount", "1.5"));
    assertThat(small.words()).contains("over it");
    Visitor.Page refused = keeper.submit(small.form("/budget"), Map.of("amount", "-5"));
    assertThat(refused.words()).contains("Nothing was changed.");
    Visitor.Page one = keeper.submit(refused.form("/budget"), Map.of("of", "VN", "amount", ""));
    Visitor.Page none = keeper.submit(one.form("/budget"), Map.of("of", "", "amount", ""));
    assertThat(none.words()).doesNotContain("within it", "over it");
    assertThat(keeper.submit(none.form("/budget"), Map.of("of", "", "amount", "")).words())
        .contains("There is no budget of 2027 to take off; write one.");
  }

  /** Parts, fluids and kits make up the last figure; a class is the sum of its units. */
  @Test
  void theFiguresOfAYearAddUp() {
    Visitor.Page year = visitor.get("/fleet/costs?year=2027");
    List<Element> rows = year.document().select("tbody tr");
    assertThat(rows).hasSizeGreaterThan(4);
    for (Element row : rows) {
      List<Element> figures = row.select("td.num");
      // the last cell but one: what the same costs elsewhere stands behind it
      int last = figures.size() - 2;
      BigDecimal kinds =
          money(figures.get(last - 3))
              .add(money(figures.get(last - 2)))
              .add(money(figures.get(last - 1)));
      assertThat(kinds.subtract(money(figures.get(last))).abs())
          .as(row.text())
          .isLessThanOrEqualTo(new BigDecimal("2"));
    }
    assertThat(visitor.get("/fleet/costs?year=1950").words()).contains("No tray went out");
    assertThat(visitor.get("/fleet/costs?year=x").words()).contains("What services cost in 2027");
    assertThat(visitor.get("/fleet/NONE/costs").status()).isEqualTo(404);
    assertThat(SERVER.signedInAs("workshop").get("/fleet/costs").status()).isEqualTo(403);
  }
}
