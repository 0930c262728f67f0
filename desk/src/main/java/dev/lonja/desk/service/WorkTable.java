package dev.lonja.desk.service;

import dev.lonja.core.fleet.Unit;
import dev.lonja.core.quantity.MeterValue;
import dev.lonja.core.service.Task;
import dev.lonja.core.service.TaskStanding;
import dev.lonja.desk.clock.StoreClock;
import dev.lonja.desk.fleet.FleetPicture;
import dev.lonja.desk.request.Outcome;
import dev.lonja.desk.request.Sent;
import dev.lonja.store.Session;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/** A table of work within a transaction, its units and tasks named as people name them. */
final class WorkTable {

  private final List<WorkDesk.Line> lines;
  private final FleetPicture fleet;
  private final Visits visits;
  private final List<WorkDesk.Bad> unread = new ArrayList<>();

  WorkTable(Session session, StoreClock clock, Sent sent, List<WorkDesk.Line> lines) {
    this.lines = lines;
    this.fleet = FleetPicture.load(session, clock.today());
    this.visits = new Visits(session, clock, sent, fleet);
  }

  Outcome note() {
    for (int i = 0; i < lines.size(); i++) {
      read(i);
    }
    if (lines.isEmpty()) {
      return Outcome.refused(new WorkRefusal.NothingDone());
    }
    List<WorkDesk.Bad> bad = new ArrayList<>(unread);
    bad.addAll(visits.note());
    return bad.isEmpty() ? Outcome.done(lines.size()) : new Outcome.Refused(bad);
  }

  private void read(int at) {
    WorkDesk.Line line = lines.get(at);
    Optional<Unit> unit = WorkDesk.unit(fleet, line.unit());
    if (unit.isEmpty()) {
      unread.add(new WorkDesk.Bad(at, new WorkRefusal.UnknownUnit(line.unit())));
      return;
    }
    List<Task> called =
        fleet.tasks(unit.get().id()).stream()
            .map(TaskStanding::task)
            .filter(task -> isCalled(task, line.task()))
            .toList();
    if (called.size() != 1) {
      unread.add(
          new WorkDesk.Bad(
              at,
              called.isEmpty()
                  ? new WorkRefusal.NoSuchTask(line.unit(), line.task())
                  : new WorkRefusal.SeveralTasks(line.unit(), line.task())));
      return;
    }
    Task task = called.get(0);
    visits.add(at, unit.get(), line.day(), task, reading(task, line), line.note());
  }

  private static boolean isCalled(Task task, String name) {
    return task.name().equalsIgnoreCase(name)
        || (task.serviceName() + ": " + task.name()).equalsIgnoreCase(name);
  }

  private Optional<MeterValue> reading(Task task, WorkDesk.Line line) {
    return task.meterId()
        .flatMap(
            id ->
                line.reading()
                    .map(
                        amount ->
                            MeterValue.of(
                                amount, fleet.meters().get(id).file().meter().measure())));
  }
}
