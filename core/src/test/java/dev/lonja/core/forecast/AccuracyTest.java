package dev.lonja.core.forecast;

import static org.assertj.core.api.Assertions.assertThat;

import dev.lonja.core.quantity.Quantity;
import java.util.List;
import org.junit.jupiter.api.Test;

class AccuracyTest {

  private static Accuracy.Month month(long forecast, long used) {
    return new Accuracy.Month(Quantity.pieces(forecast), Quantity.pieces(used));
  }

  /** 6 of 4, 3 of 5 and 2 of 0 are 11 of 9: bias 2 / 9; the errors are 2 + 2 + 2 of 9. */
  @Test
  void biasAndErrorRestOnWhatWasUsed() {
    Accuracy accuracy = Accuracy.of(List.of(month(6, 4), month(3, 5), month(2, 0)));
    assertThat(accuracy.bias()).isEqualByComparingTo("0.2222");
    assertThat(accuracy.weightedError()).isEqualByComparingTo("0.6667");
    assertThat(accuracy.months()).isEqualTo(3);
    assertThat(Accuracy.of(List.of(month(1, 3))).bias()).isEqualByComparingTo("-0.6667");
  }

  @Test
  void ofWhatWasNotUsedNothingIsSaid() {
    assertThat(Accuracy.of(List.of(month(3, 0))).saysAnything()).isFalse();
    assertThat(Accuracy.of(List.of(month(0, 1))).saysAnything()).isTrue();
  }
}
