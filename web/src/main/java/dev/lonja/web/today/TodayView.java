package dev.lonja.web.today;

import dev.lonja.core.tray.TrayId;
import dev.lonja.web.frame.State;
import java.util.List;

/**
 * The rack and the list beside it.
 *
 * @param toMake how many trays are to be made or made anew; empty if none
 */
public record TodayView(String summary, String toMake, List<Shelf> shelves, List<Need> needs) {

  /**
   * One working day.
   *
   * @param date as a form has it
   */
  public record Shelf(
      String date, String weekday, String day, List<Block> blocks, List<Wish> wishes) {}

  /** A tray on the shelf; {@code fill} is the drawing of how far it is laid. */
  public record Block(
      TrayId trayId, String unit, String what, String progress, State state, String fill) {}

  /** A planned occurrence whose tray has not been started. */
  public record Wish(String unit, String what, String date) {}

  /**
   * Something that needs hands.
   *
   * @param urgent true for short and overdue, false for what merely wants attention
   */
  public record Need(boolean urgent, String what, String detail, String path) {}
}
