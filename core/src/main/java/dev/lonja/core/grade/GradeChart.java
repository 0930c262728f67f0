package dev.lonja.core.grade;

import java.util.ArrayList;
import java.util.List;

/** The grades that a machine allows, each in a range of ambient temperature. */
public record GradeChart(List<GradeRow> rows) {

  public static final GradeChart NONE = new GradeChart(List.of());

  /** Something wrong with a chart. */
  public sealed interface Problem {
    /** There is no such grade for the kind of fluid. */
    record NotAGrade(Grade grade) implements Problem {}

    /** The lower end of the range lies above the upper one. */
    record Inverted(GradeRow row) implements Problem {}

    /** Two ranges of one grade lie over each other. */
    record Overlapping(GradeRow row, GradeRow other) implements Problem {}
  }

  public GradeChart {
    rows = List.copyOf(rows);
  }

  /** True if the spec has no chart; then its grade is judged otherwise. */
  public boolean isEmpty() {
    return rows.isEmpty();
  }

  /** Everything that is wrong with the chart, in order of its lines. */
  public List<Problem> problems(FluidKind kind, GradeTable grades) {
    List<Problem> problems = new ArrayList<>();
    for (int i = 0; i < rows.size(); i++) {
      GradeRow row = rows.get(i);
      if (!grades.isGrade(kind, row.grade())) {
        problems.add(new Problem.NotAGrade(row.grade()));
      }
      if (row.isInverted()) {
        problems.add(new Problem.Inverted(row));
      }
      for (GradeRow other : rows.subList(0, i)) {
        if (row.grade().isSameAs(other.grade()) && row.overlaps(other)) {
          problems.add(new Problem.Overlapping(row, other));
        }
      }
    }
    return problems;
  }
}
