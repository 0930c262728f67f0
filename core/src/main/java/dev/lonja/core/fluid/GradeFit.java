package dev.lonja.core.fluid;

import dev.lonja.core.grade.Climate;
import dev.lonja.core.grade.Grade;
import dev.lonja.core.grade.GradeRow;
import dev.lonja.core.grade.Window;
import java.time.Month;
import java.util.ArrayList;
import java.util.Collections;
import java.util.EnumSet;
import java.util.List;
import java.util.Set;
import org.jspecify.annotations.Nullable;

/**
 * How far one grade serves a window.
 *
 * @param season the months served whole, if not all of the window's
 */
public record GradeFit(Level level, Set<Month> season, List<Reason> reasons) {

  public GradeFit {
    season = Collections.unmodifiableSet(season);
  }

  /** The better of two: what serves is better, then what serves more months; else the first. */
  public static GradeFit better(GradeFit a, GradeFit b) {
    int byLevel = a.level.compareTo(b.level);
    boolean first = byLevel < 0 || (byLevel == 0 && a.season.size() >= b.season.size());
    return first ? a : b;
  }

  /** How a row of a chart serves; {@code byChart} is false for a cold limit without one. */
  static GradeFit of(GradeRow row, Window window, boolean byChart) {
    if (window instanceof Window.Months months) {
      return ofMonths(row, months, byChart);
    }
    Window.Range range = (Window.Range) window;
    boolean cold = row.servesCold(range.lowest());
    boolean heat = row.servesHeat(range.highest());
    return of(row, byChart, Set.of(), cold ? null : Set.of(), heat ? null : Set.of());
  }

  private static GradeFit ofMonths(GradeRow row, Window.Months window, boolean byChart) {
    Set<Month> thick = EnumSet.noneOf(Month.class);
    Set<Month> thin = EnumSet.noneOf(Month.class);
    Set<Month> served = EnumSet.noneOf(Month.class);
    for (Month month : window.months()) {
      Climate.MonthRange range = window.climate().of(month);
      boolean cold = row.servesCold(range.lowest());
      boolean heat = row.servesHeat(range.highest());
      if (!cold) {
        thick.add(month);
      }
      if (!heat) {
        thin.add(month);
      }
      if (cold && heat) {
        served.add(month);
      }
    }
    return of(row, byChart, served, thick.isEmpty() ? null : thick, thin.isEmpty() ? null : thin);
  }

  /** The months in which the grade is too thick or too thin are absent where it is not. */
  private static GradeFit of(
      GradeRow row,
      boolean byChart,
      Set<Month> served,
      @Nullable Set<Month> thick,
      @Nullable Set<Month> thin) {
    Grade grade = row.grade();
    if (thick == null && thin == null) {
      return new GradeFit(Level.LISTED, Set.of(), List.of(new Reason.GradeServes(grade, byChart)));
    }
    Level level = served.isEmpty() ? Level.NO : Level.SEASONAL;
    List<Reason> reasons = new ArrayList<>();
    if (thick != null) {
      reasons.add(new Reason.TooThick(grade, thick, level));
    }
    if (thin != null) {
      reasons.add(new Reason.TooThin(grade, thin, level));
    }
    if (!served.isEmpty()) {
      reasons.add(new Reason.CoversMonths(grade, served));
    }
    return new GradeFit(level, served, reasons);
  }
}
