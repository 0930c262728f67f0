package dev.lonja.core.trial;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;

/** Sets of tasks of a machine with 130 of them, which takes three words. */
class TaskSetTest {

  private static TaskSet of(int... tasks) {
    TaskSet set = new TaskSet(130);
    for (int task : tasks) {
      set.add(task);
    }
    return set;
  }

  private static List<Integer> tasks(TaskSet set) {
    List<Integer> tasks = new ArrayList<>();
    for (int task = set.next(0); task >= 0; task = set.next(task + 1)) {
      tasks.add(task);
    }
    return tasks;
  }

  @Test
  void itHoldsWhatWasAddedInOrderAcrossWords() {
    TaskSet set = of(129, 0, 64, 63, 64);
    assertThat(tasks(set)).containsExactly(0, 63, 64, 129);
    assertThat(set.contains(63)).isTrue();
    assertThat(set.contains(62)).isFalse();
    assertThat(set.contains(128)).isFalse();
    set.addAll(of(128, 1));
    assertThat(tasks(set)).containsExactly(0, 1, 63, 64, 128, 129);
    set.clear();
    assertThat(set.isEmpty()).isTrue();
    assertThat(set.next(129)).isEqualTo(-1);
  }

  /** A copy stays as it was, so that a job can be looked up by it. */
  @Test
  void equalSetsAreOneKey() {
    TaskSet set = of(3, 100);
    TaskSet kept = set.copy();
    assertThat(kept).isEqualTo(of(100, 3)).hasSameHashCodeAs(of(100, 3));
    set.add(4);
    assertThat(kept).isNotEqualTo(set);
    assertThat(tasks(kept)).containsExactly(3, 100);
    assertThat(of(0)).isNotEqualTo(of(64));
  }
}
