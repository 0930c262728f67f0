package dev.lonja.desk.service;

import dev.lonja.core.inspection.Found;
import dev.lonja.core.meter.MeterId;
import dev.lonja.core.service.Task;
import dev.lonja.desk.request.Refusal;
import java.time.LocalDate;

/** Why work is not noted, or not withdrawn. */
public sealed interface WorkRefusal extends Refusal {

  /** No such unit is in service. */
  record UnknownUnit(String code) implements WorkRefusal {}

  /** Nothing is said to have been done. */
  record NothingDone() implements WorkRefusal {}

  /** The unit has no such task. */
  record UnknownTask() implements WorkRefusal {}

  /** The day is not one from the start of service to today. */
  record OutsideService(LocalDate day, LocalDate first, LocalDate last) implements WorkRefusal {}

  /** A task that was done counts by a meter, and nobody says what it showed. */
  record NoReading(MeterId meterId, Task task) implements WorkRefusal {}

  /** An inspection cannot have found what is said of it. */
  record FoundWrong(Task task, Found.Objection why) implements WorkRefusal {}

  /** The task is on record for that day already. */
  record DoneThatDay(Task task, LocalDate day) implements WorkRefusal {}

  /** A tray is out for the task; what was done of it is said when the tray is taken back. */
  record OutWithTray(Task task, String tray) implements WorkRefusal {}

  /** No task of the unit is called so. */
  record NoSuchTask(String unit, String name) implements WorkRefusal {}

  /** Several of its tasks are; the service has to be named as well. */
  record SeveralTasks(String unit, String name) implements WorkRefusal {}

  /** Two lines say different things of one meter on one day. */
  record TwoReadings(String unit, LocalDate day) implements WorkRefusal {}

  /** The record is not on file any more. */
  record NotOnFile() implements WorkRefusal {}

  /** The record came with a tray; its taking back is undone there. */
  record OfTray(String tray) implements WorkRefusal {}
}
