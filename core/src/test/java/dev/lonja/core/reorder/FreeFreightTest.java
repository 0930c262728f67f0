package dev.lonja.core.reorder;

import static org.assertj.core.api.Assertions.assertThat;

import dev.lonja.core.quantity.Money;
import java.util.ArrayList;
import java.util.Currency;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import org.junit.jupiter.api.Test;

/** Orders that lack something to free freight; all in cents. */
class FreeFreightTest {

  private static final Currency EUR = Currency.getInstance("EUR");

  private static Money money(long minor) {
    return new Money(minor, EUR);
  }

  private static FreeFreight.Step step(long minor, int days) {
    return new FreeFreight.Step(minor, days);
  }

  private static FreeFreight.Option option(String name, FreeFreight.Step... steps) {
    return new FreeFreight.Option(name, List.of(steps));
  }

  /**
   * 50.00 are lacking. Two packs of A cost 60.00 and come 10 and 40 days early: 3,000 · 50 =
   * 150,000 cent days. One of B costs 55.00 and comes 30 days early: 165,000. So A, at 150,000 ·
   * 0.18 / 365 = 73.97 cents.
   */
  @Test
  void whatCostsLeastToKeepIsTakenAlong() {
    FreeFreight.Choice choice =
        FreeFreight.choose(
                List.of(
                    option("B", step(5_500, 30)), option("A", step(3_000, 10), step(3_000, 40))),
                money(5_000),
                money(2_400))
            .orElseThrow();
    assertThat(choice.counts()).containsExactly(0, 2);
    assertThat(choice.keeping()).isEqualTo(money(74));
  }

  /**
   * As dear to keep: 4,000 · 30 = 6,000 · 20; the one worth less, and of equals the first by name.
   */
  @Test
  void ofEqualsTheOneWorthLessThenTheFirstByName() {
    assertThat(
            FreeFreight.choose(
                    List.of(option("A", step(6_000, 20)), option("B", step(4_000, 30))),
                    money(4_000),
                    money(2_400))
                .map(FreeFreight.Choice::counts))
        .contains(List.of(0, 1));
    assertThat(
            FreeFreight.choose(
                    List.of(option("B", step(4_000, 30)), option("A", step(4_000, 30))),
                    money(4_000),
                    money(2_400))
                .map(FreeFreight.Choice::counts))
        .contains(List.of(0, 1));
  }

  /** 100.00 for a year cost 18.00: no less than a freight of 18.00, less than one of 18.01. */
  @Test
  void nothingIsTakenAlongThatCostsAsMuchAsTheFreight() {
    List<FreeFreight.Option> options = List.of(option("A", step(10_000, 365)));
    assertThat(FreeFreight.choose(options, money(10_000), money(1_800))).isEmpty();
    assertThat(FreeFreight.choose(options, money(10_000), money(1_801))).isPresent();
    assertThat(FreeFreight.choose(options, money(10_001), money(9_000))).isEmpty();
  }

  /** Against every possibility, on many small orders drawn by a fixed seed. */
  @Test
  void itIsTheBestOfAllPossibilities() {
    Random random = new Random(31);
    for (int i = 0; i < 400; i++) {
      List<FreeFreight.Option> options = new ArrayList<>();
      for (int o = 0; o < 1 + random.nextInt(4); o++) {
        List<FreeFreight.Step> steps = new ArrayList<>();
        int days = random.nextInt(20);
        for (int s = 0; s < 1 + random.nextInt(3); s++) {
          steps.add(step(100 + random.nextInt(30) * 50L, days));
          days += random.nextInt(40);
        }
        options.add(new FreeFreight.Option(String.valueOf((char) ('A' + o)), steps));
      }
      Money gap = money(200 + random.nextInt(3_000));
      assertThat(FreeFreight.choose(options, gap, money(2_000)).map(FreeFreight.Choice::counts))
          .as("%s for %s", options, gap)
          .isEqualTo(best(options, gap.minor()));
    }
  }

  private static Optional<List<Integer>> best(List<FreeFreight.Option> options, long gap) {
    List<List<Integer>> all = new ArrayList<>(List.of(List.of()));
    for (FreeFreight.Option option : options) {
      List<List<Integer>> longer = new ArrayList<>();
      for (List<Integer> counts : all) {
        // more of what comes first by name goes before less of it
        for (int count = option.steps().size(); count >= 0; count--) {
          List<Integer> next = new ArrayList<>(counts);
          next.add(count);
          longer.add(next);
        }
      }
      all = longer;
    }
    Optional<List<Integer>> best = Optional.empty();
    long[] least = {Long.MAX_VALUE, Long.MAX_VALUE};
    for (List<Integer> counts : all) {
      long minor = 0;
      long minorDays = 0;
      for (int o = 0; o < counts.size(); o++) {
        for (FreeFreight.Step step : options.get(o).steps().subList(0, counts.get(o))) {
          minor += step.minor();
          minorDays += step.minor() * step.days();
        }
      }
      boolean better = minorDays < least[0] || minorDays == least[0] && minor < least[1];
      if (minor >= gap && better && minorDays * 18 < 2_000L * 36_500) {
        best = Optional.of(counts);
        least = new long[] {minorDays, minor};
      }
    }
    return best;
  }
}
