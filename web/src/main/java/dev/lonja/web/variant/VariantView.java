package dev.lonja.web.variant;

import dev.lonja.core.fleet.CompartmentId;
import dev.lonja.core.fleet.PositionId;
import dev.lonja.core.service.TaskId;
import java.util.List;

/**
 * A variant with everything its machines are made of, for editing.
 *
 * @param units that are made like it
 * @param subjects what a task may be about: its compartments and positions
 */
record VariantView(
    long id,
    String make,
    String model,
    String name,
    String title,
    long version,
    List<String> units,
    List<CompartmentForm> compartments,
    List<PositionForm> positions,
    List<TaskForm> tasks,
    List<Choice> compartmentKinds,
    List<Choice> positionKinds,
    List<Choice> mountings,
    List<Choice> subjects,
    List<Choice> meters,
    List<Choice> leads) {

  record Choice(String value, String words) {}

  /** All variants. */
  record All(List<Row> rows) {}

  record Row(long id, String title, String units, int count) {}

  /** A compartment as its form shows it; {@code summary} is its line while it is folded. */
  record CompartmentForm(
      CompartmentId id,
      String summary,
      String name,
      String kind,
      String item,
      String dry,
      String withFilter,
      String withoutFilter,
      String hint) {}

  /** A position as its form shows it. */
  record PositionForm(
      PositionId id,
      String summary,
      String name,
      String kind,
      String compartment,
      String item,
      String quantity,
      String torque,
      String mounting,
      String thread,
      String drive,
      String note,
      String mostHeight,
      String mostOuter,
      String separator,
      String materials) {}

  /** A task as its form shows it. */
  record TaskForm(
      TaskId id,
      String summary,
      String service,
      String name,
      String action,
      String subject,
      String meter,
      String run,
      String months,
      String firstRun,
      String firstMonths,
      String severity,
      String severityReason,
      String lead,
      String nth,
      String season,
      boolean beforeLayUp,
      String leadDays,
      String byFluid) {}
}
