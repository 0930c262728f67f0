package dev.lonja.desk.crossref;

import dev.lonja.core.crossref.Fitting;
import dev.lonja.core.crossref.Neighbourhood;
import dev.lonja.core.crossref.Statement;
import dev.lonja.core.crossref.Verdict;
import dev.lonja.core.part.Part;
import dev.lonja.core.part.PartId;
import dev.lonja.desk.clock.StoreClock;
import dev.lonja.desk.person.Allowed;
import dev.lonja.store.LonjaStore;
import dev.lonja.store.Session;
import java.util.Comparator;
import java.util.HashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.springframework.stereotype.Service;

/** The numbers around a part, with the statements that join them. */
@Service
@Allowed.ToSeeMachines
public class MapDesk {

  private static final int MOST_STEPS = 4;

  private final LonjaStore store;
  private final StoreClock clock;

  public MapDesk(LonjaStore store, StoreClock clock) {
    this.store = store;
    this.clock = clock;
  }

  /**
   * A neighbourhood to be drawn.
   *
   * @param steps how many statements away each number is
   * @param parts nearest first, then by key and make
   * @param statements between these parts, nearest first, then in the order they were made
   */
  public record NumberMap(
      Part start,
      Map<PartId, Integer> steps,
      List<Part> parts,
      List<Statement> statements,
      Map<PartId, Verdict> verdicts,
      PartShelf shelf) {

    /** How far away a statement begins. */
    public int stepsTo(Statement statement) {
      return Math.min(steps.get(statement.subject()), steps.get(statement.object()));
    }

    public Part part(PartId id) {
      return parts.stream().filter(part -> part.id().equals(id)).findFirst().orElseThrow();
    }
  }

  /** Empty for an unknown part. */
  public Optional<NumberMap> map(PartId id) {
    return store.read(session -> session.parts().byId(id).map(part -> map(session, part)));
  }

  private NumberMap map(Session session, Part start) {
    Alternatives all = Alternatives.of(session, clock.today(), start.id(), Fitting.ANYWHERE);
    Neighbourhood around = all.around();
    Map<PartId, Integer> steps = around.steps(MOST_STEPS);
    Map<PartId, Verdict> verdicts = new HashMap<>();
    all.candidates().others().forEach(c -> verdicts.put(c.part().id(), c.verdict()));
    List<Part> parts =
        steps.keySet().stream()
            .map(around::part)
            .sorted(
                Comparator.comparing((Part part) -> steps.get(part.id()))
                    .thenComparing(Part::key)
                    .thenComparing(Part::make)
                    .thenComparing(Part::id))
            .toList();
    return new NumberMap(
        start,
        steps,
        parts,
        statements(around, steps),
        verdicts,
        PartShelf.of(session, clock.today(), steps.keySet()));
  }

  private static List<Statement> statements(Neighbourhood around, Map<PartId, Integer> steps) {
    Set<Statement> all = new LinkedHashSet<>();
    steps.keySet().forEach(part -> all.addAll(around.statementsOf(part)));
    return all.stream()
        .filter(s -> steps.containsKey(s.subject()) && steps.containsKey(s.object()))
        .sorted(
            Comparator.comparing(
                    (Statement s) -> Math.min(steps.get(s.subject()), steps.get(s.object())))
                .thenComparing(Statement::id))
        .toList();
  }
}
