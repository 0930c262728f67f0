package dev.lonja.core.crossref;

import java.time.LocalDate;

/**
 * A sourced word on two parts: "subject <i>kind</i> object".
 *
 * @param saidOn the day of the source
 * @param note in words; for {@code NEVER} the reason, and then never empty
 */
public record Statement(
    long id,
    long subject,
    StatementKind kind,
    long object,
    Source source,
    LocalDate saidOn,
    Confidence confidence,
    String note) {

  /** The other part of the two; a part that is neither throws. */
  public long other(long part) {
    if (part != subject && part != object) {
      throw new IllegalArgumentException("part is " + part + "; statement " + id + " has no such");
    }
    return part == subject ? object : subject;
  }

  /** True if this lets its other part be supplied where {@code asked} is wanted. */
  boolean leadsFrom(long asked) {
    return asked == object ? kind.permits() : kind.permitsBack();
  }
}
