package dev.lonja.core.waste;

import dev.lonja.core.quantity.Measure;
import java.util.Optional;

/**
 * Waste of one kind, as the place where the store is names it.
 *
 * @param code the local waste code; may be empty
 * @param measure in which it is counted
 * @param limitDays for how many days it may be stored, where a limit is set
 */
public record WasteStream(
    StreamId id,
    WasteKind kind,
    String name,
    String code,
    Measure measure,
    Optional<Integer> limitDays) {

  /** The longest limit that can be set, in days: ten years. */
  public static final int MOST_DAYS = 3_650;

  /** Why something must not go in; empty if it is of this kind. */
  public Optional<WasteKind> refuses(WasteKind other) {
    return other == kind ? Optional.empty() : Optional.of(other);
  }
}
