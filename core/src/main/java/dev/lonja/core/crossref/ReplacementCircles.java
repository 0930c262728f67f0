package dev.lonja.core.crossref;

import dev.lonja.core.part.PartId;
import java.util.Collection;
import java.util.HashMap;
import java.util.Map;
import java.util.Set;
import org.jgrapht.Graph;
import org.jgrapht.alg.connectivity.KosarajuStrongConnectivityInspector;
import org.jgrapht.graph.DefaultDirectedGraph;
import org.jgrapht.graph.DefaultEdge;

/** Finds replacements that go in a circle, among however many, in time that grows with them. */
public final class ReplacementCircles {

  private final Map<PartId, Integer> componentOf = new HashMap<>();

  /** One part replaces another. */
  public record Replacement(PartId subject, PartId object) {}

  /**
   * @param replacements all that stand or are about to
   */
  public ReplacementCircles(Collection<Replacement> replacements) {
    Graph<PartId, DefaultEdge> graph = new DefaultDirectedGraph<>(DefaultEdge.class);
    for (Replacement replacement : replacements) {
      graph.addVertex(replacement.subject());
      graph.addVertex(replacement.object());
      graph.addEdge(replacement.object(), replacement.subject());
    }
    int component = 0;
    for (Set<PartId> together :
        new KosarajuStrongConnectivityInspector<>(graph).stronglyConnectedSets()) {
      for (PartId part : together) {
        componentOf.put(part, component);
      }
      component++;
    }
  }

  /** True if this one of the replacements is part of a circle. */
  public boolean holds(Replacement replacement) {
    return componentOf.get(replacement.subject()).equals(componentOf.get(replacement.object()));
  }
}
