package dev.lonja.core.statementlist;

import dev.lonja.core.crossref.NewStatement;
import dev.lonja.core.crossref.ReplacementCircles;
import dev.lonja.core.crossref.ReplacementCircles.Replacement;
import dev.lonja.core.crossref.Source;
import dev.lonja.core.crossref.Statement;
import dev.lonja.core.crossref.StatementKind;
import dev.lonja.core.part.PartId;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/**
 * Holds a list of cross-references against what stands: what is new, what is known already, what
 * the list says twice, what contradicts, and what cannot be taken. Rows are given one after the
 * other, so that half a million need no second copy; cost and memory grow with rows and statements.
 */
public final class ListCheck {

  private static final int MOST_NAMED = 200;

  private final KnownParts parts;
  private final Set<Said> standing = new HashSet<>();
  private final Map<Pair, StatementKind> said = new HashMap<>();
  private final Set<Said> inList = new HashSet<>();
  private final List<NewStatement> fresh = new ArrayList<>();
  private final Map<Replacement, Long> replacements = new HashMap<>();
  private final List<ListProblem> problems = new ArrayList<>();
  private final List<Contradiction> contradictions = new ArrayList<>();
  private long rows;
  private long known;
  private long doubles;
  private long problemCount;
  private long contradictionCount;

  /** Two parts, in either order. */
  private record Pair(PartId lower, PartId higher) {
    static Pair of(PartId one, PartId other) {
      return one.compareTo(other) <= 0 ? new Pair(one, other) : new Pair(other, one);
    }
  }

  /** What makes two statements the same: of kinds that hold both ways the order does not count. */
  private record Said(PartId subject, StatementKind kind, PartId object, Source source) {
    static Said of(PartId subject, StatementKind kind, PartId object, Source source) {
      boolean bothWays = kind.permitsBack() || kind == StatementKind.NEVER;
      return bothWays && subject.compareTo(object) > 0
          ? new Said(object, kind, subject, source)
          : new Said(subject, kind, object, source);
    }
  }

  /** A row that a statement, standing or of an earlier row, contradicts. */
  public record Contradiction(long line, ListRow row, StatementKind against) {}

  /**
   * What came of a list.
   *
   * @param fresh statements that are new, of parts that may be new too
   * @param problems at most 200 of {@code problemCount}; any of them stops the whole list
   * @param contradictions at most 200 of {@code contradictionCount}; they stop nothing
   */
  public record Result(
      long rows,
      List<NewStatement> fresh,
      List<KnownParts.NewPart> newParts,
      long known,
      long doubles,
      List<ListProblem> problems,
      long problemCount,
      List<Contradiction> contradictions,
      long contradictionCount) {}

  public ListCheck(KnownParts parts) {
    this.parts = parts;
  }

  /** Tells of a statement that stands; to be called before any row. */
  public void standing(Statement statement) {
    Said what =
        Said.of(statement.subject(), statement.kind(), statement.object(), statement.source());
    standing.add(what);
    remember(Pair.of(statement.subject(), statement.object()), statement.kind());
    if (statement.kind() == StatementKind.REPLACES) {
      replacements.put(new Replacement(statement.subject(), statement.object()), 0L);
    }
  }

  private void remember(Pair pair, StatementKind kind) {
    said.merge(pair, kind, (one, other) -> one == StatementKind.NEVER ? one : other);
  }

  public void add(ListRow row) {
    rows++;
    Optional<PartId> subject = parts.idOf(row.make(), row.number());
    Optional<PartId> object = parts.idOf(row.otherMake(), row.otherNumber());
    if (subject.isEmpty() || object.isEmpty()) {
      boolean first = subject.isEmpty();
      refuse(
          row.line(),
          first ? "number" : "other_number",
          first ? row.number() : row.otherNumber(),
          "the number as its make prints it, since one make prints this key in several ways");
      return;
    }
    if (subject.get().equals(object.get())) {
      refuse(row.line(), "other_number", row.otherNumber(), "another part than the first");
      return;
    }
    if (row.kind() == StatementKind.NEVER && row.note().isBlank()) {
      refuse(row.line(), "note", row.note(), "the reason, where the kind is never");
      return;
    }
    take(row, subject.get(), object.get());
  }

  private void take(ListRow row, PartId subject, PartId object) {
    Said what = Said.of(subject, row.kind(), object, row.source());
    if (standing.contains(what)) {
      known++;
    } else if (!inList.add(what)) {
      doubles++;
    } else {
      contradict(row, Pair.of(subject, object));
      if (row.kind() == StatementKind.REPLACES) {
        replacements.put(new Replacement(subject, object), row.line());
      }
      fresh.add(
          new NewStatement(
              subject,
              row.kind(),
              object,
              row.source(),
              row.saidOn(),
              row.confidence(),
              row.note()));
    }
  }

  private void contradict(ListRow row, Pair pair) {
    StatementKind before = said.get(pair);
    if (before != null && before.permits() != row.kind().permits()) {
      contradictionCount++;
      if (contradictions.size() < MOST_NAMED) {
        contradictions.add(new Contradiction(row.line(), row, before));
      }
    }
    remember(pair, row.kind());
  }

  /** A row that could not even be read counts, too. */
  public void refuse(ListProblem problem) {
    rows++;
    note(problem);
  }

  private void refuse(long line, String column, String value, String allowed) {
    note(new ListProblem(line, column, value, allowed));
  }

  private void note(ListProblem problem) {
    problemCount++;
    if (problems.size() < MOST_NAMED) {
      problems.add(problem);
    }
  }

  public Result result() {
    refuseCircles();
    return new Result(
        rows,
        List.copyOf(fresh),
        parts.fresh(),
        known,
        doubles,
        List.copyOf(problems),
        problemCount,
        List.copyOf(contradictions),
        contradictionCount);
  }

  /** Names every row that closes a circle of replacements, with those of the list or the store. */
  private void refuseCircles() {
    ReplacementCircles circles = new ReplacementCircles(replacements.keySet());
    replacements.entrySet().stream()
        .filter(entry -> entry.getValue() > 0)
        .filter(entry -> circles.holds(entry.getKey()))
        .map(Map.Entry::getValue)
        .sorted()
        .forEach(
            line ->
                refuse(
                    line,
                    "kind",
                    "replaces",
                    "no circle: its other part replaces this one already"));
  }
}
