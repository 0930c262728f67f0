package dev.lonja.store.crossref;

import dev.lonja.core.crossref.Statement;
import java.time.Instant;
import java.util.Optional;

/**
 * A statement as it was entered, with what became of it.
 *
 * @param withdrawal empty while it stands
 */
public record StatedLine(
    Statement statement, String actor, Instant recordedAt, Optional<Withdrawal> withdrawal) {

  /** Why and by whom it was ended. */
  public record Withdrawal(String reason, String actor, Instant recordedAt) {}
}
