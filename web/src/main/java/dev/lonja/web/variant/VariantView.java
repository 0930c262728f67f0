package dev.lonja.web.variant;

import dev.lonja.core.fleet.CompartmentId;
import dev.lonja.core.fleet.PositionId;
import dev.lonja.core.service.TaskId;
import java.util.List;
import java.util.Map;

/**
 * A variant with everything its machines are made of, for editing.
 *
 * @param blank what the form of something new begins with
 */
public record VariantView(
    long id,
    String title,
    long version,
    Named named,
    Machines machines,
    List<Row<CompartmentId>> compartments,
    List<Row<PositionId>> positions,
    List<Row<TaskId>> tasks,
    Choices choices,
    Map<String, String> blank) {

  /**
   * What is made like it.
   *
   * @param absences what some of them turned out not to have: "RT-04: Rear axle, single axle"
   */
  public record Machines(List<String> units, List<String> absences) {}

  /** What it is called, part by part. */
  public record Named(String make, String model, String name, String engine, String power) {}

  /** A part of it: its line while it is folded, and what its form then shows by field. */
  public record Row<I>(I id, String summary, Map<String, String> fields) {}

  /**
   * What may be chosen.
   *
   * @param subjects what a task may be about: its compartments and positions
   * @param leads tasks that may lead another
   * @param valueKinds what an inspection may measure
   */
  public record Choices(
      List<Choice> compartmentKinds,
      List<Choice> positionKinds,
      List<Choice> mountings,
      List<Choice> arrows,
      Levels levels,
      List<Choice> subjects,
      List<Choice> meters,
      List<Choice> leads,
      List<Choice> valueKinds) {}

  /** How a level may be read, and what is then said of a stick. */
  public record Levels(
      List<Choice> kinds, List<Choice> warmths, List<Choice> seats, List<Choice> stances) {}

  public record Choice(String value, String words) {}

  /** All variants. */
  public record All(List<Variant> rows) {}

  public record Variant(long id, String title, String units, int count) {}
}
