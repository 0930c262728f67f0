package dev.lonja.core.fleet;

import java.util.Optional;

/**
 * A reading with the judgement on it.
 *
 * @param against the accepted reading it was held against; empty for the first
 */
public record JudgedReading(
    Reading reading, Optional<ReadingFlag> flag, Optional<Reading> against) {

  public boolean accepted() {
    return flag.isEmpty();
  }
}
