package dev.lonja.web.spec;

import dev.lonja.core.fluid.Level;
import dev.lonja.core.fluid.Standing;
import java.time.Month;
import java.util.Locale;

/**
 * The mark of a verdict: a drum that is sealed (listed), full (meets), half full over the months it
 * serves (seasonal), empty with a pen (sign-off) or struck out (no). The word always stands below.
 */
final class MatrixMark {

  private static final String OUTLINE =
      "<rect x=\"13\" y=\"2\" width=\"18\" height=\"20\" fill=\"none\" stroke=\"currentColor\" "
          + "stroke-width=\"1.6\"/>";
  private static final String HOOPS =
      "<path d=\"M11 2h22M11 22h22M13 9h18M13 15h18\" stroke=\"currentColor\" stroke-width=\"1.6\" "
          + "fill=\"none\"/>";

  private MatrixMark() {}

  static String svg(Standing verdict) {
    Level level = verdict.overall();
    StringBuilder text = new StringBuilder();
    text.append("<svg viewBox=\"0 0 44 30\" width=\"44\" height=\"30\" aria-hidden=\"true\">");
    switch (level) {
      case LISTED ->
          text.append(full(0))
              .append(HOOPS.replace("currentColor", "var(--color-paper)"))
              .append(
                  "<circle cx=\"34\" cy=\"20\" r=\"6\" fill=\"var(--color-paper)\" "
                      + "stroke=\"currentColor\" stroke-width=\"1.6\"/>"
                      + "<path d=\"M31 20l2.2 2.4 3.6-4.4\" fill=\"none\" "
                      + "stroke=\"currentColor\" stroke-width=\"1.6\"/>");
      case MEETS ->
          text.append(full(0)).append(HOOPS.replace("currentColor", "var(--color-paper)"));
      case SEASONAL -> text.append(full(10)).append(OUTLINE).append(HOOPS).append(year(verdict));
      case SIGN_OFF ->
          text.append(OUTLINE)
              .append(HOOPS)
              .append(
                  "<path d=\"M24 26l3-1 12-12-2-2-12 12z\" fill=\"var(--color-paper)\" "
                      + "stroke=\"currentColor\" stroke-width=\"1.6\"/>");
      case NO ->
          text.append(OUTLINE)
              .append(
                  "<path d=\"M9 26L35 0M9 0l26 26\" stroke=\"currentColor\" "
                      + "stroke-width=\"1.6\"/>");
    }
    return text.append("</svg>").toString();
  }

  private static String full(int from) {
    return String.format(
        Locale.ROOT,
        "<rect x=\"13\" y=\"%d\" width=\"18\" height=\"%d\" fill=\"currentColor\"/>",
        2 + from,
        20 - from);
  }

  /** Twelve ticks, those of the months served tall. */
  private static String year(Standing verdict) {
    StringBuilder ticks = new StringBuilder();
    for (Month month : Month.values()) {
      boolean served = verdict.season().contains(month);
      int x = 4 + 3 * month.getValue();
      ticks.append(
          String.format(
              Locale.ROOT,
              "<path d=\"M%d %dV29\" stroke=\"currentColor\" stroke-width=\"1.8\"/>",
              x - 1,
              served ? 24 : 28));
    }
    return ticks.toString();
  }
}
