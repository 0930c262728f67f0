package dev.lonja.core.replay;

import static org.assertj.core.api.Assertions.assertThat;

import dev.lonja.core.quantity.Money;
import dev.lonja.core.quantity.Quantity;
import java.util.Currency;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;

class TryingTest {

  private static final Currency EUR = Currency.getInstance("EUR");

  private static Trying.Score score(int waited, int daysShort, long stock, int orders) {
    return new Trying.Score(waited, daysShort, new Money(stock, EUR), orders);
  }

  /** Fewer lines waiting count for more than any money; then days, then money, then orders. */
  @Test
  void serviceComesBeforeMoney() {
    assertThat(Trying.better(56, Map.of(56, score(1, 9, 100, 2), 84, score(0, 9, 900, 9))))
        .contains(84);
    assertThat(Trying.better(56, Map.of(56, score(1, 9, 100, 2), 84, score(1, 8, 900, 9))))
        .contains(84);
    assertThat(Trying.better(56, Map.of(56, score(1, 9, 900, 2), 28, score(1, 9, 899, 9))))
        .contains(28);
    assertThat(Trying.better(56, Map.of(56, score(1, 9, 900, 4), 84, score(1, 9, 900, 3))))
        .contains(84);
  }

  /** What does as well as the usual way is no reason to change it. */
  @Test
  void theUsualWayStaysWhereNothingDidBetter() {
    assertThat(Trying.better(56, Map.of(56, score(1, 9, 100, 2), 28, score(1, 9, 100, 2))))
        .isEmpty();
    assertThat(Trying.better(56, Map.of(56, score(0, 0, 100, 2), 28, score(0, 1, 50, 2))))
        .isEmpty();
  }

  /** Two things: 4 lines of which 3, and 2 of which 2 were served at once; 3 days, 12.00 EUR. */
  @Test
  void aScoreAddsThingsUp() {
    assertThat(Trying.Score.of(List.of(course(4, 3, 3, 700, 2), course(2, 2, 0, 500, 1))))
        .isEqualTo(score(1, 3, 1200, 3));
  }

  private static Course course(int lines, int atOnce, int days, long stock, int orders) {
    return new Course(
        List.of(),
        days,
        Quantity.pieces(0),
        new Course.Lines(lines, atOnce),
        new Money(stock, EUR),
        new Course.Orders(orders, Money.zero(EUR), Money.zero(EUR)));
  }
}
