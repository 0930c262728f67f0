package dev.lonja.core.trial;

import dev.lonja.core.machine.UnitNeeds;
import dev.lonja.core.service.Task;
import dev.lonja.core.service.TaskId;
import dev.lonja.core.take.KitChoice;
import dev.lonja.core.take.ServiceTake;
import dev.lonja.core.take.TakeLine;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;

/** What sets of a unit's tasks take when they are done together; each is worked out once. */
final class JobTakes {

  private final TrialUnit unit;
  private final List<Task> tasks;
  private final List<UnitNeeds> versions = new ArrayList<>();
  private final int[] versionOfWeek;
  private final Map<Job, List<JobLine>> known = new ConcurrentHashMap<>();
  private final Map<TrialSink, Map<Job, Entry>> entries = new ConcurrentHashMap<>();

  /**
   * Tasks done together.
   *
   * @param turns those of them at which a part is replaced because it is its turn
   * @param neglected those that were left for too long
   * @param version of what the unit is made of, which changes with its fluids
   */
  record Job(TaskSet tasks, TaskSet turns, TaskSet neglected, int version) {

    boolean isOf(TaskSet its, TaskSet itsTurns, TaskSet itsNeglected) {
      return tasks.equals(its) && turns.equals(itsTurns) && neglected.equals(itsNeglected);
    }
  }

  /** The lines of a job, and by line where its item is taken down. */
  record Entry(Job job, JobLine[] lines, TrialSink.Column[] columns) {}

  JobTakes(TrialUnit unit, TrialRules rules) {
    this.unit = unit;
    this.tasks = unit.tasks().stream().map(standing -> standing.task()).toList();
    this.versionOfWeek = new int[rules.weeks()];
    for (int week = 0; week < rules.weeks(); week++) {
      LocalDate day = week == 0 ? rules.today() : rules.sunday(week);
      UnitNeeds then = unit.needs().on(day);
      if (versions.isEmpty() || !versions.get(versions.size() - 1).equals(then)) {
        versions.add(then);
      }
      versionOfWeek[week] = versions.size() - 1;
    }
  }

  int version(int week) {
    return versionOfWeek[week];
  }

  /** What jobs take that is taken down at one place, as far as anybody has asked. */
  Map<Job, Entry> entries(TrialSink sink) {
    return entries.computeIfAbsent(sink, one -> new ConcurrentHashMap<>());
  }

  /** What a job takes, whose sets nobody changes any more. */
  Entry entry(Job job, TrialSink sink) {
    List<JobLine> lines = of(job);
    return new Entry(
        job,
        lines.toArray(JobLine[]::new),
        lines.stream().map(line -> sink.column(line.item())).toArray(TrialSink.Column[]::new));
  }

  private List<JobLine> of(Job job) {
    List<JobLine> lines = known.get(job);
    if (lines == null) {
      lines = workOut(job);
      known.put(job, lines);
    }
    return lines;
  }

  private List<JobLine> workOut(Job job) {
    UnitNeeds needs = versions.get(job.version());
    List<Task> together = new ArrayList<>();
    Set<TaskId> neglected = new HashSet<>();
    for (int i = job.tasks().next(0); i >= 0; i = job.tasks().next(i + 1)) {
      boolean itsTurn = job.turns().contains(i);
      together.add(tasks.get(i).withTurn(turn -> turn.standing(itsTurn)));
      if (job.neglected().contains(i)) {
        neglected.add(tasks.get(i).id());
      }
    }
    List<TakeLine> lines =
        KitChoice.of(ServiceTake.of(needs, together, neglected).lines(), needs.ways(), unit.kits());
    return lines.stream().map(line -> JobLine.of(line, indexOf(line.taskId()))).toList();
  }

  private int indexOf(TaskId id) {
    for (int i = 0; i < tasks.size(); i++) {
      if (tasks.get(i).id().equals(id)) {
        return i;
      }
    }
    throw new IllegalArgumentException("unit has no task " + id);
  }
}
