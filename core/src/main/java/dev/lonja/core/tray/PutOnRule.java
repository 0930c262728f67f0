package dev.lonja.core.tray;

import dev.lonja.core.crossref.Verdict;
import dev.lonja.core.part.Family;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/**
 * Whether a part may go onto a tray that no line asks for, judged against the places of the machine
 * that take parts of its family. The same question is asked on every way in: scan, key, search, kit
 * and wanted part.
 */
public final class PutOnRule {

  /** Families in which one part says nothing of where another goes. */
  private static final Set<Family> FIT_ANYWHERE = Set.of(Family.CONSUMABLE, Family.KIT);

  private PutOnRule() {}

  /** What is said to it. */
  public enum Answer {
    /** It fits somewhere, or the machine has no place on file for such parts. */
    FREE,
    /** It is not known to fit: a person says what it is for. */
    SAY_WHY,
    /** A filter that fits at none of the machine's places for such filters. */
    NO
  }

  /**
   * Judges a part.
   *
   * @param family of the part
   * @param places by place that takes parts of the family, the part's verdict there; none where
   *     nobody has said anything of it
   */
  public static Answer judge(Family family, List<Optional<Verdict>> places) {
    if (FIT_ANYWHERE.contains(family)
        || places.isEmpty()
        || places.contains(Optional.of(Verdict.FITS))) {
      return Answer.FREE;
    }
    boolean maybe =
        places.stream()
            .flatMap(Optional::stream)
            .anyMatch(verdict -> verdict != Verdict.DOES_NOT_FIT);
    return maybe || !family.isFilter() ? Answer.SAY_WHY : Answer.NO;
  }
}
