package dev.lonja.core.crossref;

import dev.lonja.core.part.PartId;
import java.time.LocalDate;

/**
 * A sourced word on two parts: "subject <i>kind</i> object".
 *
 * @param saidOn the day of the source
 * @param note in words; for {@code NEVER} the reason, and then never empty
 */
public record Statement(
    long id,
    PartId subject,
    StatementKind kind,
    PartId object,
    Source source,
    LocalDate saidOn,
    Confidence confidence,
    String note) {

  /** The other part of the two; a part that is neither throws. */
  public PartId other(PartId part) {
    if (!part.equals(subject) && !part.equals(object)) {
      throw new IllegalArgumentException("part is " + part + "; statement " + id + " has no such");
    }
    return part.equals(subject) ? object : subject;
  }

  /** True if this lets its other part be supplied where {@code asked} is wanted. */
  boolean leadsFrom(PartId asked) {
    return asked.equals(object) ? kind.permits() : kind.permitsBack();
  }
}
