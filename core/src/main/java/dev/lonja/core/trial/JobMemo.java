package dev.lonja.core.trial;

import java.util.BitSet;
import java.util.List;

/**
 * What a walk looked up last of the jobs that come again and again, with where their items are
 * taken down. Only for units of at most 64 tasks; a job that has no place pushes another out.
 */
final class JobMemo {

  private static final int PLACES = 64;
  private static final long MIX = 0x9E3779B97F4A7C15L;
  private static final int TOP_BITS = 58;

  private final JobTakes takes;
  private final TrialSink sink;
  private final long[] sets = new long[PLACES];
  private final long[] turnsOf = new long[PLACES];
  private final long[] neglectedOf = new long[PLACES];
  private final int[] versions = new int[PLACES];
  private final Entry[] entries = new Entry[PLACES];

  /** The lines of a job, and by line where its item is taken down. */
  record Entry(JobLine[] lines, TrialSink.Column[] columns) {}

  JobMemo(JobTakes takes, TrialSink sink) {
    this.takes = takes;
    this.sink = sink;
  }

  /**
   * What a job takes.
   *
   * @param set its tasks, a bit each, and {@code turns} and {@code neglected} those of them
   */
  Entry of(long set, long turns, long neglected, int version) {
    int place = (int) ((set + 3 * turns + 5 * neglected + version) * MIX >>> TOP_BITS);
    Entry entry = entries[place];
    if (entry == null
        || sets[place] != set
        || turnsOf[place] != turns
        || neglectedOf[place] != neglected
        || versions[place] != version) {
      entry = of(new JobTakes.Job(bits(set), bits(turns), bits(neglected), version));
      entries[place] = entry;
      sets[place] = set;
      turnsOf[place] = turns;
      neglectedOf[place] = neglected;
      versions[place] = version;
    }
    return entry;
  }

  private static BitSet bits(long set) {
    return BitSet.valueOf(new long[] {set});
  }

  /** What any job takes. */
  Entry of(JobTakes.Job job) {
    List<JobLine> lines = takes.of(job);
    TrialSink.Column[] columns = new TrialSink.Column[lines.size()];
    for (int i = 0; i < columns.length; i++) {
      columns[i] = sink.column(lines.get(i).item());
    }
    return new Entry(lines.toArray(JobLine[]::new), columns);
  }
}
