package dev.lonja.web.ahead;

import dev.lonja.web.frame.Plate;
import java.util.List;

/**
 * The trial that set a quantile.
 *
 * @param says what it is, in a sentence
 * @param lines what is used in it, in order of week
 */
public record AheadTrialView(Plate plate, String says, List<Line> lines, String total) {

  /** Something that is used; {@code unit} is empty for what is used beside services. */
  public record Line(String week, String unit, String number, String quantity) {}
}
