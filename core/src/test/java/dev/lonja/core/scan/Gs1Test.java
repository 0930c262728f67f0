package dev.lonja.core.scan;

import static org.assertj.core.api.Assertions.assertThat;

import java.math.BigDecimal;
import java.time.LocalDate;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class Gs1Test {

  private static final LocalDate TODAY = LocalDate.parse("2027-03-15");

  /** 3·(0+0+2+4+0+0+1) + 4+1+3+5+0+0 = 34; the check digit 6 makes it 40. */
  private static final String GTIN = "04012345000016";

  private static Optional<Gs1> read(String text) {
    return Gs1.read(text, TODAY);
  }

  @Test
  void anItemWithLotLastGoodDayAndCount() {
    Gs1 scanned = read("]C101" + GTIN + "17280630" + "10B-77\u001d3712").orElseThrow();
    assertThat(scanned.gtin()).contains(GTIN);
    assertThat(scanned.lot()).contains("B-77");
    assertThat(scanned.expires()).contains(LocalDate.parse("2028-06-30"));
    assertThat(scanned.count()).contains(BigDecimal.valueOf(12));
    assertThat(read("(01)" + GTIN + "(17)280630(10)B-77(37)12")).contains(scanned);
    assertThat(read("01" + GTIN + "17280630" + "10B-77\u001d3712")).contains(scanned);
  }

  @Test
  void aDayOfNoughtIsTheLastOfItsMonthAndCenturiesTurn() {
    assertThat(read("(01)" + GTIN + "(17)280200").orElseThrow().expires())
        .contains(LocalDate.parse("2028-02-29"));
    assertThat(read("(01)" + GTIN + "(17)770101").orElseThrow().expires())
        .contains(LocalDate.parse("2077-01-01"));
    assertThat(read("(01)" + GTIN + "(17)780101").orElseThrow().expires())
        .contains(LocalDate.parse("1978-01-01"));
  }

  @Test
  void whatBarcodesMayBeMeant() {
    assertThat(read("(01)" + GTIN).orElseThrow().codes()).containsExactly(GTIN, "4012345000016");
  }

  @Test
  void weightsAreReadOver() {
    assertThat(read("01" + GTIN + "3103001250" + "10L1").orElseThrow().lot()).contains("L1");
  }

  @ParameterizedTest
  @ValueSource(
      strings = {
        "RV 2210-4",
        "73022",
        "",
        "01",
        // the check digit is wrong
        "(01)04012345000017",
        // no such month, no such day
        "(01)04012345000016(17)281301",
        "(01)04012345000016(17)280230",
        // cut off
        "0104012345000016172806",
        // a lot of 21 characters
        "(01)04012345000016(10)123456789012345678901",
        // none of it
        "(01)04012345000016(37)0",
        // an identifier that nobody knows
        "]C199x",
        "(01)04012345000016 and more"
      })
  void whatIsNoneOrBroken(String text) {
    assertThat(read(text)).isEmpty();
  }
}
