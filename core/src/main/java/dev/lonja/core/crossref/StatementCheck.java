package dev.lonja.core.crossref;

import dev.lonja.core.part.PartId;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Set;

/** Whether a statement may be made at all, beside those that stand. */
public final class StatementCheck {

  private StatementCheck() {}

  /** Why a statement is refused. */
  public sealed interface Refusal {

    /** The parts that it names beside those of the statement. */
    default List<PartId> named() {
      return List.of();
    }

    /** A part is always the same as itself; there is nothing to state. */
    record OfItself() implements Refusal {}

    /** A veto must say why. */
    record NeverWithoutReason() implements Refusal {}

    /** The very same already stands, from the same source. */
    record StandsAlready(Statement statement) implements Refusal {}

    /**
     * The object would, over others, replace the subject.
     *
     * @param parts from the subject to the object, each replacing the one before
     */
    record ReplacesInACircle(List<PartId> parts) implements Refusal {
      @Override
      public List<PartId> named() {
        return parts;
      }
    }
  }

  /** Every reason against {@code made}; none if it may be stated. */
  public static List<Refusal> refusals(NewStatement made, StatementSource source) {
    List<Refusal> refusals = new ArrayList<>();
    if (made.subject().equals(made.object())) {
      refusals.add(new Refusal.OfItself());
      return refusals;
    }
    if (made.kind() == StatementKind.NEVER && made.note().isBlank()) {
      refusals.add(new Refusal.NeverWithoutReason());
    }
    source.standing(List.of(made.subject())).stream()
        .filter(standing -> saysTheSame(standing, made))
        .findFirst()
        .ifPresent(standing -> refusals.add(new Refusal.StandsAlready(standing)));
    if (made.kind() == StatementKind.REPLACES) {
      List<PartId> way = successors(made.subject(), made.object(), source, new HashSet<>());
      if (!way.isEmpty()) {
        refusals.add(new Refusal.ReplacesInACircle(way));
      }
    }
    return refusals;
  }

  private static boolean saysTheSame(Statement standing, NewStatement made) {
    boolean sameWay =
        standing.subject().equals(made.subject()) && standing.object().equals(made.object());
    boolean otherWay =
        standing.subject().equals(made.object()) && standing.object().equals(made.subject());
    boolean bothWays = made.kind().permitsBack() || made.kind() == StatementKind.NEVER;
    return standing.kind() == made.kind()
        && standing.source() == made.source()
        && (sameWay || (bothWays && otherWay));
  }

  /** The parts from one to another by way of what replaces it; empty if it does not lead there. */
  private static List<PartId> successors(
      PartId from, PartId to, StatementSource source, Set<PartId> seen) {
    List<List<PartId>> ways = List.of(List.of(from));
    while (!ways.isEmpty()) {
      List<List<PartId>> further = new ArrayList<>();
      for (List<PartId> way : ways) {
        PartId end = way.get(way.size() - 1);
        if (end.equals(to)) {
          return way;
        }
        for (Statement statement : source.standing(List.of(end))) {
          boolean goesOn =
              statement.kind() == StatementKind.REPLACES
                  && statement.object().equals(end)
                  && seen.add(statement.subject());
          if (goesOn) {
            List<PartId> longer = new ArrayList<>(way);
            longer.add(statement.subject());
            further.add(longer);
          }
        }
      }
      ways = further;
    }
    return List.of();
  }
}
