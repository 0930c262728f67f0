package dev.lonja.web.request;

import static org.assertj.core.api.Assertions.assertThat;

import dev.lonja.core.quantity.Measure;
import dev.lonja.core.quantity.Volume;
import java.math.BigDecimal;
import java.time.LocalDate;
import java.util.Currency;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

class TypedTest {

  private static final LocalDate TODAY = LocalDate.parse("2027-03-15");

  private final Typed typed = new Typed();

  @ParameterizedTest
  @CsvSource({
    "1585.5, 1585.5",
    "' 7 ', 7",
    "-0.25, -0.25",
    "+3, 3",
    "0, 0",
    "'1,5', 1.5",
    "'6,4250', 6.4250"
  })
  void numbersAreReadWithAPointOrAComma(String text, BigDecimal value) {
    assertThat(typed.decimal("f", "The reading", text)).contains(value);
    assertThat(typed.problems()).isEmpty();
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "1,585|\"1,585\" has a comma that may stand for thousands.",
        "1.585,5|\"1.585,5\" has a comma that may stand for thousands.",
        "1e5|\"1e5\" is not a number.",
        "NaN|\"NaN\" is not a number.",
        "1.|\"1.\" is not a number.",
        ".5|\".5\" is not a number.",
        "0x10|\"0x10\" is not a number.",
        "1234567890123|\"1234567890123\" is not a number.",
        "''|The reading is missing."
      })
  void whatIsNoNumberIsQuoted(String text, String problem) {
    assertThat(typed.decimal("f", "The reading", text)).isEmpty();
    assertThat(typed.problems())
        .singleElement()
        .satisfies(
            p -> {
              assertThat(p.field()).isEqualTo("f");
              assertThat(p.text()).startsWith(problem);
            });
  }

  /** More than 0, up to the limit itself. */
  @Test
  void limitsAreOnTheDot() {
    BigDecimal most = BigDecimal.valueOf(24);
    assertThat(typed.decimalUpTo("f", "The use", "24.04", most, 1)).contains(amount("24.0"));
    assertThat(typed.decimalUpTo("f", "The use", "0.05", most, 1)).contains(amount("0.1"));
    assertThat(typed.problems()).isEmpty();
    assertThat(typed.decimalUpTo("f", "The use", "0", most, 1)).isEmpty();
    assertThat(typed.decimalUpTo("f", "The use", "0.04", most, 1)).isEmpty();
    assertThat(typed.decimalUpTo("f", "The use", "24.05", most, 1)).isEmpty();
    assertThat(typed.problems())
        .extracting(Problem::text)
        .containsExactly(
            "The use is 0; allowed is more than 0, up to 24.",
            "The use is 0.04; allowed is more than 0, up to 24.",
            "The use is 24.05; allowed is more than 0, up to 24.");
  }

  private static BigDecimal amount(String text) {
    return new BigDecimal(text);
  }

  @Test
  void wholeNumbersLieBetweenTheirEndsAndLoseNothing() {
    assertThat(typed.wholeBetween("f", "The months", "1", 1, 240)).contains(1);
    assertThat(typed.wholeBetween("f", "The months", "240.0", 1, 240)).contains(240);
    assertThat(typed.problems()).isEmpty();
    assertThat(typed.wholeBetween("f", "The months", "0", 1, 240)).isEmpty();
    assertThat(typed.wholeBetween("f", "The months", "1.5", 1, 240)).isEmpty();
    assertThat(typed.problems())
        .extracting(Problem::text)
        .containsExactly(
            "The months is 0; allowed is 1 to 240.", "The months is 1.5; write a whole number.");
  }

  /** A yen has no smaller unit, a euro a hundred: the same limit in minor units. */
  @Test
  void moneyGoesUpToTheSameNumberOfMinorUnits() {
    Currency euro = Currency.getInstance("EUR");
    Currency yen = Currency.getInstance("JPY");
    assertThat(typed.money("f", "The price", "10.00", 1_000, euro)).isPresent();
    assertThat(typed.money("f", "The price", "1000", 1_000, yen)).isPresent();
    assertThat(typed.money("f", "The price", "10.01", 1_000, euro)).isEmpty();
    assertThat(typed.money("f", "The price", "1001", 1_000, yen)).isEmpty();
  }

  @Test
  void daysAreIsoDatesUpToToday() {
    assertThat(typed.dayUpTo("d", "2027-03-15", TODAY)).contains(TODAY);
    assertThat(typed.day("d", " 2028-02-29 ")).contains(LocalDate.parse("2028-02-29"));
    assertThat(typed.problems()).isEmpty();
    assertThat(typed.dayUpTo("d", "2027-03-16", TODAY)).isEmpty();
    assertThat(typed.day("d", "2027-02-29")).isEmpty();
    assertThat(typed.day("d", "15/3/27")).isEmpty();
    assertThat(typed.problems()).hasSize(3);
  }

  @ParameterizedTest
  @CsvSource({"90, 90", "5 years, 1825", "1year, 365", "18 months, 547", "1 day, 1"})
  void howLongSomethingKeepsMayBeSaidInYears(String text, int days) {
    assertThat(typed.days("f", "The shelf life", text, 7_300)).contains(days);
    assertThat(typed.problems()).isEmpty();
  }

  @ParameterizedTest
  @ValueSource(strings = {"0 days", "21 years", "2.5", "5 weeks", "-1 years"})
  void howLongNothingKeepsIsRefused(String text) {
    assertThat(typed.days("f", "The shelf life", text, 7_300)).isEmpty();
    assertThat(typed.problems()).hasSize(1);
  }

  /** A US quart is 0.946352946 L, an ounce 28.349523125 g; held in millionths. */
  @ParameterizedTest
  @CsvSource({
    "2 qt, LITRES, 1.892706",
    "-500 mL, LITRES, -0.5",
    "-1.5, LITRES, -1.5",
    "14 oz, KILOGRAMS, 0.396893",
    "3, PIECES, 3"
  })
  void amountsMayHaveAUnitOfWhatTheyAreCountedIn(String text, Measure measure, BigDecimal amount) {
    assertThat(typed.amount("f", "The quantity", text, measure).orElseThrow())
        .isEqualByComparingTo(amount);
  }

  @ParameterizedTest
  @CsvSource({"2 kg, LITRES", "2 qt, PIECES", "2 L, KILOGRAMS", "--2 qt, LITRES"})
  void anotherUnitIsRefused(String text, Measure measure) {
    assertThat(typed.amount("f", "The quantity", text, measure)).isEmpty();
    assertThat(typed.problems()).hasSize(1);
  }

  @Test
  void textHasALength() {
    assertThat(typed.text("t", "The reason", " because ", 7)).contains("because");
    assertThat(typed.text("t", "The reason", "because!", 7)).isEmpty();
    assertThat(typed.text("t", "The reason", "  ", 7)).isEmpty();
    assertThat(typed.problems())
        .extracting(Problem::text)
        .containsExactly("The reason has 8 characters; allowed are 7.", "The reason is missing.");
  }

  /** 1.5 qt are 1.5 × 946,352.946 µL. */
  @Test
  void litresMayHaveAnotherUnit() {
    assertThat(typed.litres("f", "The capacity", "1.5 qt", 100)).contains(new Volume(1_419_529));
    assertThat(typed.litres("f", "The capacity", "420 mL", 100)).contains(new Volume(420_000));
    assertThat(typed.problems()).isEmpty();
    assertThat(typed.litres("f", "The capacity", "5 kg", 100)).isEmpty();
    assertThat(typed.litres("f", "The capacity", "200 gal", 100)).isEmpty();
    assertThat(typed.problems())
        .extracting(Problem::text)
        .first()
        .asString()
        .startsWith("The capacity is \"5 kg\"; allowed is more than 0, up to 100 L, with L, mL");
  }
}
