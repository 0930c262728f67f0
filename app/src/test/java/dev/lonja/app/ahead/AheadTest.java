package dev.lonja.app.ahead;

import static org.assertj.core.api.Assertions.assertThat;

import dev.lonja.app.server.LonjaServer;
import dev.lonja.app.server.Visitor;
import dev.lonja.app.server.Wait;
import dev.lonja.core.forecast.Subject;
import dev.lonja.desk.forecast.AheadDesk;
import dev.lonja.desk.forecast.Forecast;
import java.math.BigDecimal;
import java.util.List;
import org.jsoup.nodes.Element;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;

class AheadTest {

  @RegisterExtension static final LonjaServer SERVER = LonjaServer.forReading();

  private final Visitor visitor = SERVER.signedInAs("buyer");

  @Test
  void theWeeksTableNamesWhatRunsShortFirst() {
    Visitor.Page page = visitor.get("/ahead");
    List<Element> rows = page.document().select("tbody tr");
    assertThat(rows).hasSizeGreaterThan(20);
    assertThat(rows.get(0).text()).contains("short");
    assertThat(rows.get(rows.size() - 1).text()).contains("covered");
    assertThat(page.words()).contains("GN-1 Oil filter: the filter's volume is unknown.");
  }

  /**
   * At first the chances are drawn while the page is there already; then each item says between
   * what its use lies, and what runs short for certain says so.
   */
  @Test
  void theChancesAreDrawnMeanwhile() {
    Visitor.Page first = visitor.get("/ahead");
    assertThat(first.status()).isEqualTo(200);
    Wait.until(
        "the chances are drawn",
        () -> !visitor.ask("/ahead/drawing").response().body().contains("\"running\":true"));
    Visitor.Page page = visitor.get("/ahead");
    assertThat(page.words()).doesNotContain("are being drawn");
    Element none = page.document().selectFirst("tbody tr:contains(RV 2210-4)");
    // nothing is free, and the fuel filter of RT-04 is due this week; two in eight weeks, always
    assertThat(none.text()).contains("100 % short").doesNotContainPattern("[0-9.]+ to [0-9.]+");
    // an air filter that is looked at is wanted or not
    assertThat(page.document().selectFirst("tbody tr:contains(NT 50 330)").text())
        .containsPattern("0 to [0-9]+");
    Visitor.Page item = visitor.get("/ahead/" + SERVER.itemId("RV 2210-4"));
    assertThat(item.document().select("section").first().select("tbody tr").first().text())
        .contains("100 %");
    assertThat(item.document().select("svg path[fill-opacity]")).hasSize(1);
    assertThat(item.words())
        .contains("Order. Level 1. 3 of Pellam PL 88-F4, which fits wherever this goes, used up");
    assertThat(visitor.get("/ahead/" + SERVER.itemId("VM 40-0021")).words())
        .contains("Late: ", "From Veldmark Marine Parts: ");
    assertThat(item.document().select("svg").text()).contains("level");
    String csv = visitor.ask("/ahead.csv?weeks=8").response().body();
    assertThat(csv)
        .startsWith(
            "make,number,week,unit,use,p10_so_far,p50_so_far,p90_so_far,free,promised_by_then,"
                + "chance_short")
        .contains("\r\nRavelin,RV 2210-4,2027-W11,pc,1,1,1,1,0,0,1\r\n");
  }

  /** A quantile opens into the trial that set it: its lines add up to it, digit for digit. */
  @Test
  void aQuantileOpensIntoItsTrial() {
    SERVER.waitForTrials();
    Visitor.Page page =
        visitor.get("/ahead/" + SERVER.itemId("FA 15-205") + "/trial?week=2027-06-07");
    BigDecimal sum = BigDecimal.ZERO;
    for (Element row : page.document().select("tbody tr")) {
      sum = sum.add(amount(row.select("td").get(3).text()));
    }
    assertThat(sum).isPositive();
    assertThat(amount(page.text("tfoot td.num"))).isEqualByComparingTo(sum);
    assertThat(visitor.get("/ahead/1/trial?week=2027-06-07&percent=0").status()).isEqualTo(404);
    assertThat(visitor.get("/ahead/1/trial?week=2099-06-07").status()).isEqualTo(404);
  }

