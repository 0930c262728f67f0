package dev.lonja.web.ahead;

import dev.lonja.web.frame.DrawingView;
import dev.lonja.web.frame.Drum;
import dev.lonja.web.frame.Plate;
import dev.lonja.web.frame.State;
import java.util.List;
import java.util.Optional;

/** The weeks table of all items. */
public record AheadView(
    String summary,
    int weeks,
    List<Horizon> horizons,
    String csv,
    Filter filter,
    int barWeeks,
    String firstWeek,
    List<String> gaps,
    DrawingView drawing,
    List<Row> rows) {

  public record Horizon(String address, String words, boolean chosen) {}

  /** Which items are shown. */
  public record Filter(
      List<Option> families,
      List<Option> suppliers,
      List<Option> criticalities,
      List<Option> places,
      boolean onlyShort,
      boolean any) {}

  public record Option(String value, String words, boolean chosen) {}

  /**
   * A thing.
   *
   * @param awaited by open orders, each with its day
   */
  public record Row(
      String kind,
      Plate plate,
      Optional<Drum> drum,
      String bars,
      Use use,
      String free,
      List<String> awaited,
      String lasts,
      State state) {}

  /**
   * What is used within the weeks of the bars.
   *
   * @param between what nine trials of ten leave out below and above; empty before any are drawn
   * @param chance that more is used than is free; empty if there is none to speak of
   */
  public record Use(String expected, String between, String chance) {}
}
