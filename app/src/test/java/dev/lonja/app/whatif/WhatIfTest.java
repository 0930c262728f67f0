package dev.lonja.app.whatif;

import static org.assertj.core.api.Assertions.assertThat;

import dev.lonja.app.server.LonjaServer;
import dev.lonja.app.server.Visitor;
import java.math.BigDecimal;
import java.net.URLEncoder;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;

/** What would be on the demo; its buyer asks, and nothing is written. */
class WhatIfTest {

  @RegisterExtension static final LonjaServer SERVER = LonjaServer.forReading();

  private final Visitor buyer = SERVER.signedInAs("buyer");

  @BeforeEach
  void untilTheTrialsAreDrawn() {
    SERVER.waitForTrials();
  }

  private Visitor.Page ask(Map<String, String> sets) {
    return buyer.get(
        "/ahead/what-if?"
            + sets.entrySet().stream()
                .map(
                    set ->
                        set.getKey()
                            + "="
                            + URLEncoder.encode(set.getValue(), StandardCharsets.UTF_8))
                .collect(Collectors.joining("&")));
  }

  private static List<String> row(Visitor.Page page, String words) {
    return page.document().select("tr:contains(" + words + ") td.num").eachText();
  }

  private static BigDecimal money(String words) {
    return new BigDecimal(words.substring(0, words.indexOf(" EUR")).replace(",", ""));
  }

  /** The store itself stands beside each set, and only what is supposed changes anything. */
  @Test
  void setsStandSideBySide() {
    long writes = SERVER.store().writes();
    Visitor.Page page =
        ask(
            Map.of(
                "a", "Cabo Norte Supply prices +10 %",
                "b", "one more like RT-04",
                "c", "RT-04 laid up 2027-03-16 to 2028-03-15"));
    assertThat(page.document().select("thead").first().text())
        .isEqualTo("As it is Set A Set B Set C");
    List<String> year = row(page, "Used in a year");
    BigDecimal own = money(year.get(0));
    assertThat(money(year.get(1)))
        .isGreaterThan(own)
        .isLessThan(own.multiply(new BigDecimal("1.1")));
    assertThat(money(year.get(2))).isGreaterThan(own);
    assertThat(money(year.get(3))).isLessThan(own);
    assertThat(SERVER.store().writes()).isEqualTo(writes);
    // the same set twice comes to the same, and without any the store stands alone
    Visitor.Page twice = ask(Map.of("a", "one more like RT-04", "b", "ONE MORE LIKE rt-04"));
    assertThat(twice.words()).contains("\"ONE MORE LIKE rt-04\" is not understood");
    assertThat(row(ask(Map.of()), "Used in a year")).containsExactly(year.get(0));
  }

  /** What comes later is awaited longer: more is to be ordered now, and no day moves forward. */
  @Test
  void aSupplierWhoIsLate() {
    Visitor.Page page = ask(Map.of("a", "Cabo Norte Supply late 6 weeks"));
    List<String> due = row(page, "To order now");
    assertThat(lines(due.get(1))).isGreaterThan(lines(due.get(0)));
    assertThat(row(page, "Used in a year").get(1)).isEqualTo(row(page, "Used in a year").get(0));
  }

  /** A machine that runs day and night uses more; so do filters that nobody looks at first. */
  @Test
  void moreUseAndAnotherWay() {
    Visitor.Page page =
        ask(
            Map.of(
                "a", "RT-04 runs 24 h a day 2027-04-01 to 2027-07-31",
                "b", "policy air filter and pre-cleaner: replace every service"));
    List<String> year = row(page, "Used in a year");
    assertThat(money(year.get(1))).isGreaterThan(money(year.get(0)));
    assertThat(money(year.get(2))).isGreaterThan(money(year.get(0)));
  }

  private static int lines(String words) {
    return Integer.parseInt(words.substring(0, words.indexOf(' ')));
  }

  @Test
  void whatThereIsNotIsNamedAtItsField() {
    Visitor.Page page = ask(Map.of("b", "one more like ZZ-9"));
    assertThat(ask(Map.of("a", "VN-1 runs 10 h a day 2027-04-01 to 2027-04-30")).words())
        .contains("VN-1 has no meter that counts in that measure");
    assertThat(page.document().select("div:has(> #b) .field-error").text())
        .isEqualTo("There is no machine in service and no supplier called \"ZZ-9\".");
    assertThat(page.document().select("#b").text()).isEqualTo("one more like ZZ-9");
    assertThat(SERVER.signedInAs("workshop").get("/ahead/what-if").status()).isEqualTo(403);
  }
}
