package dev.lonja.desk.crossref;

import dev.lonja.core.crossref.Conflict;
import dev.lonja.core.crossref.RubberTable;
import dev.lonja.core.crossref.Statement;
import dev.lonja.core.part.Part;
import dev.lonja.core.part.PartId;
import dev.lonja.desk.person.Allowed;
import dev.lonja.store.LonjaStore;
import dev.lonja.store.Session;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
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

  public ConflictDesk(LonjaStore store) {
    this.store = store;
  }

  /**
   * All conflicts.
   *
   * @param parts every part that one of their statements names
   */
  public record Conflicts(List<Conflict> all, Map<PartId, Part> parts) {}

  public Conflicts all() {
    return store.read(
        session -> {
          List<Conflict> all = new ArrayList<>(withMetal(session));
          for (Statement veto : session.statements().standingVetoes()) {
            Conflict.withVeto(veto, session.statements()).ifPresent(all::add);
          }
          return new Conflicts(
              all, parts(session, all.stream().flatMap(c -> c.sides().stream()).toList()));
        });
  }

  private static List<Conflict> withMetal(Session session) {
    RubberTable rubbers = session.rubberTable();
    List<Statement> claims = session.statements().standingClaimsToCompare();
    Map<PartId, Part> parts = parts(session, claims);
    return claims.stream()
        .flatMap(claim -> Conflict.withMetal(claim, parts, rubbers).stream())
        .toList();
  }

  private static Map<PartId, Part> parts(Session session, List<Statement> statements) {
    Set<PartId> ids = new LinkedHashSet<>();
    statements.forEach(s -> ids.addAll(List.of(s.subject(), s.object())));
    Map<PartId, Part> parts = new HashMap<>();
    session.parts().byIds(ids).forEach(part -> parts.put(part.id(), part));
    return parts;
  }
}
