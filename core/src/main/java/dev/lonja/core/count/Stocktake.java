package dev.lonja.core.count;

import java.time.Instant;
import java.util.Optional;

/**
 * A count of all bins. While it is open nothing moves, but for what tanks hold; what differs is
 * booked together at its end.
 *
 * @param end empty while it is open
 */
public record Stocktake(StocktakeId id, String begunBy, Instant begunAt, Optional<End> end) {

  /** How a stocktake ended. */
  public enum How {
    BOOKED,
    /** What was counted to an end stands; no difference is booked. */
    GIVEN_UP
  }

  /** That it ended. */
  public record End(How how, String by, Instant at) {}

  public boolean isOpen() {
    return end.isEmpty();
  }
}
