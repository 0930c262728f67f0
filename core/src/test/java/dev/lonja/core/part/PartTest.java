package dev.lonja.core.part;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Optional;
import org.junit.jupiter.api.Test;

class PartTest {

  private static Part part(Family family, Properties properties) {
    return new Part(new PartId(1), "Pollux", "X 1", Optional.of(family), properties);
  }

  /**
   * An oil filter and a crushed washer are waste; a plug, and a washer that is known to last, not.
   */
  @Test
  void whatMayGoOntoAMachineAgain() {
    assertThat(part(Family.SPIN_ON_FILTER, Properties.NONE).mayBeUsedAgain()).isFalse();
    assertThat(part(Family.SEAL, Properties.NONE).mayBeUsedAgain()).isFalse();
    assertThat(part(Family.SEAL, Properties.NONE.with(Property.REUSABLE, false)).mayBeUsedAgain())
        .isFalse();
    assertThat(part(Family.SEAL, Properties.NONE.with(Property.REUSABLE, true)).mayBeUsedAgain())
        .isTrue();
    assertThat(part(Family.SPARK_PLUG, Properties.NONE).mayBeUsedAgain()).isTrue();
    assertThat(part(Family.FOAM_FILTER, Properties.NONE).mayBeUsedAgain()).isTrue();
    assertThat(
            new Part(new PartId(1), "Pollux", "X 1", Optional.empty(), Properties.NONE)
                .mayBeUsedAgain())
        .isFalse();
  }
}
