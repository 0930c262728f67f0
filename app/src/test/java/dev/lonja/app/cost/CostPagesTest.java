package dev.lonja.app.cost;

import static org.assertj.core.api.Assertions.assertThat;

import dev.lonja.app.server.LonjaServer;
import dev.lonja.app.server.Visitor;
import java.math.BigDecimal;
import java.util.List;
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
    assertThat(money(job.select("td.num").last())).isEqualTo(BigDecimal.valueOf(-booked, 2));
    assertThat(booked).isNegative();
  }

  /** Parts, fluids and kits make up the last figure; a class is the sum of its units. */
  @Test
  void theFiguresOfAYearAddUp() {
    Visitor.Page year = visitor.get("/fleet/costs?year=2027");
    List<Element> rows = year.document().select("tbody tr");
    assertThat(rows).hasSizeGreaterThan(4);
    for (Element row : rows) {
      List<Element> figures = row.select("td.num");
      int last = figures.size() - 1;
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