  /** By class, by unit and by fluid it is the same use. */
  @Test
  void whoUsesWhatInAYear() {
    Visitor.Page page = visitor.get("/ahead/use");
    assertThat(page.words()).contains("EUR in 52 weeks", "of used oil are expected to be drained");
    assertThat(page.text("ul[aria-label=By unit]")).contains("RT-04", "workshop");
    assertThat(visitor.ask("/ahead/use.csv").response().body())
        .startsWith("class,unit,make,number,quantity,unit_of,cost,currency")
        .contains(",RT-04,Ravelin,RV 2210-4,");
  }

  /**
   * The lines behind a week add up to the week, digit for digit, and the weeks to the whole; of
   * every fourth thing, and of all of them in the long run.
   */
  @Test
  void aFigureOpensIntoLinesThatAddUpToIt() {
    addUp(4);
  }

  @Test
  @Tag("long")
  void everyFigureOpensIntoLinesThatAddUpToIt() {
    addUp(1);
  }

  private void addUp(int nth) {
    Forecast forecast =
        SERVER.store().<Forecast>read(s -> Forecast.load(s, LonjaServer.TODAY, AheadDesk.WEEKS));
    List<Subject> used =
        forecast.subjects().stream().filter(subject -> !subject.demands().isEmpty()).toList();
    // the loose parts and fluids, the small engines' kit, screen wash, which is topped up only, and
    // seven things that the workshop uses beside services
    assertThat(used).hasSize(56);
    for (int i = 0; i < used.size(); i += nth) {
      Subject subject = used.get(i);
      String path = "/ahead/" + subject.lead().id();
      Visitor.Page whole = visitor.get(path);
      BigDecimal weeks = BigDecimal.ZERO;
      for (Element row : whole.document().select("section").first().select("tbody tr")) {
        BigDecimal use = amount(row.select("td").get(2).text());
        weeks = weeks.add(use);
      }
      BigDecimal together = amount(whole.document().select("tfoot td").last().text());
      assertThat(weeks).as(path).isEqualByComparingTo(together);
      BigDecimal lines = BigDecimal.ZERO;
      for (Element row : whole.document().select("section").last().select("tbody tr")) {
        lines = lines.add(amount(row.select("td").last().text()));
      }
      assertThat(lines).as(path).isEqualByComparingTo(together);
    }
  }

  @Test
  void aWeekOpensIntoUnitServiceDateAndReason() {
    Visitor.Page page = visitor.get("/ahead/" + SERVER.itemId("RV 2210-4") + "?week=2027-03-15");
    assertThat(page.text("section:last-of-type"))
        .contains("What week 11 is for", "18 Mar", "RT-04", "Small service + Large service")
        .contains("replaced every time", "Replace fuel filter: due at");
    assertThat(page.document().select("svg[role=img] title").text())
        .contains("Stock of RV 2210-4 against time");
  }

  /** All packs of a fluid are one subject: the drum's oil and the can's are the same tide. */
  @Test
  void thePacksOfAFluidAreOneTide() {
    assertThat(visitor.get("/ahead/" + SERVER.itemId("FA 15-20")).text(".title"))
        .isEqualTo(visitor.get("/ahead/" + SERVER.itemId("FA 15-205")).text(".title"));
  }

  @Test
  void horizonsOutOfRangeAreHeldWithinIt() {
    assertThat(visitor.get("/ahead?weeks=0").status()).isEqualTo(200);
    assertThat(visitor.get("/ahead?weeks=9999").words()).contains("within 208 weeks");
    assertThat(visitor.get("/ahead?weeks=many").status()).isEqualTo(400);
  }

