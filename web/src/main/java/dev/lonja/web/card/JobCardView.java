package dev.lonja.web.card;

import dev.lonja.core.tray.TrayId;
import java.util.List;
import java.util.Optional;

/**
 * A job card.
 *
 * @param code the tray's number as a drawing that a scanner reads
 */
public record JobCardView(
    TrayId trayId,
    Head head,
    String code,
    List<MeterRow> meters,
    List<FluidRow> fluids,
    List<PartRow> parts,
    List<TorqueRow> torques,
    List<WorkRow> works,
    Hints hints) {

  /**
   * Which job it is.
   *
   * @param unit empty for the workshop's own supplies
   */
  public record Head(String unit, String title, String machine, String day, String tray) {}

  /** A meter to be read, and what it showed last. */
  public record MeterRow(String name, String measure, String last) {}

  /**
   * A fluid.
   *
   * @param then what is kept until the level is read; empty if all is poured at once
   */
  public record FluidRow(
      String into,
      String condition,
      String what,
      String number,
      String bin,
      String first,
      String then,
      Level level,
      String together) {}

  /**
   * How it comes to its level.
   *
   * @param filter what goes into the new filter beforehand; empty if nothing does
   * @param read how the level is read, and what it is taken from; empty if there is nothing to say
   */
  public record Level(String filter, String read) {}

  /**
   * Something that goes on.
   *
   * @param seat how it sits, where that is said
   */
  public record PartRow(
      String place, String amount, String number, String what, String note, Optional<Seat> seat) {}

  /** How a part sits, drawn and in words. */
  public record Seat(String drawing, String words) {}

  /**
   * A fastener, or a filter and how far it is turned.
   *
   * @param setTo to what the wrench is set; empty if no mark of it lies inside the range
   * @param range "30–35 N·m"; empty for a single value
   */
  public record TorqueRow(String place, Optional<String> setTo, String range, String pounds) {}

  /**
   * A task to be ticked.
   *
   * @param looks true if what was found is written down
   * @param limits between what a value that is asked for is sound; empty if none is
   * @param unit of that value
   * @param steps what to mind in it; may be empty
   */
  public record WorkRow(String task, boolean looks, String limits, String unit, String steps) {}

  /** What to know beforehand. */
  public record Hints(
      List<String> tools, List<String> order, List<String> findings, List<String> cautions) {}
}
