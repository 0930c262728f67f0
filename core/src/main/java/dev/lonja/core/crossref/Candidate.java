package dev.lonja.core.crossref;

import dev.lonja.core.part.Part;
import java.util.Optional;

/**
 * A part that some source offers, or forbids, for the one that is asked for.
 *
 * @param path the best one to it; empty for a part that is forbidden and that nobody claimed
 * @param veto the statement that forbids it
 * @param conflict true if sources claim a fit that another source or the metal denies
 */
public record Candidate(
    Part part,
    Verdict verdict,
    Optional<Path> path,
    Optional<Statement> veto,
    Comparison comparison,
    boolean conflict) {

  /** Below this a person should look. */
  static final Confidence SURE = Confidence.of("0.90");

  static Candidate offered(Part part, Path path, Comparison comparison) {
    return new Candidate(
        part,
        verdict(path, comparison),
        Optional.of(path),
        Optional.empty(),
        comparison,
        comparison.contradicts());
  }

  private static Verdict verdict(Path path, Comparison comparison) {
    if (comparison.forbids()) {
      return Verdict.DOES_NOT_FIT;
    }
    if (path.isStopgap()) {
      return Verdict.STOPGAP;
    }
    return comparison.asksForACheck() || !path.confidence().isAtLeast(SURE)
        ? Verdict.CHECK
        : Verdict.FITS;
  }
}
