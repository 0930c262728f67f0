package dev.lonja.core.trial;

import java.util.Arrays;

/**
 * Tasks of a unit by their places. Of the few tasks that most units have it is a single word, so
 * that looking up a job costs next to nothing.
 */
final class TaskSet {

  private static final int WORD_BITS = 6;
  private static final long MIX = 0x9E3779B97F4A7C15L;

  private final long[] words;

  /**
   * @param tasks how many the unit has
   */
  TaskSet(int tasks) {
    this(new long[(tasks >> WORD_BITS) + 1]);
  }

  private TaskSet(long[] words) {
    this.words = words;
  }

  /** The first 64 tasks, a bit each. */
  long first() {
    return words[0];
  }

  /** True if there may be more than the first 64. */
  boolean isLong() {
    return words.length > 1;
  }

  TaskSet copy() {
    return new TaskSet(words.clone());
  }

  void clear() {
    Arrays.fill(words, 0);
  }

  void add(int task) {
    words[task >> WORD_BITS] |= 1L << task;
  }

  void addAll(TaskSet other) {
    for (int i = 0; i < words.length; i++) {
      words[i] |= other.words[i];
    }
  }

  boolean contains(int task) {
    return (words[task >> WORD_BITS] & 1L << task) != 0;
  }

  boolean isEmpty() {
    return next(0) < 0;
  }

  /** The first task from one on, or -1. */
  int next(int from) {
    int word = from >> WORD_BITS;
    long rest = word < words.length ? words[word] & -1L << from : 0;
    while (rest == 0) {
      if (++word >= words.length) {
        return -1;
      }
      rest = words[word];
    }
    return (word << WORD_BITS) + Long.numberOfTrailingZeros(rest);
  }

  @Override
  public boolean equals(Object other) {
    return other instanceof TaskSet set && Arrays.equals(words, set.words);
  }

  @Override
  public int hashCode() {
    long mixed = 0;
    for (long word : words) {
      mixed = (mixed + word) * MIX;
    }
    return (int) (mixed >>> Integer.SIZE);
  }
}
