package dev.lonja.desk.forecast;

import static org.assertj.core.api.Assertions.assertThat;

import dev.lonja.desk.Cage;
import dev.lonja.desk.answer.GiveWay;

/** Trials of the example store for tests of what rests on them. */
public final class ReadyTrials {

  private ReadyTrials() {}

  /** None of them is drawn yet. */
  public static Trials of(Cage cage) {
    return new Trials(cage.store(), cage.clock(), TrialCount.USUAL, new GiveWay());
  }

  /** Waits until they show all that is written. */
  public static Drawn settled(Trials trials) {
    Drawn state = trials.drawn();
    while (state.percent() < 100) {
      pause();
      state = trials.drawn();
    }
    assertThat(state.failed()).isFalse();
    return state;
  }

  private static void pause() {
    try {
      Thread.sleep(5);
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
      throw new AssertionError(e);
    }
  }
}
