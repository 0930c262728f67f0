package dev.lonja.core.tray;

import static dev.lonja.core.crossref.Verdict.CHECK;
import static dev.lonja.core.crossref.Verdict.DOES_NOT_FIT;
import static dev.lonja.core.crossref.Verdict.FITS;
import static dev.lonja.core.crossref.Verdict.STOPGAP;
import static org.assertj.core.api.Assertions.assertThat;

import dev.lonja.core.crossref.Verdict;
import dev.lonja.core.part.Family;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;

class PutOnRuleTest {

  private static final Optional<Verdict> UNSAID = Optional.empty();

  private static PutOnRule.Answer filter(List<Optional<Verdict>> places) {
    return PutOnRule.judge(Family.SPIN_ON_FILTER, places);
  }

  @Test
  void whatFitsAtOnePlaceIsFreeWhateverTheOthersSay() {
    assertThat(filter(List.of(Optional.of(DOES_NOT_FIT), Optional.of(FITS), UNSAID)))
        .isEqualTo(PutOnRule.Answer.FREE);
  }

  @Test
  void whatTheMachineHasNoPlaceOnFileForIsFree() {
    assertThat(PutOnRule.judge(Family.CONSUMABLE, List.of())).isEqualTo(PutOnRule.Answer.FREE);
  }

  /** A hose clip is a consumable, as is the impeller of a pump that the machine has on file. */
  @Test
  void aConsumableIsNotJudgedAgainstAnother() {
    assertThat(PutOnRule.judge(Family.CONSUMABLE, List.of(UNSAID)))
        .isEqualTo(PutOnRule.Answer.FREE);
  }

  @Test
  void whatMayFitOrHelpsOutNeedsAWord() {
    assertThat(filter(List.of(Optional.of(CHECK)))).isEqualTo(PutOnRule.Answer.SAY_WHY);
    assertThat(filter(List.of(Optional.of(STOPGAP), Optional.of(DOES_NOT_FIT))))
        .isEqualTo(PutOnRule.Answer.SAY_WHY);
  }

  @Test
  void aFilterThatFitsNowhereIsRefusedAndASealNeedsAWord() {
    assertThat(filter(List.of(Optional.of(DOES_NOT_FIT)))).isEqualTo(PutOnRule.Answer.NO);
    assertThat(filter(List.of(UNSAID))).isEqualTo(PutOnRule.Answer.NO);
    assertThat(PutOnRule.judge(Family.SEAL, List.of(Optional.of(DOES_NOT_FIT))))
        .isEqualTo(PutOnRule.Answer.SAY_WHY);
    assertThat(PutOnRule.judge(Family.SEAL, List.of(UNSAID))).isEqualTo(PutOnRule.Answer.SAY_WHY);
  }
}
