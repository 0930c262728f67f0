package dev.lonja.desk.tray;

import dev.lonja.core.forecast.UnitPlan;
import dev.lonja.core.service.Occurrence;
import dev.lonja.core.service.Task;
import dev.lonja.core.take.ServiceTake;
import dev.lonja.core.take.TakeLine;
import dev.lonja.core.tray.TrayId;
import dev.lonja.store.Session;
import java.util.List;

/** Starts the tray of an occurrence with a line for everything that it takes. */
public final class TrayMaker {

  private TrayMaker() {}

  /** Adds the tray, nothing laid yet, and returns its id. */
  public static TrayId start(Session session, UnitPlan unit, Occurrence occurrence) {
    List<Task> tasks = occurrence.tasks().stream().map(Occurrence.OccurrenceTask::task).toList();
    TrayId trayId =
        session
            .trays()
            .add(
                unit.unitId(),
                occurrence.title(),
                occurrence.date(),
                tasks.stream().map(Task::id).toList());
    for (TakeLine line : ServiceTake.of(unit.needs().on(occurrence.date()), tasks).lines()) {
      session.trays().addLine(trayId, line);
    }
    WantedLines.putOn(session, trayId);
    return trayId;
  }
}
