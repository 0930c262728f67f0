package dev.lonja.web.unit;

import dev.lonja.core.fleet.CompartmentId;
import dev.lonja.core.meter.MeterId;
import dev.lonja.core.service.TaskId;
import dev.lonja.core.tray.TrayId;
import dev.lonja.web.frame.Plate;
import dev.lonja.web.frame.State;
import java.util.List;
import java.util.Optional;

/** Everything the unit page shows, in words. */
public record UnitView(
    Head head,
    EditForm edit,
    Sketch sketch,
    Work work,
    Machine machine,
    List<MeterBlock> meters,
    List<Signature> signatures,
    String today) {

  /**
   * Which unit it is.
   *
   * @param home the place that serves it, if there are several
   * @param leaves the day from which it is out of the fleet, if one is set
   */
  public record Head(
      String code,
      String name,
      String model,
      String unitClass,
      String inService,
      Optional<String> home,
      Optional<String> leaves) {}

  /** Its drawings: the side section, and the ruler of what is planned with its scale. */
  public record Sketch(String section, String ruler, String scale) {}

  /**
   * What is planned and due.
   *
   * @param wanted "2 parts wanted"; empty if none is
   */
  public record Work(
      List<OccurrenceRow> occurrences,
      List<DueRow> dues,
      List<FindingRow> findings,
      String wanted) {}

  /** Something that was found and is not closed. */
  public record FindingRow(String words, String found, State state, String why) {}

  /**
   * What it is made of.
   *
   * @param subjects what a deviation may be about
   */
  public record Machine(
      List<CompartmentRow> compartments,
      List<PositionRow> positions,
      List<DeviationRow> deviations,
      List<Choice> subjects,
      List<Proposal> proposals) {}

  /** Somebody's signature for a fluid that was not simply allowed. */
  public record Signature(String day, String place, String item, String verdict, String words) {}

  /** What can be edited of the unit itself, as its form shows it. */
  public record EditForm(String unitClass, String inService, List<Choice> classes, long version) {}

  /** A unit that has left the fleet: what is kept of it. */
  public record Retired(String code, String name, String model, String times, List<Event> events) {}

  /** Something that was done to the unit's file. */
  public record Event(String day, String what, String detail, String actor) {}

  /** A planned occurrence; {@code trayId} if its tray has been started. */
  public record OccurrenceRow(
      String day,
      String date,
      String title,
      String tasks,
      Optional<TrayId> trayId,
      String trayNumber,
      boolean canMove) {}

  /**
   * A task with when it is due; {@code how} opens the date to the figures behind it.
   *
   * @param sound between what the value it asks for is sound; empty if it asks for none
   */
  public record DueRow(
      TaskId taskId,
      String service,
      String task,
      String sound,
      String interval,
      String limits,
      String lastDone,
      State state,
      List<String> how) {}

  /**
   * A compartment with what it holds and when that is changed.
   *
   * @param number of its block in the drawing
   * @param hint the order of the work; empty if there is none
   * @param mixed true if what it takes is mixed with water
   */
  public record CompartmentRow(
      CompartmentId id,
      int number,
      String name,
      String grade,
      Fill fill,
      Drain drain,
      Change change,
      String hint,
      boolean mixed) {}

  /** What goes in; {@code source} where the preferred fluid deviates, else empty. */
  public record Fill(
      Optional<Plate> item, String source, List<CapacityRow> capacities, String firstPour) {}

  /** Where it comes out: seals, and plugs with thread and drive; each empty if there are none. */
  public record Drain(String seals, String plugs) {}

  /** When it is changed; empty if no task changes it. */
  public record Change(String last, Optional<State> next) {}

  /** How much goes in, in which condition; {@code source} where it deviates. */
  public record CapacityRow(String amount, String condition, String source) {}

  /**
   * A position.
   *
   * @param ofDrain true for plugs and seals that a compartment's row tells already
   * @param detail thread, drive and mounting
   * @param source where a value of it deviates, else empty
   */
  public record PositionRow(
      boolean ofDrain,
      String name,
      String kind,
      String detail,
      Part part,
      String torque,
      String source,
      String note) {}

  /** What goes there; {@code fits} leads to what else does. */
  public record Part(Optional<Plate> item, boolean lacks, int quantity, String fits) {}

  /** What differs from the variant, why and since when. */
  public record DeviationRow(long id, String what, String source, String reason, String since) {}

  /**
   * A capacity that recorded fills propose against the book.
   *
   * @param key tells it from others of its compartment
   * @param fills that it rests on, in words
   */
  public record Proposal(
      CompartmentId compartmentId,
      int key,
      String compartment,
      String condition,
      String conditionWords,
      String book,
      String median,
      List<String> fills) {}

  /** Something that a deviation may be about. */
  public record Choice(String value, String words) {}

  /** A meter with its rate and latest readings; {@code life} if it was exchanged, else empty. */
  public record MeterBlock(
      MeterId id,
      String name,
      String measure,
      String expected,
      String life,
      String rate,
      Optional<State> silent,
      List<ReadingRow> readings) {}

  public record ReadingRow(String day, String value, Optional<State> flag, String why) {}
}
