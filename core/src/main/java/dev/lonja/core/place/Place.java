package dev.lonja.core.place;

import java.util.Comparator;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/**
 * A store with its bins: the main store or one of its satellites.
 *
 * @param satellite empty for the main store
 */
public record Place(Optional<SatelliteId> satellite) implements Comparable<Place> {

  /** Where what is ordered comes. */
  public static final Place MAIN = new Place(Optional.empty());

  private static final Comparator<Place> MAIN_FIRST =
      Comparator.comparing((Place place) -> place.satellite().map(SatelliteId::value).orElse(0L));

  /** The satellite of a row; the main store if it names none. */
  public static Place of(@Nullable SatelliteId satellite) {
    return satellite == null ? MAIN : new Place(Optional.of(satellite));
  }

  /** As a form writes it: the satellite's number, nothing for the main store. */
  public static Place valueOf(String digits) {
    return digits.isEmpty() ? MAIN : of(SatelliteId.valueOf(digits));
  }

  public boolean isMain() {
    return satellite.isEmpty();
  }

  /** The main store comes first, the others in the order in which they were set up. */
  @Override
  public int compareTo(Place other) {
    return MAIN_FIRST.compare(this, other);
  }

  /** As a form writes it. */
  @Override
  public String toString() {
    return satellite.map(SatelliteId::toString).orElse("");
  }
}
