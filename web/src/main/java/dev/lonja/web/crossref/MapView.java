package dev.lonja.web.crossref;

import dev.lonja.core.crossref.Statement;
import dev.lonja.core.part.Part;
import dev.lonja.core.part.PartId;
import dev.lonja.desk.crossref.MapDesk;
import dev.lonja.web.frame.Plate;
import java.time.LocalDate;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/**
 * The map of numbers around a part, and the same as a table.
 *
 * @param left how many numbers are in the table only
 */
public record MapView(Plate plate, String drawing, int left, List<EdgeRow> edges) {

  /** More than this is no map any more; the rest stands in the table. */
  private static final int MOST_NODES = 40;

  /** A statement of the neighbourhood; {@code steps} is how far away it begins. */
  public record EdgeRow(
      int steps, Plate subject, String kind, Plate object, String source, String note) {}

  static MapView of(MapDesk.NumberMap map, LocalDate today) {
    List<MapDrawing.Node> nodes =
        map.parts().stream().limit(MOST_NODES).map(part -> node(map, part)).toList();
    Set<PartId> drawn = new LinkedHashSet<>();
    nodes.forEach(node -> drawn.add(node.part()));
    return new MapView(
        plate(map, map.start()),
        MapDrawing.of(
            nodes,
            map.statements().stream()
                .filter(s -> drawn.contains(s.subject()) && drawn.contains(s.object()))
                .toList()),
        map.parts().size() - nodes.size(),
        map.statements().stream().map(statement -> edge(map, statement, today)).toList());
  }

  private static MapDrawing.Node node(MapDesk.NumberMap map, Part part) {
    return new MapDrawing.Node(
        part.id(),
        map.steps().get(part.id()),
        plate(map, part).path(),
        part.make(),
        part.number(),
        map.shelf().free(part.id()).map(free -> free.display() + " free").orElse("not stocked"),
        Optional.ofNullable(map.verdicts().get(part.id())));
  }

  private static Plate plate(MapDesk.NumberMap map, Part part) {
    return Plate.of(part, map.shelf().item(part.id()));
  }

  private static EdgeRow edge(MapDesk.NumberMap map, Statement statement, LocalDate today) {
    return new EdgeRow(
        map.stepsTo(statement),
        plate(map, map.part(statement.subject())),
        statement.kind().words(),
        plate(map, map.part(statement.object())),
        CandidateWording.source(statement, today),
        statement.note());
  }
}
