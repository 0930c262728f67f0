package dev.lonja.web.book;

import dev.lonja.web.frame.Plate;
import java.util.List;

/**
 * How well forecasts agreed with what happened.
 *
 * @param summary over which months
 */
public record AccuracyView(String summary, List<Family> families, List<Row> rows) {

  /** Things of a kind. */
  public record Family(String words, Figures figures) {}

  /**
   * A thing.
   *
   * @param why what speaks for the difference; empty if that was not looked for
   */
  public record Row(Plate plate, Figures figures, List<String> why) {}

  /** What was forecast and used, and how far that is apart. */
  public record Figures(String forecast, String used, String bias, String error) {}
}
