package dev.lonja.core.crossref;

import dev.lonja.core.part.Part;
import dev.lonja.core.part.PartId;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.Deque;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/**
 * The statements around a part, as far as paths may lead, and which parts in it veto each other.
 *
 * <p>For vetoes, all numbers that SAME joins, whatever its confidence, count as one part: a veto
 * from outside on one of them vetoes all. A veto between two numbers of one such class vetoes only
 * those two.
 */
public final class Neighbourhood {

  private final PartId start;
  private final Map<PartId, Part> parts;
  private final Map<PartId, List<Statement>> byPart;
  private final Map<PartId, PartId> classOf = new HashMap<>();
  private final Map<PartId, List<PartId>> members = new LinkedHashMap<>();

  /** The vetoes on a class from outside it, by class. */
  private final Map<PartId, List<Statement>> vetoes = new HashMap<>();

  private Neighbourhood(
      PartId start, Map<PartId, Part> parts, Map<PartId, List<Statement>> byPart) {
    this.start = start;
    this.parts = parts;
    this.byPart = byPart;
    byPart.keySet().forEach(this::joinClass);
    byPart.values().stream()
        .flatMap(List::stream)
        .distinct()
        .filter(statement -> statement.kind() == StatementKind.NEVER)
        .sorted(Comparator.comparing(Statement::id))
        .forEach(this::note);
  }

  /**
   * Reads what lies around a part: five rounds of the source for the paths, and as many more as the
   * longest chain of SAME is long.
   */
  public static Neighbourhood around(PartId start, StatementSource source) {
    Map<PartId, List<Statement>> byPart = new LinkedHashMap<>();
    readPaths(Set.of(start), source, byPart);
    Neighbourhood known = new Neighbourhood(start, Map.of(), byPart);
    readClasses(known.vetoedOnes(), source, byPart);
    Set<PartId> named = new LinkedHashSet<>(byPart.keySet());
    byPart
        .values()
        .forEach(all -> all.forEach(s -> named.addAll(List.of(s.subject(), s.object()))));
    Map<PartId, Part> parts = new HashMap<>();
    source.parts(named).forEach(part -> parts.put(part.id(), part));
    return new Neighbourhood(start, parts, byPart);
  }

  /** Reads as far as paths from any of these may lead, and all that SAME joins to that. */
  static void readPaths(
      Collection<PartId> starts, StatementSource source, Map<PartId, List<Statement>> byPart) {
    Map<PartId, Confidence> reach = new HashMap<>();
    starts.forEach(start -> reach.put(start, Confidence.FULL));
    Set<PartId> frontier = new LinkedHashSet<>(starts);
    for (int hop = 0; hop <= PathSearch.MOST_HOPS && !frontier.isEmpty(); hop++) {
      read(frontier, source, byPart);
      frontier = hop == PathSearch.MOST_HOPS ? Set.of() : next(frontier, byPart, reach);
    }
    readClasses(List.copyOf(byPart.keySet()), source, byPart);
  }

  static void read(
      Collection<PartId> wanted, StatementSource source, Map<PartId, List<Statement>> byPart) {
    Set<PartId> unread = new LinkedHashSet<>(wanted);
    unread.removeAll(byPart.keySet());
    if (unread.isEmpty()) {
      return;
    }
    unread.forEach(part -> byPart.put(part, new ArrayList<>()));
    for (Statement statement : source.standing(unread)) {
      for (PartId part : List.of(statement.subject(), statement.object())) {
        if (unread.contains(part)) {
          byPart.get(part).add(statement);
        }
      }
    }
  }

  /**
   * The parts one hop on that are still trusted enough, and better than they were reached before.
   */
  private static Set<PartId> next(
      Set<PartId> frontier, Map<PartId, List<Statement>> byPart, Map<PartId, Confidence> reach) {
    Map<PartId, Confidence> before = new HashMap<>(reach);
    Set<PartId> next = new LinkedHashSet<>();
    for (PartId part : frontier) {
      for (Statement statement : byPart.get(part)) {
        PartId other = statement.other(part);
        Confidence confidence = before.get(part).times(statement.confidence());
        Confidence known = reach.get(other);
        boolean better = known == null || confidence.compareTo(known) > 0;
        if (statement.leadsFrom(part) && better && confidence.isAtLeast(PathSearch.LEAST)) {
          reach.put(other, confidence);
          next.add(other);
        }
      }
    }
    return next;
  }

  static void readClasses(
      Collection<PartId> from, StatementSource source, Map<PartId, List<Statement>> byPart) {
    Set<PartId> seen = new HashSet<>(from);
    Collection<PartId> round = from;
    while (!round.isEmpty()) {
      read(round, source, byPart);
      Set<PartId> joined = new LinkedHashSet<>();
      for (PartId part : round) {
        for (Statement statement : byPart.get(part)) {
          if (statement.kind() == StatementKind.SAME && seen.add(statement.other(part))) {
            joined.add(statement.other(part));
          }
        }
      }
      round = joined;
    }
  }

