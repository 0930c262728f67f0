package dev.lonja.core.find;

import dev.lonja.core.crossref.Statement;
import dev.lonja.core.crossref.StatementKind;
import dev.lonja.core.crossref.StatementSource;
import dev.lonja.core.part.Part;
import dev.lonja.core.part.PartId;
import dev.lonja.core.part.PartKey;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.HashSet;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;

/**
 * Finds a number among all that are known, in the order of the rules of part numbers: this key,
 * what replaces it, what begins with it, what reads like it, what is one edit away. Nothing is
 * found twice; within a kind by key, then make, successors nearest first.
 */
public final class NumberSearch {

  /** How a number was found, the surest first. */
  public enum Kind {
    EXACT,
    SUCCESSOR,
    PREFIX,
    NEAR,
    ONE_EDIT
  }

  /** Characters from which on a beginning is looked for. */
  public static final int LEAST_PREFIX = 3;

  /** Characters that both keys have at least where one edit is forgiven. */
  public static final int LEAST_EDIT = 5;

  private static final int MOST_OF_A_KIND = 50;
  private static final int MOST_GENERATIONS = 20;

  private final PartKey key;
  private final NumberIndex index;
  private final StatementSource statements;
  private final Map<Kind, List<Part>> found = new EnumMap<>(Kind.class);
  private final Set<PartId> known = new HashSet<>();

  private NumberSearch(PartKey key, NumberIndex index, StatementSource statements) {
    this.key = key;
    this.index = index;
    this.statements = statements;
  }

  /**
   * What was found, by kind, at most 50 of each; kinds without a hit are absent. Costs one lookup
   * of the index a kind, and one of the statements a generation of successors (20 at most, so that
   * a circle of replacements ends).
   */
  public static Map<Kind, List<Part>> run(
      PartKey key, NumberIndex index, StatementSource statements) {
    NumberSearch search = new NumberSearch(key, index, statements);
    search.run();
    return search.found;
  }

  private void run() {
    add(Kind.EXACT, index.byKey(key, MOST_OF_A_KIND));
    add(Kind.SUCCESSOR, successors());
    if (key.text().length() >= LEAST_PREFIX) {
      add(Kind.PREFIX, index.byKeyPrefix(key, MOST_OF_A_KIND));
    }
    add(Kind.NEAR, index.byNearKey(key, MOST_OF_A_KIND));
    if (key.text().length() >= LEAST_EDIT) {
      add(Kind.ONE_EDIT, index.oneEditFrom(key, LEAST_EDIT, MOST_OF_A_KIND));
    }
  }

  private void add(Kind kind, List<Part> parts) {
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
      for (Statement statement : statements.standing(generation)) {
        boolean replaces =
            statement.kind() == StatementKind.REPLACES && generation.contains(statement.object());
        if (replaces && seen.add(statement.subject())) {
          next.add(statement.subject());
        }
      }
      all.addAll(
          statements.parts(next).stream()
              .sorted(Comparator.comparing(Part::key).thenComparing(Part::make))
              .toList());
      generation = next;
    }
    return all;
  }
}