  private static BigDecimal amount(String text) {
    return new BigDecimal(text.replaceAll("[^0-9.]", ""));
  }

  @Test
  void nothingIsExpectedOfWhatNoServiceTakes() {
    Visitor.Page page = visitor.get("/ahead/" + SERVER.itemId("LT 4-0200"));
    assertThat(page.words()).contains("Nothing is expected within the horizon.");
  }

  /** The demo kept its forecasts of the last six months; supplies of the workshop were used. */
  @Test
  void forecastsAreHeldAgainstWhatWasUsed() {
    Visitor keeper = SERVER.signedInAs("storekeeper");
    assertThat(keeper.get("/book").document().select("a[href=/book/accuracy]")).hasSize(1);
    Visitor.Page page = keeper.get("/book/accuracy");
    assertThat(page.text(".title")).contains("6 months, Sep 2026 to Feb 2027");
    assertThat(page.document().select("tbody tr:contains(FUS 15)")).hasSize(1);
    assertThat(page.words()).contains("were used beside services.");
    String csv = keeper.ask("/book/accuracy.csv").response().body();
    assertThat(csv).startsWith("make,number,unit,months,forecast,used,beside_services,");
    assertThat(SERVER.signedInAs("workshop").get("/book/accuracy").status()).isEqualTo(403);
  }

  /** By family, by supplier, by how critical, and only what runs short; together they narrow it. */
  @Test
  void whatIsShownIsChosen() {
    Visitor.Page all = visitor.get("/ahead");
    int every = rows(all);
    Visitor.Page filters = visitor.get("/ahead?family=SPIN_ON_FILTER");
    assertThat(rows(filters)).isPositive().isLessThan(every);
    assertThat(filters.document().select("main tbody tr td:first-child").eachText())
        .containsOnly("spin-on filter");
    assertThat(filters.text(".title")).contains(rows(filters) + " of " + every + " items");
    Visitor.Page both = visitor.get("/ahead?family=SPIN_ON_FILTER&short=yes&weeks=8");
    assertThat(rows(both)).isLessThanOrEqualTo(rows(filters));
    assertThat(both.document().select("a:contains(52 weeks)").attr("href"))
        .isEqualTo("/ahead?weeks=52&family=SPIN_ON_FILTER&short=yes");
    Visitor.Page oils = visitor.get("/ahead?supplier=2");
    assertThat(oils.document().select("#supplier option[selected]").text())
        .isEqualTo("Isla Lubricants");
    assertThat(rows(oils)).isPositive().isLessThan(every);
    assertThat(visitor.get("/ahead?criticality=CONVENIENCE&family=SPIN_ON_FILTER").words())
        .contains("Nothing that is used is so.");
    long lines = visitor.ask("/ahead.csv?supplier=2").response().body().lines().count();
    assertThat(lines).isLessThan(visitor.ask("/ahead.csv").response().body().lines().count());
  }

  /**
   * The two boat hoists are at home at the cage: what they use is expected there, where one of the
   * two round air filters lies that both take in March, and none of the workboats' things are.
   */
  @Test
  void aPlaceIsLookedAtByItself() {
    Visitor.Page cage = visitor.get("/ahead?place=1");
    assertThat(cage.document().select("#place option[selected]").text()).isEqualTo("Boatyard Cage");
    assertThat(cage.document().select("main tbody tr:contains(PL 6620-A) td.num").eachText())
        .startsWith("2", "1");
    assertThat(cage.words()).doesNotContain("GN-1");
    Visitor.Page quay = visitor.get("/ahead?place=main");
    assertThat(quay.words()).contains("GN-1");
    assertThat(rows(cage)).isPositive().isLessThan(rows(quay));
    assertThat(rows(visitor.get("/ahead?place=nowhere"))).isEqualTo(rows(visitor.get("/ahead")));
  }

  private static int rows(Visitor.Page page) {
    return page.document().select("main tbody tr").size();
  }
}
