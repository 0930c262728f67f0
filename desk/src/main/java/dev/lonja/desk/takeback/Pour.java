package dev.lonja.desk.takeback;

import dev.lonja.core.fleet.Capacity;
import dev.lonja.core.fleet.Compartment;
import dev.lonja.core.fleet.CompartmentId;
import dev.lonja.core.fleet.FillCondition;
import dev.lonja.core.fleet.LevelMethod;
import dev.lonja.core.item.ItemId;
import dev.lonja.core.pour.NewFill;
import dev.lonja.core.service.Task;
import dev.lonja.core.service.TaskId;
import dev.lonja.core.take.ServiceTake;
import dev.lonja.core.take.TakeLine;
import dev.lonja.core.tray.TrayLine;
import dev.lonja.desk.request.Sent;
import dev.lonja.desk.tray.TrayMachine;
import dev.lonja.store.tray.Tray;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;

/**
 * A compartment that a tray's job fills.
 *
 * @param compartment that is filled
 * @param itemId what the tray brought for it, whatever was asked for
 * @param condition in which it is really filled
 * @param book what it takes by the book, in that condition
 */
public record Pour(Compartment compartment, ItemId itemId, FillCondition condition, Capacity book) {

  public CompartmentId compartmentId() {
    return compartment.id();
  }

  /** What these of the tray's tasks fill: with the filter only where that is changed as well. */
  static List<Pour> of(TrayMachine machine, Tray tray, List<Task> tasks) {
    if (tasks.isEmpty()) {
      return List.of();
    }
    Map<TaskId, CompartmentId> compartments = new HashMap<>();
    for (Task task : tasks) {
      if (task.action() instanceof Task.Action.ChangeFluid change) {
        compartments.put(task.id(), change.compartmentId());
      }
    }
    List<Pour> pours = new ArrayList<>();
    for (TakeLine line : ServiceTake.of(machine.needs(), tasks).lines()) {
      if (line.reason() instanceof TakeLine.Reason.Fill fill) {
        pours.add(
            new Pour(
                machine.needs().compartment(compartments.get(line.taskId())),
                laid(tray, line),
                fill.filledIn(),
                fill.capacity()));
      }
    }
    return pours;
  }

  private static ItemId laid(Tray tray, TakeLine line) {
    return tray.lines().stream()
        .filter(l -> l.compartmentId().isPresent())
        .filter(l -> l.compartmentId().equals(line.destination().compartmentId()))
        .findFirst()
        .map(TrayLine::itemId)
        .orElse(line.itemId());
  }

  /** True unless there is nothing to read: an exact amount goes in. */
  public boolean hasLevel() {
    return compartment.filling().level().filter(LevelMethod.Measured.class::isInstance).isEmpty();
  }

  NewFill filled(TakeBackDesk.Poured poured, LocalDate day, Sent sent) {
    return new NewFill(
        compartment.id(),
        itemId,
        condition,
        poured.litres(),
        poured.drained(),
        poured.level(),
        day,
        sent.actor());
  }
}
