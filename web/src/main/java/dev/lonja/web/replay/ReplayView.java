package dev.lonja.web.replay;

import dev.lonja.web.frame.DrawingView;
import dev.lonja.web.frame.Plate;
import java.util.List;

/**
 * The page of replays.
 *
 * @param summary what the last one came to, in a sentence; empty before any
 * @param leftOut of which too little happened
 */
public record ReplayView(
    Form form,
    DrawingView running,
    String summary,
    List<Total> totals,
    List<Row> rows,
    List<Plate> leftOut,
    Tried tried) {

  /**
   * What else was tried.
   *
   * @param covers spans that orders last, with what each comes to; none if nothing was tried
   * @param advice which of them did best
   * @param criticalities the things that had better count as something else
   */
  public record Tried(List<Cover> covers, String advice, List<Better> criticalities) {}

  /** Orders of one length. */
  public record Cover(String words, Sums sums) {}

  /** A thing that had better count as something else, and what that would have changed. */
  public record Better(Plate plate, String own, String proposed, String words) {}

  /** What is asked for, as it was typed. */
  public record Form(
      String first, String last, List<Option> covers, List<Option> criticalities, boolean others) {}

  public record Option(String value, String words, boolean chosen) {}

  /**
   * Sums over a family, or over all.
   *
   * @param happened as it was, and {@code ruled} as it would have been
   */
  public record Total(String what, Sums happened, Sums ruled) {}

  /** Figures of one side. */
  public record Sums(String atOnce, String days, String stock, String orders, String dear) {}

  /** A thing. */
  public record Row(Plate plate, String family, Sums happened, Sums ruled, String better) {}

  /**
   * One thing week by week.
   *
   * @param drawing both courses
   */
  public record OfThing(Plate plate, String span, String drawing, Total total, List<Week> weeks) {}

  /** A week of both sides. */
  public record Week(
      String monday,
      String asked,
      String came,
      String there,
      String ruledOrdered,
      String ruledCame,
      String ruledThere,
      String owed) {}
}
