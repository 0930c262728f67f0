package dev.lonja.core.crossref;

import dev.lonja.core.part.PartId;
import java.time.LocalDate;

/**
 * A {@link Statement} before it is made: it has no id yet.
 *
 * @param saidOn the day of the source
 * @param note in words; for {@code NEVER} the reason
 */
public record NewStatement(
    PartId subject,
    StatementKind kind,
    PartId object,
    Source source,
    LocalDate saidOn,
    Confidence confidence,
    String note) {

  /** The same of other parts; for numbers that were given their ids only now. */
  public NewStatement between(PartId newSubject, PartId newObject) {
    return new NewStatement(newSubject, kind, newObject, source, saidOn, confidence, note);
  }
}
