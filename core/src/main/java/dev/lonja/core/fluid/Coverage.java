package dev.lonja.core.fluid;

import java.util.Collection;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import org.jgrapht.Graph;
import org.jgrapht.alg.cycle.CycleDetector;
import org.jgrapht.graph.DefaultDirectedGraph;
import org.jgrapht.graph.DefaultEdge;
import org.jgrapht.traverse.DepthFirstIterator;

/**
 * Which newer class covers which older one: directed and transitive, never backwards. What is not
 * stated does not hold.
 */
public final class Coverage {

  /** A statement: whatever meets {@code newer} meets {@code older} too. */
  public record Pair(ServiceClass newer, ServiceClass older) {}

  private final Map<ServiceClass, Set<ServiceClass>> covered;

  private Coverage(Map<ServiceClass, Set<ServiceClass>> covered) {
    this.covered = covered;
  }

  /** A relation that runs in a circle is refused with an exception; look for one before. */
  public static Coverage of(Collection<Pair> pairs) {
    Optional<Set<ServiceClass>> circle = circle(pairs);
    if (circle.isPresent()) {
      throw new IllegalArgumentException(
          "pairs hold the circle " + circle.get() + "; allowed are pairs without one");
    }
    Graph<ServiceClass, DefaultEdge> graph = graph(pairs);
    Map<ServiceClass, Set<ServiceClass>> covered = new HashMap<>();
    for (ServiceClass newer : graph.vertexSet()) {
      Set<ServiceClass> reached = new HashSet<>();
      new DepthFirstIterator<>(graph, newer).forEachRemaining(reached::add);
      covered.put(newer, Set.copyOf(reached));
    }
    return new Coverage(covered);
  }

  /** The classes that stand in circles, in order; empty if none do. */
  public static Optional<Set<ServiceClass>> circle(Collection<Pair> pairs) {
    // a class that covers itself would be a circle too
    Set<ServiceClass> selves = new TreeSet<>();
    pairs.stream().filter(p -> p.newer().equals(p.older())).forEach(p -> selves.add(p.newer()));
    Set<ServiceClass> circle =
        selves.isEmpty() ? new TreeSet<>(new CycleDetector<>(graph(pairs)).findCycles()) : selves;
    return circle.isEmpty() ? Optional.empty() : Optional.of(circle);
  }

  private static Graph<ServiceClass, DefaultEdge> graph(Collection<Pair> pairs) {
    Graph<ServiceClass, DefaultEdge> graph = new DefaultDirectedGraph<>(DefaultEdge.class);
    for (Pair pair : pairs) {
      graph.addVertex(pair.newer());
      graph.addVertex(pair.older());
      graph.addEdge(pair.newer(), pair.older());
    }
    return graph;
  }

  /** The class itself and everything that it covers. */
  public Set<ServiceClass> of(ServiceClass serviceClass) {
    return covered.getOrDefault(serviceClass, Set.of(serviceClass));
  }

  /** Everything that is met by a product claiming these. */
  public Set<ServiceClass> of(Set<ServiceClass> claimed) {
    Set<ServiceClass> met = new HashSet<>();
    claimed.forEach(c -> met.addAll(of(c)));
    return met;
  }

  /** Which of the claimed classes meets the wanted one; the class itself before any other. */
  public Optional<ServiceClass> meeting(Set<ServiceClass> claimed, ServiceClass wanted) {
    List<ServiceClass> by = claimed.stream().filter(c -> of(c).contains(wanted)).sorted().toList();
    return by.contains(wanted) ? Optional.of(wanted) : by.stream().findFirst();
  }
}
