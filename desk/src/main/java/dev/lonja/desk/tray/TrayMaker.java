package dev.lonja.desk.tray;

import dev.lonja.core.forecast.UnitPlan;
import dev.lonja.core.machine.UnitNeeds;
import dev.lonja.core.service.Occurrence;
import dev.lonja.core.service.Task;
import dev.lonja.core.take.ServiceTake;
import dev.lonja.core.take.TakeLine;
import dev.lonja.core.tray.FreshTray;
import dev.lonja.core.tray.TrayId;
import dev.lonja.desk.fleet.Kits;
import dev.lonja.store.Session;
import dev.lonja.store.tray.Tray;
import java.util.List;
import java.util.Set;
import java.util.function.Supplier;

/** Starts the tray of an occurrence with a line for everything that it takes. */
public final class TrayMaker {

  private TrayMaker() {}

  /** Adds the tray, nothing laid yet, and returns its id. */
  public static TrayId start(Session session, UnitPlan unit, Occurrence occurrence, Kits kits) {
    List<Task> tasks = occurrence.tasks().stream().map(Occurrence.OccurrenceTask::task).toList();
    TrayId trayId =
        session
            .trays()
            .add(
                unit.unitId(),
                occurrence.title(),
                occurrence.date(),
                tasks.stream().map(Task::id).toList());
    UnitNeeds needs = unit.needs().on(occurrence.date());
    for (TakeLine line : kits.chosen(needs, ServiceTake.of(needs, tasks, occurrence.neglected()))) {
      session.trayLines().addLine(trayId, line);
    }
    WantedLines.putOn(session, trayId);
    return trayId;
  }

  /** What the service of a tray takes by now. */
  static List<TakeLine> takes(TrayMachine machine, Tray tray, Kits kits) {
    UnitNeeds needs = machine.needs().on(tray.plannedOn());
    return kits.chosen(needs, ServiceTake.of(needs, machine.tasks(), machine.neglected()));
  }

  /**
   * True for an open tray that nobody has begun to lay and whose service takes otherwise by now.
   */
  static boolean isOutdated(Session session, TrayMachine machine, Tray tray, Supplier<Kits> kits) {
    FreshTray fresh = new FreshTray(tray.lines());
    return tray.isOpen()
        && !tray.taskIds().isEmpty()
        && fresh.isUntouched()
        && fresh.differsFrom(takes(machine, tray, kits.get()))
        && isUnsigned(session, tray, fresh);
  }

  /** True until something of what its service takes is laid, left out, replaced or signed for. */
  static boolean isUntouched(Session session, Tray tray) {
    FreshTray fresh = new FreshTray(tray.lines());
    return fresh.isUntouched() && isUnsigned(session, tray, fresh);
  }

  private static boolean isUnsigned(Session session, Tray tray, FreshTray fresh) {
    Set<Long> signed = session.pours().ofTrayLines(tray.id()).keySet();
    return fresh.lines().stream().noneMatch(line -> signed.contains(line.id()));
  }

  /** Puts what the service takes by now in place of what it took when the tray was made. */
  static void makeAnew(Session session, TrayMachine machine, Tray tray, Kits kits) {
    new FreshTray(tray.lines()).lines().forEach(line -> session.trayLines().removeLine(line.id()));
    takes(machine, tray, kits).forEach(line -> session.trayLines().addLine(tray.id(), line));
    WantedLines.putOn(session, tray.id());
  }
}
