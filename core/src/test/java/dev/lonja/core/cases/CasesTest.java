package dev.lonja.core.cases;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import org.junit.jupiter.api.DisplayName;
import org.junit.jupiter.api.Test;

class CasesTest {

  private sealed interface Vessel {
    record Drum(int litres) implements Vessel {}

    sealed interface Small extends Vessel {
      record Can() implements Small {}

      record Jug() implements Small {}
    }
  }

  @Test
  @DisplayName("every case has its branch, and a sealed part may share one")
  void eachCaseItsBranch() {
    Cases<Vessel, String> words =
        Cases.<Vessel, String>over(Vessel.class)
            .when(Vessel.Drum.class, drum -> "drum of " + drum.litres())
            .when(Vessel.Small.class, small -> "small")
            .all();

    assertThat(words.apply(new Vessel.Drum(208))).isEqualTo("drum of 208");
    assertThat(words.apply(new Vessel.Small.Can())).isEqualTo("small");
    assertThat(words.apply(new Vessel.Small.Jug())).isEqualTo("small");
  }

  @Test
  @DisplayName("a case that was left out is named")
  void missingCase() {
    Cases.Branches<Vessel, String> branches =
        Cases.<Vessel, String>over(Vessel.class)
            .when(Vessel.Drum.class, drum -> "drum")
            .when(Vessel.Small.Can.class, can -> "can");

    assertThatThrownBy(branches::all)
        .isInstanceOf(IllegalStateException.class)
        .hasMessageContaining("Jug")
        .hasMessageNotContaining("Can");
  }

  @Test
  @DisplayName("two branches for one case are refused")
  void twoBranches() {
    Cases.Branches<Vessel, String> branches =
        Cases.<Vessel, String>over(Vessel.class).when(Vessel.Small.class, small -> "small");

    assertThatThrownBy(() -> branches.when(Vessel.Small.Jug.class, jug -> "jug"))
        .isInstanceOf(IllegalStateException.class)
        .hasMessageContaining("Jug has two branches");
  }

  @Test
  @DisplayName("a type that is not sealed has no end of cases")
  void openType() {
    assertThatThrownBy(() -> Cases.over(Number.class))
        .isInstanceOf(IllegalArgumentException.class)
        .hasMessage("java.lang.Number is not sealed");
  }
}
