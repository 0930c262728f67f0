package dev.lonja.web.ahead;

import dev.lonja.web.frame.Drum;
import dev.lonja.web.frame.Plate;
import dev.lonja.web.frame.State;
import java.util.List;
import java.util.Optional;

/** The weeks table of all items. */
public record AheadView(
    String summary,
    List<Horizon> horizons,
    int barWeeks,
    String firstWeek,
    List<String> gaps,
    Drawing drawing,
    List<Row> rows) {

  /**
   * How far the trials are behind the chances.
   *
   * @param words what a reader of the chances must know; empty if they show all that is written
   * @param percent how far newer ones are
   */
  public record Drawing(String words, boolean running, int percent) {}

  public record Horizon(int weeks, String words, boolean chosen) {}

  public record Row(
      String kind,
      Plate plate,
      Optional<Drum> drum,
      String bars,
      Use use,
      String free,
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
