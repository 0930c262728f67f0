package dev.lonja.core.take;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import dev.lonja.core.fleet.Engine;
import dev.lonja.core.fleet.Variant;
import dev.lonja.core.quantity.Power;
import dev.lonja.core.quantity.Spoken;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** A sweeper of 6.6 kW with the engine TB 9, held against what kits say they are made for. */
class KitRangeTest {

  private static final Variant SWEEPER = machine("TB 9", Optional.of(new Power(6_600)));

  private static Variant machine(String engine, Optional<Power> power) {
    return new Variant(1, "Tarrowby", "Broom 90", "", new Engine(engine, power));
  }

  private static Optional<Power> kilowatts(String text) {
    return text == null ? Optional.empty() : Spoken.POWER.read(text);
  }

  private static String none(String text) {
    return text == null ? "" : text;
  }

  /** Everything stated has to hold; the ends of a range of power are in it. */
  @ParameterizedTest
  @CsvSource({
    "Tarrowby,,,,,IN",
    "tarrowby,Broom 90,tb 9,6.6,6.6,IN",
    ",,TB 9,5,8,IN",
    ",Jet 20,TB 9,,,OUT",
    "Lintrel,,,,,OUT",
    ",,TB 9,7,,OUT",
    ",,TB 9,,6.599,OUT",
    ",,TB 11,,,OUT"
  })
  void oneRangeAgainstOneMachine(
      String make, String model, String engine, String least, String most, KitRange.Answer answer) {
    KitRange range =
        new KitRange(none(make), none(model), none(engine), kilowatts(least), kilowatts(most));
    assertThat(range.judge(SWEEPER)).isEqualTo(answer);
  }

  /** What is not noted leaves it open, unless something that is noted says no already. */
  @Test
  void whatIsNotNotedOfTheMachine() {
    Variant bare = machine("", Optional.empty());
    KitRange small =
        new KitRange("", "", "TB 9", Optional.of(new Power(5_000)), Optional.of(new Power(8_000)));
    assertThat(small.judge(bare)).isEqualTo(KitRange.Answer.NOT_KNOWN);
    assertThat(small.judge(machine("TB 9", Optional.empty()))).isEqualTo(KitRange.Answer.NOT_KNOWN);
    assertThat(small.judge(machine("TB 11", Optional.empty()))).isEqualTo(KitRange.Answer.OUT);
    assertThat(small.judge(machine("", Optional.of(new Power(9_000)))))
        .isEqualTo(KitRange.Answer.OUT);
  }

  @Test
  void ofSeveralRangesTheBestAnswerHoldsAndNoneIsForAny() {
    KitRange others = new KitRange("Lintrel", "", "", Optional.empty(), Optional.empty());
    KitRange its = new KitRange("", "", "TB 9", Optional.empty(), Optional.empty());
    assertThat(KitRange.judge(List.of(others, its), SWEEPER)).isEqualTo(KitRange.Answer.IN);
    assertThat(KitRange.judge(List.of(others), SWEEPER)).isEqualTo(KitRange.Answer.OUT);
    assertThat(KitRange.judge(List.of(), SWEEPER)).isEqualTo(KitRange.Answer.IN);
  }

  @Test
  void aRangeStatesSomethingAndRisesFromLeastToMost() {
    assertThatThrownBy(() -> new KitRange("", "", "", Optional.empty(), Optional.empty()))
        .hasMessageContaining("nothing is stated");
    assertThatThrownBy(
            () ->
                new KitRange(
                    "", "", "", Optional.of(new Power(8_000)), Optional.of(new Power(5_000))))
        .hasMessage("most is 5 kW; allowed is 8 kW or more, the least");
  }

  /** 5 × 745.69987 = 3,728.5 W; 5 × 735.49875 = 3,677.49 W; both rounded to whole watts. */
  @ParameterizedTest
  @CsvSource({"6.6,6600", "6.6 kW,6600", "500 W,500", "5 hp,3728", "5 PS,3677"})
  void powerAsPeopleSayIt(String text, long watts) {
    assertThat(Spoken.POWER.read(text)).contains(new Power(watts));
  }

  @ParameterizedTest
  @CsvSource({"0", "-3", "100001 kW", "5 mW", "fast"})
  void powerThatIsNone(String text) {
    assertThat(Spoken.POWER.read(text)).isEmpty();
  }
}
