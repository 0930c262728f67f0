package dev.lonja.web.whatif;

import static org.assertj.core.api.Assertions.assertThat;

import dev.lonja.core.calendar.LayUp;
import dev.lonja.core.calendar.UsageBurst;
import dev.lonja.core.policy.Choice;
import dev.lonja.core.policy.School;
import dev.lonja.core.quantity.MeterMeasure;
import dev.lonja.core.quantity.MeterSpan;
import dev.lonja.desk.whatif.Supposition;
import dev.lonja.web.request.Problem;
import dev.lonja.web.request.Typed;
import java.math.BigDecimal;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class SuppositionsTest {

  @Test
  void aLineIsReadAsItIsSpoken() {
    Typed typed = new Typed();
    List<Supposition> read =
        Suppositions.read(
            "a",
            "RT-04 laid up  2027-04-01 to 2027-06-30\none more like VN-1; Cabo Norte Supply late 2"
                + " weeks\n\nIsla Lubricants prices -8 %",
            typed);
    assertThat(typed.problems()).isEmpty();
    assertThat(read)
        .containsExactly(
            new Supposition.LaidUp(
                "RT-04", new LayUp(LocalDate.parse("2027-04-01"), LocalDate.parse("2027-06-30"))),
            new Supposition.OneMore("VN-1"),
            new Supposition.Late("Cabo Norte Supply", 2),
            new Supposition.Dearer("Isla Lubricants", -8));
  }

  /** A burst names the meter by its measure, and a school its words and the number it needs. */
  @Test
  void useAndWaysAreReadToo() {
    Typed typed = new Typed();
    List<Supposition> read =
        Suppositions.read(
            "a",
            "RT-04 runs 12.5 h a day 2027-05-01 to 2027-05-31; policy Air filter and pre-cleaner: replace"
                + " every n-th service 4; policy kit or loose: always loose",
            typed);
    assertThat(typed.problems()).isEmpty();
    assertThat(read)
        .containsExactly(
            new Supposition.Runs(
                "RT-04",
                new UsageBurst(
                    LocalDate.parse("2027-05-01"),
                    LocalDate.parse("2027-05-31"),
                    MeterSpan.of(new BigDecimal("12.5"), MeterMeasure.HOURS))),
            new Supposition.Way(new Choice(School.EVERY_NTH, Optional.of(BigDecimal.valueOf(4)))),
            new Supposition.Way(Choice.of(School.ALWAYS_LOOSE)));
  }

  @ParameterizedTest
  @ValueSource(
      strings = {
        "RT-04 away",
        "RT-04 laid up 2027-06-30 to 2027-04-01",
        "RT-04 laid up 2027-02-30 to 2027-04-01",
        "Cabo Norte Supply late 0 weeks",
        "Cabo Norte Supply late 53 weeks",
        "Isla Lubricants prices -100 %",
        "Isla Lubricants prices 8 %",
        "RT-04 runs 24.1 h a day 2027-05-01 to 2027-05-31",
        "RT-04 runs 12 h a day 2027-05-31 to 2027-05-01",
        "policy always loose",
        "policy flush before the drain: always loose",
        "policy kit or loose: always loose 3",
        "policy air filter and pre-cleaner: replace every n-th service",
        "policy air filter and pre-cleaner: replace every n-th service 1"
      })
  void whatIsNotUnderstoodIsNamed(String line) {
    Typed typed = new Typed();
    assertThat(Suppositions.read("b", "one more like VN-1; " + line, typed)).hasSize(1);
    assertThat(typed.problems())
        .singleElement()
        .satisfies(problem -> assertThat(problem.field()).isEqualTo("b"))
        .extracting(Problem::text)
        .asString()
        .contains("\"" + line + "\" is not understood");
  }

  @Test
  void aSetHasNoMoreThanTwentyLines() {
    Typed typed = new Typed();
    assertThat(Suppositions.read("c", "one more like VN-1;".repeat(21), typed)).isEmpty();
    assertThat(typed.problems().get(0).text()).contains("A set has 21 lines");
  }
}
