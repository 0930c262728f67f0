package dev.lonja.core.trial;

import java.util.List;

/**
 * What a walk looked up last of the jobs that come again and again, with where their items are
 * taken down. A job that has no place pushes another out.
 */
final class JobMemo {

  private static final int PLACES = 64;
  private static final long MIX = 0x9E3779B97F4A7C15L;
  private static final int TOP_BITS = 58;

  private final JobTakes takes;
  private final TrialSink sink;
  private final Entry[] entries = new Entry[PLACES];

  /** The lines of a job, and by line where its item is taken down. */
  record Entry(JobTakes.Job job, JobLine[] lines, TrialSink.Column[] columns) {}

  JobMemo(JobTakes takes, TrialSink sink) {
    this.takes = takes;
    this.sink = sink;
  }

  /**
   * What a job takes; the sets are not kept.
   *
   * @param set its tasks, and {@code turns} and {@code neglected} those of them
   */
  Entry of(TaskSet set, TaskSet turns, TaskSet neglected, int version) {
    long mixed = set.hashCode() + 3L * turns.hashCode() + 5L * neglected.hashCode() + version;
    int place = (int) (mixed * MIX >>> TOP_BITS);
    Entry entry = entries[place];
    if (entry == null
        || entry.job().version() != version
        || !entry.job().tasks().equals(set)
        || !entry.job().turns().equals(turns)
        || !entry.job().neglected().equals(neglected)) {
      entry = of(new JobTakes.Job(set.copy(), turns.copy(), neglected.copy(), version));
      entries[place] = entry;
    }
    return entry;
  }

  private Entry of(JobTakes.Job job) {
    List<JobLine> lines = takes.of(job);
    TrialSink.Column[] columns = new TrialSink.Column[lines.size()];
    for (int i = 0; i < columns.length; i++) {
      columns[i] = sink.column(lines.get(i).item());
    }
    return new Entry(job, lines.toArray(JobLine[]::new), columns);
  }
}
