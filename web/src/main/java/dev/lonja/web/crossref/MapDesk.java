package dev.lonja.web.crossref;

import dev.lonja.core.crossref.Candidate;
import dev.lonja.core.crossref.Fitting;
import dev.lonja.core.crossref.Neighbourhood;
import dev.lonja.core.crossref.Statement;
import dev.lonja.core.part.Part;
import dev.lonja.core.part.PartId;
import dev.lonja.desk.clock.StoreClock;
import dev.lonja.desk.person.Allowed;
import dev.lonja.store.LonjaStore;
import dev.lonja.store.Session;
import dev.lonja.web.frame.Plate;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.Deque;
import java.util.HashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.springframework.stereotype.Service;

/** The map of numbers around a part, and the same as a table. */
@Service
@Allowed.ToSeeMachines
class MapDesk {

  /** More than this is no map any more; the rest stands in the table. */
  private static final int MOST_NODES = 40;

  private static final int MOST_STEPS = 4;

  private final LonjaStore store;
  private final StoreClock clock;

  MapDesk(LonjaStore store, StoreClock clock) {
    this.store = store;
    this.clock = clock;
  }

  /**
   * The page.
   *
   * @param left how many numbers are in the table only
   */
  record View(Plate plate, String drawing, int left, List<EdgeRow> edges) {}

  /** A statement of the neighbourhood; {@code steps} is how far away it begins. */
  record EdgeRow(int steps, Plate subject, String kind, Plate object, String source, String note) {}

  /** The page; empty for an unknown part. */
  Optional<View> map(PartId id) {
    return store.read(session -> session.parts().byId(id).map(part -> view(session, id)));
  }

  private View view(Session session, PartId id) {
    CandidatesLoader loader = CandidatesLoader.of(session, clock.today(), id, Fitting.ANYWHERE);
    Neighbourhood around = loader.around();
    Map<PartId, Integer> steps = steps(around);
    loader.lookUp(steps.keySet());
    List<Part> order =
        steps.keySet().stream()
            .map(around::part)
            .sorted(
                Comparator.comparing((Part part) -> steps.get(part.id()))
                    .thenComparing(Part::key)
                    .thenComparing(Part::make)
                    .thenComparing(Part::id))
            .toList();
    Map<PartId, Candidate> verdicts = new HashMap<>();
    loader.candidates().others().forEach(c -> verdicts.put(c.part().id(), c));
    List<MapDrawing.Node> nodes =
        order.stream()
            .limit(MOST_NODES)
            .map(part -> node(loader, part, steps.get(part.id()), verdicts))
            .toList();
    Set<PartId> drawn = new LinkedHashSet<>();
    nodes.forEach(node -> drawn.add(node.part()));
    List<Statement> statements = statements(around, steps);
    return new View(
        plate(loader, around.part(id)),
        MapDrawing.of(
            nodes,
            statements.stream()
                .filter(s -> drawn.contains(s.subject()) && drawn.contains(s.object()))
                .toList()),
        order.size() - nodes.size(),
        statements.stream().map(statement -> edge(loader, statement, steps)).toList());
  }

  /** How many statements away each number is, whatever their direction. */
  private static Map<PartId, Integer> steps(Neighbourhood around) {
    Map<PartId, Integer> steps = new HashMap<>(Map.of(around.start(), 0));
    Deque<PartId> open = new ArrayDeque<>(List.of(around.start()));
    while (!open.isEmpty()) {
      PartId part = open.poll();
      for (Statement statement : around.statementsOf(part)) {
        PartId other = statement.other(part);
        if (steps.get(part) < MOST_STEPS && !steps.containsKey(other)) {
          steps.put(other, steps.get(part) + 1);
          open.add(other);
        }
      }
    }
    return steps;
  }

  private static List<Statement> statements(Neighbourhood around, Map<PartId, Integer> steps) {
    Set<Statement> all = new LinkedHashSet<>();
    steps.keySet().forEach(part -> all.addAll(around.statementsOf(part)));
    List<Statement> known = new ArrayList<>(all);
    known.removeIf(s -> !steps.containsKey(s.subject()) || !steps.containsKey(s.object()));
    known.sort(
        Comparator.comparing(
                (Statement s) -> Math.min(steps.get(s.subject()), steps.get(s.object())))
            .thenComparing(Statement::id));
    return known;
  }

  private static MapDrawing.Node node(
      CandidatesLoader loader, Part part, int column, Map<PartId, Candidate> verdicts) {
    String free = loader.free(part.id());
    return new MapDrawing.Node(
        part.id(),
        column,
        plate(loader, part).path(),
        part.make(),
        part.number(),
        free.isEmpty() ? "not stocked" : free + " free",
        Optional.ofNullable(verdicts.get(part.id())).map(Candidate::verdict));
  }

  private static Plate plate(CandidatesLoader loader, Part part) {
    return Plate.of(part, loader.item(part.id()));
  }

  private EdgeRow edge(CandidatesLoader loader, Statement statement, Map<PartId, Integer> steps) {
    return new EdgeRow(
        Math.min(steps.get(statement.subject()), steps.get(statement.object())),
        plate(loader, loader.around().part(statement.subject())),
        statement.kind().words(),
        plate(loader, loader.around().part(statement.object())),
        CandidatesLoader.source(statement, clock.today()),
        statement.note());
  }
}
