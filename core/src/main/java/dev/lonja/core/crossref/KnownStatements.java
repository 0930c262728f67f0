package dev.lonja.core.crossref;

import dev.lonja.core.part.Part;
import dev.lonja.core.part.PartId;
import java.util.Collection;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;

/**
 * Statements and parts of a source, each read once. Whoever looks around many parts has what lies
 * around all of them read first, which asks the source no more often than for one of them.
 */
public final class KnownStatements implements StatementSource {

  private final StatementSource source;
  private final Map<PartId, List<Statement>> byPart = new LinkedHashMap<>();
  private final Map<PartId, Part> parts = new HashMap<>();

  public KnownStatements(StatementSource source) {
    this.source = source;
  }

  /** Reads what lies around these parts, as far as {@link Neighbourhood} looks around each. */
  public void readAround(Collection<PartId> starts) {
    Neighbourhood.readPaths(starts, this, new LinkedHashMap<>());
    Set<PartId> vetoed = new LinkedHashSet<>();
    byPart.values().stream()
        .flatMap(List::stream)
        .filter(statement -> statement.kind() == StatementKind.NEVER)
        .forEach(veto -> vetoed.addAll(List.of(veto.subject(), veto.object())));
    Neighbourhood.readClasses(vetoed, this, new LinkedHashMap<>());
    Set<PartId> named = new LinkedHashSet<>(starts);
    byPart
        .values()
        .forEach(all -> all.forEach(s -> named.addAll(List.of(s.subject(), s.object()))));
    parts(named);
  }

  @Override
  public List<Statement> standing(Collection<PartId> wanted) {
    Set<PartId> unread = new LinkedHashSet<>(wanted);
    unread.removeAll(byPart.keySet());
    if (!unread.isEmpty()) {
      Neighbourhood.read(unread, source, byPart);
    }
    return wanted.stream()
        .distinct()
        .flatMap(part -> byPart.get(part).stream())
        .distinct()
        .sorted(Comparator.comparing(Statement::id))
        .toList();
  }

  @Override
  public List<Part> parts(Collection<PartId> wanted) {
    Set<PartId> unread = new HashSet<>(wanted);
    unread.removeAll(parts.keySet());
    if (!unread.isEmpty()) {
      source.parts(unread).forEach(part -> parts.put(part.id(), part));
    }
    return wanted.stream().distinct().filter(parts::containsKey).map(parts::get).toList();
  }
}
