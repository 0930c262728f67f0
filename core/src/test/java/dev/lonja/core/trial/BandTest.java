package dev.lonja.core.trial;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import dev.lonja.core.item.ItemId;
import dev.lonja.core.quantity.Measure;
import dev.lonja.core.quantity.Quantity;
import java.time.LocalDate;
import java.util.List;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

/** Ten trials over two weeks that use 10, 9 … 1 pieces in the first and one more in the second. */
class BandTest {

  private static final ItemId ITEM = new ItemId(1);
  private static final ItemId OTHER = new ItemId(2);

  private final TrialTotals totals =
      new TrialTotals(new TrialRules(1, 10, LocalDate.parse("2027-03-15"), 2));

  @BeforeEach
  void use() {
    for (int trial = 0; trial < 10; trial++) {
      totals.take(ITEM, trial, 0, (10 - trial) * 1_000L);
      totals.take(ITEM, trial, 1, 1_000);
      totals.take(OTHER, trial, 1, 500);
    }
  }

  private Band band(ItemId... items) {
    return totals.band(List.of(items), Measure.PIECES);
  }

  /** The smallest of 1 … 10 that a tenth, a half, nine tenths of the trials reach. */
  @Test
  void aQuantileIsTheSmallestDrawnValueThatReachesTheShare() {
    assertThat(band(ITEM).quantile(0, 0.1)).isEqualTo(Quantity.pieces(1));
    assertThat(band(ITEM).quantile(0, 0.11)).isEqualTo(Quantity.pieces(2));
    assertThat(band(ITEM).quantile(0, 0.5)).isEqualTo(Quantity.pieces(5));
    assertThat(band(ITEM).quantile(0, 0.9)).isEqualTo(Quantity.pieces(9));
    assertThat(band(ITEM).quantile(0, 1)).isEqualTo(Quantity.pieces(10));
    assertThatThrownBy(() -> band(ITEM).quantile(0, 0))
        .hasMessage("share is 0.0; allowed is above 0, up to 1");
  }

  @Test
  void weeksAddUpAndSoDoItems() {
    assertThat(band(ITEM).quantile(1, 0.5)).isEqualTo(Quantity.pieces(6));
    assertThat(band(ITEM, OTHER).quantile(1, 0.5).exactText()).isEqualTo("6.5");
    assertThat(band(new ItemId(9)).quantile(1, 0.9)).isEqualTo(Quantity.pieces(0));
  }

  /** Five of ten use more than 5; to the end of the second week six do. */
  @Test
  void howOftenThereIsNotEnough() {
    assertThat(band(ITEM).chanceOfMoreThan(Quantity.pieces(5), 0)).isEqualTo(0.5);
    assertThat(band(ITEM).chanceOfMoreThan(Quantity.pieces(5), 1)).isEqualTo(0.6);
    assertThat(band(ITEM).chanceOfMoreThan(Quantity.pieces(11), 1)).isZero();
  }
}
