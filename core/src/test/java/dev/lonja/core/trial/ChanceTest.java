package dev.lonja.core.trial;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.SplittableRandom;
import org.junit.jupiter.api.Test;

/** Held against the generator of the Java library, which draws by the same rule. */
class ChanceTest {

  private static final long GOLDEN = 0x9E3779B97F4A7C15L;

  /** The chances of the fifth trial of meter 12: seeded by what the library draws first of each. */
  private static SplittableRandom library(long kind) {
    long ofKind = new SplittableRandom(77 + GOLDEN * kind).nextLong();
    return new SplittableRandom(new SplittableRandom(ofKind + 12).nextLong() + 5);
  }

  @Test
  void itDrawsAsTheLibraryDoes() {
    Chance chance = new Chance();
    chance.begin(77, Chance.Kind.METER, 12, 5);
    SplittableRandom library = library(Chance.Kind.METER.ordinal());
    for (int i = 0; i < 100; i++) {
      assertThat(chance.nextLong()).isEqualTo(library.nextLong());
    }
  }

  /** What falls with a chance just above what is drawn does not with one just below. */
  @Test
  void whatFallsIsDrawnOnce() {
    double drawn = library(Chance.Kind.INSPECTION.ordinal()).nextDouble();
    assertThat(Chance.falls(Math.nextUp(drawn), 77, 12, 5)).isTrue();
    assertThat(Chance.falls(drawn, 77, 12, 5)).isFalse();
    assertThat(Chance.falls(1, 77, 12, 5)).isTrue();
    assertThat(Chance.falls(0, 77, 12, 5)).isFalse();
  }
}
