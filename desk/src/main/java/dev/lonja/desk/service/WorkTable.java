package dev.lonja.desk.service;

import dev.lonja.core.fleet.Unit;
import dev.lonja.core.inspection.Found;
import dev.lonja.core.meter.MeterId;
import dev.lonja.core.quantity.MeterValue;
import dev.lonja.core.service.Task;
import dev.lonja.core.service.TaskId;
import dev.lonja.core.service.TaskStanding;
import dev.lonja.desk.clock.StoreClock;
import dev.lonja.desk.fleet.FleetPicture;
import dev.lonja.desk.request.Outcome;
import dev.lonja.desk.request.Refusal;
import dev.lonja.desk.request.Sent;
import dev.lonja.store.Session;
import java.math.BigDecimal;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;

/**
 * A table of work within a transaction. Lines of one unit and day are one piece of work, whose
 * meters were read once; the oldest is noted first, so that each reading meets those before it.
 */
final class WorkTable {

  private final Session session;
  private final StoreClock clock;
  private final Sent sent;
  private final List<WorkDesk.Line> lines;
  private final FleetPicture fleet;
  private final List<Refusal> bad = new ArrayList<>();
  private final Map<Visit, Work> visits =
      new TreeMap<>(Comparator.comparing(Visit::day).thenComparing(Visit::unit));

  /** A unit on a day. */
  private record Visit(String unit, LocalDate day) {}

  /** What the lines of a visit say together; {@code first} is the first of them. */
  private record Work(
      int first, String note, Map<MeterId, MeterValue> meters, Map<TaskId, Integer> tasks) {}

  WorkTable(Session session, StoreClock clock, Sent sent, List<WorkDesk.Line> lines) {
    this.session = session;
    this.clock = clock;
    this.sent = sent;
    this.lines = lines;
    this.fleet = FleetPicture.load(session, clock.today());
  }

  Outcome note() {
    for (int i = 0; i < lines.size(); i++) {
      read(i);
    }
    if (lines.isEmpty()) {
      return Outcome.refused(new WorkRefusal.NothingDone());
    }
    visits.forEach(this::note);
    return bad.isEmpty() ? Outcome.done(lines.size()) : new Outcome.Refused(bad);
  }

  private void read(int at) {
    WorkDesk.Line line = lines.get(at);
    Optional<Unit> unit = WorkDesk.unit(fleet, line.unit());
    if (unit.isEmpty()) {
      bad.add(new WorkDesk.Bad(at, new WorkRefusal.UnknownUnit(line.unit())));
      return;
    }
    List<Task> called =
        fleet.tasks(unit.get().id()).stream()
            .map(TaskStanding::task)
            .filter(task -> isCalled(task, line.task()))
            .toList();
    if (called.size() != 1) {
      bad.add(
          new WorkDesk.Bad(
              at,
              called.isEmpty()
                  ? new WorkRefusal.NoSuchTask(line.unit(), line.task())
                  : new WorkRefusal.SeveralTasks(line.unit(), line.task())));
      return;
    }
    add(at, line, called.get(0));
  }

  private static boolean isCalled(Task task, String name) {
    return task.name().equalsIgnoreCase(name)
        || (task.serviceName() + ": " + task.name()).equalsIgnoreCase(name);
  }

  private void add(int at, WorkDesk.Line line, Task task) {
    Work work =
        visits.computeIfAbsent(
            new Visit(line.unit(), line.day()),
            visit -> new Work(at, line.note(), new HashMap<>(), new HashMap<>()));
    if (work.tasks().putIfAbsent(task.id(), at) != null) {
      bad.add(new WorkDesk.Bad(at, new WorkRefusal.DoneThatDay(task, line.day())));
    }
    task.meterId()
        .flatMap(id -> line.reading().map(r -> Map.entry(id, value(id, r))))
        .filter(
            read -> {
              MeterValue before = work.meters().putIfAbsent(read.getKey(), read.getValue());
              return before != null && !before.equals(read.getValue());
            })
        .ifPresent(
            other ->
                bad.add(
                    new WorkDesk.Bad(at, new WorkRefusal.TwoReadings(line.unit(), line.day()))));
  }

  private MeterValue value(MeterId id, BigDecimal amount) {
    return MeterValue.of(amount, fleet.meters().get(id).file().meter().measure());
  }

  private void note(Visit visit, Work work) {
    Map<TaskId, Optional<Found>> done = new HashMap<>();
    work.tasks().keySet().forEach(task -> done.put(task, Optional.empty()));
    Outcome outcome =
        new WorkNoting(session, clock, sent, fleet)
            .note(
                visit.unit(),
                new WorkDesk.Work(visit.day(), work.meters(), done, work.note(), List.of()));
    if (outcome instanceof Outcome.Refused refused) {
      refused.reasons().forEach(why -> bad.add(new WorkDesk.Bad(work.first(), why)));
    }
  }
}
