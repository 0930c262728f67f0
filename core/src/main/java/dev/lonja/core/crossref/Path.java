package dev.lonja.core.crossref;

import dev.lonja.core.part.PartId;
import java.util.ArrayList;
import java.util.List;

/**
 * The statements that lead from the part that is asked for to another, in order.
 *
 * @param parts the parts on the way, first and last included; one more than statements
 */
public record Path(List<PartId> parts, List<Statement> statements, Confidence confidence) {

  public Path {
    parts = List.copyOf(parts);
    statements = List.copyOf(statements);
  }

  static Path at(PartId start) {
    return new Path(List.of(start), List.of(), Confidence.FULL);
  }

  Path over(Statement statement) {
    List<PartId> further = new ArrayList<>(parts);
    further.add(statement.other(end()));
    List<Statement> more = new ArrayList<>(statements);
    more.add(statement);
    return new Path(further, more, confidence.times(statement.confidence()));
  }

  /** Where the path leads to; its start if it has no steps. */
  public PartId end() {
    return parts.get(parts.size() - 1);
  }

  /** How many statements it takes. */
  public int hops() {
    return statements.size();
  }

  /** True if any step is good for a stopgap only. */
  public boolean isStopgap() {
    return statements.stream().anyMatch(s -> s.kind() == StatementKind.STANDS_IN);
  }
}
