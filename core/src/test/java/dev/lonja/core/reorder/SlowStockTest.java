package dev.lonja.core.reorder;

import static org.assertj.core.api.Assertions.assertThat;

import dev.lonja.core.quantity.Quantity;
import java.math.BigDecimal;
import java.util.Optional;
import org.junit.jupiter.api.Test;

class SlowStockTest {

  private static Optional<SlowStock> of(long free, long yearly, boolean taken) {
    return SlowStock.of(Quantity.pieces(free), Quantity.pieces(yearly), taken);
  }

  /** 7 at 3 a year last 2.33 years: one is more than two years take. */
  @Test
  void whatLastsMoreThanTwoYearsIsSlow() {
    assertThat(of(6, 3, true)).isEmpty();
    assertThat(of(7, 3, true))
        .contains(
            new SlowStock(
                SlowStock.Kind.FOR_YEARS, Quantity.pieces(1), Optional.of(new BigDecimal("2.3"))));
  }

  @Test
  void whatNothingTakesIsDead() {
    assertThat(of(4, 0, false).map(SlowStock::kind)).contains(SlowStock.Kind.NO_UNIT);
    assertThat(of(4, 0, true).map(SlowStock::kind)).contains(SlowStock.Kind.NOT_WITHIN_A_YEAR);
    assertThat(of(4, 0, true).map(SlowStock::surplus)).contains(Quantity.pieces(4));
    assertThat(of(0, 0, false)).isEmpty();
  }
}
