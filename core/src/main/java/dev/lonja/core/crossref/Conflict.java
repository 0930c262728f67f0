package dev.lonja.core.crossref;

import dev.lonja.core.part.Part;
import dev.lonja.core.part.PartId;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/**
 * Sources that contradict each other or the metal, to be settled by withdrawing one side.
 *
 * @param one what is asked for
 * @param other what is claimed to stand for it
 * @param sides the statements of which one has to be withdrawn, the denying one first
 */
public record Conflict(Part one, Part other, Cause cause, List<Statement> sides) {

  /** What denies the claim. */
  public sealed interface Cause {}

  /** Recorded properties that differ where they must agree. */
  public record Metal(Comparison comparison) implements Cause {}

  /** A statement that the one must never be used for the other. */
  public record Veto(Statement statement) implements Cause {}

  public Conflict {
    sides = List.copyOf(sides);
  }

  /**
   * What the metal says against one statement, in either direction that it permits.
   *
   * @param parts the two it is about
   */
  public static Optional<Conflict> withMetal(
      Statement claim, Map<PartId, Part> parts, RubberTable rubbers) {
    Part subject = parts.get(claim.subject());
    Part object = parts.get(claim.object());
    return denial(claim, object, subject, rubbers)
        .or(
            () ->
                claim.kind().permitsBack()
                    ? denial(claim, subject, object, rubbers)
                    : Optional.empty());
  }

  private static Optional<Conflict> denial(
      Statement claim, Part asked, Part offered, RubberTable rubbers) {
    Comparison comparison = Comparison.of(asked, offered, Fitting.ANYWHERE, rubbers);
    return comparison.contradicts()
        ? Optional.of(new Conflict(asked, offered, new Metal(comparison), List.of(claim)))
        : Optional.empty();
  }

  /**
   * What claims against a veto, in either direction: a permitted path of 0.50 or more, vetoes left
   * aside, or that both numbers are one part.
   */
  public static Optional<Conflict> withVeto(Statement veto, StatementSource source) {
    return claim(veto, veto.object(), veto.subject(), source)
        .or(() -> claim(veto, veto.subject(), veto.object(), source));
  }

  private static Optional<Conflict> claim(
      Statement veto, PartId asked, PartId offered, StatementSource source) {
    Neighbourhood around = Neighbourhood.around(asked, source);
    Optional<Path> path = Optional.ofNullable(PathSearch.bestWithoutVetoes(around).get(offered));
    if (path.isEmpty() && !around.areOnePart(asked, offered)) {
      return Optional.empty();
    }
    Set<Statement> sides = new LinkedHashSet<>();
    sides.add(veto);
    path.ifPresent(way -> sides.addAll(way.statements()));
    around.statementsOf(asked).stream()
        .filter(s -> s.kind() != StatementKind.NEVER && s.other(asked).equals(offered))
        .forEach(sides::add);
    return Optional.of(
        new Conflict(around.part(asked), around.part(offered), new Veto(veto), List.copyOf(sides)));
  }
}
