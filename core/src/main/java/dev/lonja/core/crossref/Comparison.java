package dev.lonja.core.crossref;

import dev.lonja.core.crossref.Finding.Agreement;
import dev.lonja.core.crossref.Finding.Weight;
import dev.lonja.core.part.Part;
import java.util.List;

/**
 * The metal: the recorded properties of an offered part held against those of the one that is asked
 * for, by the rules of the family, and against the limits of the place, which hold for every family
 * that can have the property. All limits are in base units, with both ends allowed.
 *
 * @param familiesDiffer then only the limits of the place are judged
 * @param familyUnknown of one side or both, which counts as an unverified property
 */
public record Comparison(boolean familiesDiffer, boolean familyUnknown, List<Finding> findings) {

  public Comparison {
    findings = List.copyOf(findings);
  }

  /** Holds {@code offered} against {@code asked} for a place. */
  public static Comparison of(Part asked, Part offered, Fitting place, RubberTable rubbers) {
    PartPair pair = new PartPair(asked, offered, place, rubbers);
    if (asked.family().isEmpty() || offered.family().isEmpty()) {
      return new Comparison(false, true, pair.judgeLimits());
    }
    return asked.family().equals(offered.family())
        ? new Comparison(false, false, pair.compare(asked.family().get()))
        : new Comparison(true, false, pair.judgeLimits());
  }

  /** True if something differs that must agree, whatever the place. */
  public boolean contradicts() {
    return familiesDiffer || any(Weight.MUST_AGREE, Agreement.DIFFERS);
  }

  /** True if the part does not go there. */
  public boolean forbids() {
    return contradicts() || any(Weight.POSITION, Agreement.DIFFERS);
  }

  /** True if a person should look before it is used. */
  public boolean asksForACheck() {
    return familyUnknown
        || any(Weight.MUST_AGREE, Agreement.UNVERIFIED)
        || any(Weight.POSITION, Agreement.UNVERIFIED)
        || any(Weight.CHECK, Agreement.DIFFERS);
  }

  private boolean any(Weight weight, Agreement agreement) {
    return findings.stream().anyMatch(f -> f.weight() == weight && f.agreement() == agreement);
  }
}
