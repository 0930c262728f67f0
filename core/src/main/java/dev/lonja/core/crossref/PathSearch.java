package dev.lonja.core.crossref;

import dev.lonja.core.part.Part;
import dev.lonja.core.part.PartId;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;

/**
 * The best permitted path from one part to every other within reach: at most four hops, confidence
 * the product of the statements', at least 0.50, no two parts on it vetoing each other.
 *
 * <p>Of several paths to a part one without a stopgap is best; then the more trusted, then the
 * shorter, then the one whose keys, and last whose makes, come first. A partial path gives way only
 * to one to the same part that is no worse in any of these and holds no vetoing part that it lacks,
 * so nothing that could win later is lost. The cost grows with the statements around the part, not
 * with those in the store.
 */
public final class PathSearch {

  public static final int MOST_HOPS = 4;

  /** Below this nothing is offered. */
  public static final Confidence LEAST = Confidence.of("0.50");

  private final Neighbourhood place;
  private final boolean vetoesCount;
  private final Comparator<Path> order;
  private final Map<PartId, List<Path>> kept = new LinkedHashMap<>();
  private final Map<PartId, Boolean> vetoing = new HashMap<>();

  private PathSearch(Neighbourhood place, boolean vetoesCount) {
    this.place = place;
    this.vetoesCount = vetoesCount;
    this.order =
        Comparator.comparing(Path::confidence, Comparator.reverseOrder())
            .thenComparing(Path::hops)
            .thenComparing((a, b) -> compare(a, b, part -> part.key().text()))
            .thenComparing((a, b) -> compare(a, b, Part::make))
            .thenComparing((a, b) -> a.parts().toString().compareTo(b.parts().toString()));
  }

  /** By part, the best path to it; the start itself is not among them. */
  public static Map<PartId, Path> best(Neighbourhood place) {
    return new PathSearch(place, true).run();
  }

  /** As {@link #best}, but as if nothing had been forbidden. */
  public static Map<PartId, Path> bestWithoutVetoes(Neighbourhood place) {
    return new PathSearch(place, false).run();
  }

  private Map<PartId, Path> run() {
    List<Path> frontier = List.of(Path.at(place.start()));
    for (int hop = 0; hop < MOST_HOPS && !frontier.isEmpty(); hop++) {
      List<Path> next = new ArrayList<>();
      for (Path path : frontier) {
        // it may have given way since
        boolean stands = hop == 0 || kept.get(path.end()).contains(path);
        if (stands) {
          place.statementsOf(path.end()).forEach(statement -> extend(path, statement, next));
        }
      }
      frontier = next;
    }
    Comparator<Path> best = Comparator.comparing(Path::isStopgap).thenComparing(order);
    return kept.entrySet().stream()
        .collect(
            Collectors.toMap(
                Map.Entry::getKey,
                entry -> entry.getValue().stream().min(best).orElseThrow(),
                (one, other) -> one,
                LinkedHashMap::new));
  }

  private void extend(Path path, Statement statement, List<Path> next) {
    PartId to = statement.other(path.end());
    boolean trusted = path.confidence().times(statement.confidence()).isAtLeast(LEAST);
    boolean permitted = statement.leadsFrom(path.end()) && trusted && !path.parts().contains(to);
    if (permitted && !isVetoed(path, to)) {
      Path further = path.over(statement);
      List<Path> others = kept.computeIfAbsent(to, key -> new ArrayList<>());
      if (others.stream().noneMatch(other -> makesNeedless(other, further))) {
        others.removeIf(other -> makesNeedless(further, other));
        others.add(further);
        next.add(further);
      }
    }
  }

  private boolean isVetoed(Path path, PartId to) {
    return vetoesCount && path.parts().stream().anyMatch(part -> place.veto(part, to).isPresent());
  }

  private boolean makesNeedless(Path better, Path other) {
    return better.hops() <= other.hops()
        && better.confidence().compareTo(other.confidence()) >= 0
        && (!better.isStopgap() || other.isStopgap())
        && vetoing(other).containsAll(vetoing(better))
        && order.compare(better, other) <= 0;
  }

  private Set<PartId> vetoing(Path path) {
    Set<PartId> found = new HashSet<>();
    if (vetoesCount) {
      for (PartId part : path.parts()) {
        if (vetoing.computeIfAbsent(part, place::vetoes)) {
          found.add(part);
        }
      }
    }
    return found;
  }

  private int compare(Path a, Path b, java.util.function.Function<Part, String> by) {
    int both = Math.min(a.parts().size(), b.parts().size());
    for (int i = 0; i < both; i++) {
      int first =
          by.apply(place.part(a.parts().get(i))).compareTo(by.apply(place.part(b.parts().get(i))));
      if (first != 0) {
        return first;
      }
    }
    return Integer.compare(a.parts().size(), b.parts().size());
  }
}
