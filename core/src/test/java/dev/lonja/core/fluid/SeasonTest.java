package dev.lonja.core.fluid;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.time.LocalDate;
import java.time.Month;
import java.util.EnumSet;
import java.util.Set;
import org.junit.jupiter.api.Test;

/** An oil that is too thin for July and August. */
class SeasonTest {

  private static final Season SEASON =
      new Season(EnumSet.complementOf(EnumSet.of(Month.JULY, Month.AUGUST)));

  @Test
  void changesAwayOnTheFirstDayOfTheHeat() {
    assertThat(SEASON.serves(LocalDate.of(2027, 6, 30))).isTrue();
    assertThat(SEASON.nextChange(LocalDate.of(2027, 3, 15))).contains(LocalDate.of(2027, 7, 1));
    assertThat(SEASON.nextChange(LocalDate.of(2027, 6, 30))).contains(LocalDate.of(2027, 7, 1));
  }

  @Test
  void changesBackOnTheFirstDayAfterIt() {
    assertThat(SEASON.serves(LocalDate.of(2027, 7, 1))).isFalse();
    assertThat(SEASON.nextChange(LocalDate.of(2027, 7, 1))).contains(LocalDate.of(2027, 9, 1));
    assertThat(SEASON.nextChange(LocalDate.of(2027, 9, 1))).contains(LocalDate.of(2028, 7, 1));
  }

  @Test
  void theWholeYearNeedsNoChange() {
    assertThat(new Season(EnumSet.allOf(Month.class)).nextChange(LocalDate.of(2027, 3, 15)))
        .isEmpty();
    assertThatThrownBy(() -> new Season(Set.of())).hasMessageContaining("none");
  }
}
