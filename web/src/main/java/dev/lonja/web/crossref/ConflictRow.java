package dev.lonja.web.crossref;

import dev.lonja.core.cases.Cases;
import dev.lonja.core.crossref.Conflict;
import dev.lonja.core.crossref.Statement;
import dev.lonja.core.part.Part;
import dev.lonja.core.part.PartId;
import dev.lonja.desk.crossref.ConflictDesk;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;

/**
 * A conflict: who says what, against what.
 *
 * @param against what denies the statements: the metal's differences or a veto
 * @param sides the statements of which one has to be withdrawn
 */
public record ConflictRow(Part one, Part other, String against, List<Side> sides) {

  private static final Cases<Conflict.Cause, String> AGAINST =
      Cases.<Conflict.Cause, String>over(Conflict.Cause.class)
          .when(
              Conflict.Metal.class,
              metal ->
                  "the metal: " + String.join("; ", FindingWording.reasons(metal.comparison())))
          .when(Conflict.Veto.class, veto -> "a veto: " + veto.statement().note())
          .all();

  /** A statement that may be withdrawn. */
  public record Side(long statementId, PartId partId, String words, String source, String note) {}

  static List<ConflictRow> of(ConflictDesk.Conflicts conflicts, LocalDate today) {
    return conflicts.all().stream()
        .map(
            conflict ->
                new ConflictRow(
                    conflict.one(),
                    conflict.other(),
                    AGAINST.apply(conflict.cause()),
                    conflict.sides().stream()
                        .map(side -> side(side, conflicts.parts(), today))
                        .toList()))
        .toList();
  }

  private static Side side(Statement statement, Map<PartId, Part> parts, LocalDate today) {
    return new Side(
        statement.id(),
        statement.object(),
        parts.get(statement.subject()).number()
            + " "
            + statement.kind().words()
            + " "
            + parts.get(statement.object()).number(),
        CandidateWording.source(statement, today),
        statement.note());
  }
}