  private void joinClass(PartId part) {
    if (classOf.containsKey(part)) {
      return;
    }
    List<PartId> joined = new ArrayList<>();
    Deque<PartId> open = new ArrayDeque<>(List.of(part));
    classOf.put(part, part);
    while (!open.isEmpty()) {
      PartId next = open.pop();
      joined.add(next);
      for (Statement statement : statementsOf(next)) {
        PartId other = statement.other(next);
        if (statement.kind() == StatementKind.SAME && classOf.putIfAbsent(other, part) == null) {
          open.push(other);
        }
      }
    }
    members.put(part, joined);
  }

  private void note(Statement veto) {
    PartId one = classOf(veto.subject());
    PartId other = classOf(veto.object());
    if (!one.equals(other)) {
      vetoes.computeIfAbsent(one, key -> new ArrayList<>()).add(veto);
      vetoes.computeIfAbsent(other, key -> new ArrayList<>()).add(veto);
    }
  }

  private PartId classOf(PartId part) {
    return classOf.getOrDefault(part, part);
  }

  public PartId start() {
    return start;
  }

  /** Every part that a statement here names, the start included. */
  public Set<PartId> ids() {
    return Set.copyOf(parts.keySet());
  }

  /** A part within the neighbourhood; another is broken data and throws. */
  public Part part(PartId id) {
    return Optional.ofNullable(parts.get(id))
        .orElseThrow(() -> new IllegalArgumentException("id is " + id + ", outside this place"));
  }

  /** Every standing statement on a part of this neighbourhood. */
  public List<Statement> statementsOf(PartId part) {
    return byPart.getOrDefault(part, List.of());
  }

  /** The statement that forbids these two together, the oldest if there are several. */
  public Optional<Statement> veto(PartId one, PartId other) {
    PartId classOfOne = classOf(one);
    PartId classOfOther = classOf(other);
    if (classOfOne.equals(classOfOther)) {
      return statementsOf(one).stream()
          .filter(statement -> statement.kind() == StatementKind.NEVER)
          .filter(statement -> statement.other(one).equals(other))
          .findFirst();
    }
    return vetoes.getOrDefault(classOfOne, List.of()).stream()
        .filter(
            veto ->
                classOf(veto.subject()).equals(classOfOther)
                    || classOf(veto.object()).equals(classOfOther))
        .findFirst();
  }

  /** True if the part is in a veto of any kind. */
  boolean vetoes(PartId part) {
    return vetoes.containsKey(classOf(part))
        || statementsOf(part).stream().anyMatch(s -> s.kind() == StatementKind.NEVER);
  }

  /** True if SAME joins the two, over however many numbers. */
  public boolean areOnePart(PartId one, PartId other) {
    return classOf(one).equals(classOf(other));
  }

  /**
   * How many statements away from the start each number is, whatever their direction; the start
   * itself is 0.
   *
   * @param most further than this is left out
   */
  public Map<PartId, Integer> steps(int most) {
    Map<PartId, Integer> steps = new LinkedHashMap<>(Map.of(start, 0));
    Deque<PartId> open = new ArrayDeque<>(List.of(start));
    while (!open.isEmpty()) {
      PartId part = open.poll();
      for (Statement statement : statementsOf(part)) {
        PartId other = statement.other(part);
        if (steps.get(part) < most && steps.putIfAbsent(other, steps.get(part) + 1) == null) {
          open.add(other);
        }
      }
    }
    return steps;
  }

  /** Every part that the start must not be replaced by, with the statement that forbids it. */
  public Map<PartId, Statement> vetoed() {
    Map<PartId, Statement> vetoed = new LinkedHashMap<>();
    for (PartId part : vetoedOnes()) {
      veto(start, part).ifPresent(veto -> vetoed.put(part, veto));
    }
    return vetoed;
  }

  private List<PartId> vetoedOnes() {
    Set<PartId> ones = new LinkedHashSet<>();
    for (Statement veto : vetoes.getOrDefault(classOf(start), List.of())) {
      boolean subjectIsHere = classOf(veto.subject()).equals(classOf(start));
      PartId other = subjectIsHere ? veto.object() : veto.subject();
      ones.addAll(members.getOrDefault(classOf(other), List.of(other)));
    }
    for (Statement statement : statementsOf(start)) {
      if (statement.kind() == StatementKind.NEVER) {
        ones.add(statement.other(start));
      }
    }
    return List.copyOf(ones);
  }
}
