package dev.lonja.core.wanted;

import static dev.lonja.core.wanted.Finding.State.CLOSED;
import static dev.lonja.core.wanted.Finding.State.OPEN;
import static dev.lonja.core.wanted.Finding.State.WANTED;
import static dev.lonja.core.wanted.Finding.State.WATCHED;
import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;

class FindingTest {

  @Test
  void whatStandsMayBecomeAnythingElseAndASecondPartMayBeWanted() {
    assertThat(OPEN.mayBecome(WATCHED)).isTrue();
    assertThat(OPEN.mayBecome(WANTED)).isTrue();
    assertThat(WATCHED.mayBecome(CLOSED)).isTrue();
    assertThat(WANTED.mayBecome(WANTED)).isTrue();
    assertThat(OPEN.mayBecome(OPEN)).isFalse();
    assertThat(WATCHED.mayBecome(WATCHED)).isFalse();
  }

  @Test
  void whatIsClosedIsOpenedFirst() {
    assertThat(CLOSED.mayBecome(OPEN)).isTrue();
    assertThat(CLOSED.mayBecome(WANTED)).isFalse();
    assertThat(CLOSED.mayBecome(WATCHED)).isFalse();
    assertThat(CLOSED.mayBecome(CLOSED)).isFalse();
  }
}
