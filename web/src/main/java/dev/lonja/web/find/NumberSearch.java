package dev.lonja.web.find;

import dev.lonja.core.crossref.Statement;
import dev.lonja.core.crossref.StatementKind;
import dev.lonja.core.part.Part;
import dev.lonja.core.part.PartId;
import dev.lonja.core.part.PartKey;
import dev.lonja.store.Session;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.HashSet;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;

/**
 * Finds a number among all that the store knows, in the order of the rules: this key, what replaces
 * it, what begins with it, what reads like it, what is one edit away. Nothing is found twice.
 */
public final class NumberSearch {

  private static final int LEAST_PREFIX = 3;
  private static final int LEAST_EDIT = 5;
  private static final int MOST_OF_A_KIND = 50;
  private static final int MOST_GENERATIONS = 20;

  private final Session session;
  private final PartKey key;
  private final Map<HitKind, List<Part>> found = new EnumMap<>(HitKind.class);
  private final Set<PartId> known = new HashSet<>();

  private NumberSearch(Session session, PartKey key) {
    this.session = session;
    this.key = key;
  }

  /** What was found, by the kind of hit; kinds without a hit are absent. */
  static Map<HitKind, List<Part>> run(Session session, PartKey key) {
    NumberSearch search = new NumberSearch(session, key);
    search.run();
    return search.found;
  }

  /** How many parts were found in all; for measuring. */
  public static int count(Session session, PartKey key) {
    return run(session, key).values().stream().mapToInt(List::size).sum();
  }

  private void run() {
    add(HitKind.EXACT, session.parts().byKey(key, MOST_OF_A_KIND));
    add(HitKind.SUCCESSOR, successors());
    if (key.text().length() >= LEAST_PREFIX) {
      add(HitKind.PREFIX, session.parts().byKeyPrefix(key, MOST_OF_A_KIND));
    }
    add(HitKind.NEAR, session.parts().byNearKey(key, MOST_OF_A_KIND));
    if (key.text().length() >= LEAST_EDIT) {
      add(HitKind.ONE_EDIT, session.parts().oneEditFrom(key, LEAST_EDIT, MOST_OF_A_KIND));
    }
  }

  private void add(HitKind kind, List<Part> parts) {
    List<Part> fresh = parts.stream().filter(part -> known.add(part.id())).toList();
    if (!fresh.isEmpty()) {
      found.put(kind, fresh);
    }
  }

  /** What replaces the parts of this key, generation by generation. */
  private List<Part> successors() {
    List<Part> all = new ArrayList<>();
    Set<PartId> seen = new HashSet<>(known);
    Set<PartId> generation = Set.copyOf(known);
    for (int i = 0; i < MOST_GENERATIONS && !generation.isEmpty(); i++) {
      Set<PartId> next = new LinkedHashSet<>();
      for (Statement statement : session.statements().standing(generation)) {
        boolean replaces =
            statement.kind() == StatementKind.REPLACES && generation.contains(statement.object());
        if (replaces && seen.add(statement.subject())) {
          next.add(statement.subject());
        }
      }
      all.addAll(
          session.parts().byIds(next).stream()
              .sorted(Comparator.comparing(Part::key).thenComparing(Part::make))
              .toList());
      generation = next;
    }
    return all;
  }
}
