package dev.lonja.web.crossref;

import dev.lonja.core.crossref.Comparison;
import dev.lonja.core.crossref.Fitting;
import dev.lonja.core.crossref.Neighbourhood;
import dev.lonja.core.crossref.Path;
import dev.lonja.core.crossref.PathSearch;
import dev.lonja.core.crossref.RubberTable;
import dev.lonja.core.crossref.Statement;
import dev.lonja.core.crossref.StatementKind;
import dev.lonja.core.part.Part;
import dev.lonja.core.part.PartId;
import dev.lonja.desk.clock.StoreClock;
import dev.lonja.desk.person.Allowed;
import dev.lonja.store.LonjaStore;
import dev.lonja.store.Session;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.springframework.stereotype.Service;

/**
 * Collects where sources contradict each other or the metal, for a person to settle: every claim of
 * a fit between two parts whose recorded properties deny it, and every veto that some path claims
 * against. A longer path that the metal denies shows on its part's page.
 */
@Service
@Allowed.ToSeeStore
public class ConflictDesk {

  private final LonjaStore store;
  private final StoreClock clock;

  public ConflictDesk(LonjaStore store, StoreClock clock) {
    this.store = store;
    this.clock = clock;
  }

  /**
   * A conflict: who says what, against what.
   *
   * @param against what denies the statements: the metal's differences or a veto
   * @param sides the statements of which one has to be withdrawn
   */
  record Row(Part one, Part other, String against, List<Side> sides) {}

  /** A statement that may be withdrawn. */
  record Side(long statementId, PartId partId, String words, String source, String note) {}

  List<Row> all() {
    return store.read(
        session -> {
          List<Row> rows = new ArrayList<>(byMetal(session));
          rows.addAll(byVeto(session));
          return rows;
        });
  }

  private List<Row> byMetal(Session session) {
    RubberTable rubbers = session.rubbers().table();
    List<Statement> claims = session.statements().standingClaimsToCompare();
    Map<PartId, Part> parts = parts(session, claims);
    List<Row> rows = new ArrayList<>();
    for (Statement claim : claims) {
      denial(claim, claim.object(), claim.subject(), parts, rubbers)
          .or(
              () ->
                  claim.kind().permitsBack()
                      ? denial(claim, claim.subject(), claim.object(), parts, rubbers)
                      : Optional.empty())
          .ifPresent(rows::add);
    }
    return rows;
  }

  /** What the metal says against supplying one part for the other. */
  private Optional<Row> denial(
      Statement claim, PartId asked, PartId offered, Map<PartId, Part> parts, RubberTable rubbers) {
    Part one = parts.get(asked);
    Part other = parts.get(offered);
    Comparison comparison = Comparison.of(one, other, Fitting.ANYWHERE, rubbers);
    return comparison.contradicts()
        ? Optional.of(
            new Row(
                one,
                other,
                "the metal: " + String.join("; ", FindingWording.reasons(comparison)),
                List.of(side(claim, parts))))
        : Optional.empty();
  }

  private List<Row> byVeto(Session session) {
    List<Row> rows = new ArrayList<>();
    for (Statement veto : session.statements().standingVetoes()) {
      conflict(session, veto, veto.object(), veto.subject())
          .or(() -> conflict(session, veto, veto.subject(), veto.object()))
          .ifPresent(rows::add);
    }
    return rows;
  }

  private Optional<Row> conflict(Session session, Statement veto, PartId asked, PartId offered) {
    Neighbourhood around = Neighbourhood.around(asked, session.statements());
    Optional<Path> claim = Optional.ofNullable(PathSearch.bestWithoutVetoes(around).get(offered));
    if (claim.isEmpty() && !around.areOnePart(asked, offered)) {
      return Optional.empty();
    }
    Map<PartId, Part> parts = new HashMap<>();
    around.ids().forEach(id -> parts.put(id, around.part(id)));
    Set<Statement> statements = new LinkedHashSet<>();
    statements.add(veto);
    claim.ifPresent(path -> statements.addAll(path.statements()));
    around.statementsOf(asked).stream()
        .filter(s -> s.kind() != StatementKind.NEVER && s.other(asked) == offered)
        .forEach(statements::add);
    return Optional.of(
        new Row(
            around.part(asked),
            around.part(offered),
            "a veto: " + veto.note(),
            statements.stream().map(s -> side(s, parts)).toList()));
  }

  private Side side(Statement statement, Map<PartId, Part> parts) {
    return new Side(
        statement.id(),
        statement.object(),
        parts.get(statement.subject()).number()
            + " "
            + statement.kind().words()
            + " "
            + parts.get(statement.object()).number(),
        CandidatesLoader.source(statement, clock.today()),
        statement.note());
  }

  private static Map<PartId, Part> parts(Session session, List<Statement> statements) {
    Set<PartId> ids = new LinkedHashSet<>();
    statements.forEach(s -> ids.addAll(List.of(s.subject(), s.object())));
    Map<PartId, Part> parts = new HashMap<>();
    session.parts().byIds(ids).forEach(part -> parts.put(part.id(), part));
    return parts;
  }
}
