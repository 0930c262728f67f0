package dev.lonja.web.whatif;

import static org.assertj.core.api.Assertions.assertThat;

import dev.lonja.core.calendar.LayUp;
import dev.lonja.desk.whatif.Supposition;
import dev.lonja.web.request.Problem;
import dev.lonja.web.request.Typed;
import java.time.LocalDate;
import java.util.List;
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

  @ParameterizedTest
  @ValueSource(
      strings = {
        "RT-04 away",
        "RT-04 laid up 2027-06-30 to 2027-04-01",
        "RT-04 laid up 2027-02-30 to 2027-04-01",
        "Cabo Norte Supply late 0 weeks",
        "Cabo Norte Supply late 53 weeks",
        "Isla Lubricants prices -100 %",
        "Isla Lubricants prices 8 %"
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
