package dev.lonja.core.trial;

import java.util.Map;

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
  private final Map<JobTakes.Job, JobTakes.Entry> known;
  private final JobTakes.Entry[] entries = new JobTakes.Entry[PLACES];

  // by place what is compared first, without following anything
  private final long[] sets = new long[PLACES];
  private final long[] turnsOf = new long[PLACES];
  private final long[] neglectedOf = new long[PLACES];
  private final int[] versions = new int[PLACES];

  JobMemo(JobTakes takes, TrialSink sink) {
    this.takes = takes;
    this.sink = sink;
    this.known = takes.entries(sink);
  }

  /**
   * What a job takes; the sets are not kept.
   *
   * @param set its tasks, and {@code turns} and {@code neglected} those of them
   */
  JobTakes.Entry of(TaskSet set, TaskSet turns, TaskSet neglected, int version) {
    long mixed = set.first() + 3 * turns.first() + 5 * neglected.first() + version;
    int place = (int) (mixed * MIX >>> TOP_BITS);
    JobTakes.Entry entry = entries[place];
    if (entry == null
        || sets[place] != set.first()
        || versions[place] != version
        || turnsOf[place] != turns.first()
        || neglectedOf[place] != neglected.first()
        || (set.isLong() && !entry.job().isOf(set, turns, neglected))) {
      entry = known(new JobTakes.Job(set.copy(), turns.copy(), neglected.copy(), version));
      entries[place] = entry;
      sets[place] = set.first();
      versions[place] = version;
      turnsOf[place] = turns.first();
      neglectedOf[place] = neglected.first();
    }
    return entry;
  }

  private JobTakes.Entry known(JobTakes.Job job) {
    JobTakes.Entry entry = known.get(job);
    if (entry == null) {
      entry = takes.entry(job, sink);
      known.put(job, entry);
    }
    return entry;
  }
}
