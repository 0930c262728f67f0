package dev.lonja.web.find;

import dev.lonja.web.frame.Drum;
import dev.lonja.web.frame.Plate;
import java.util.List;
import java.util.Optional;

/**
 * What was found.
 *
 * @param goTo where a single sure hit leads; empty if the person has to choose
 */
public record FindView(
    String query, String answer, Optional<String> goTo, List<Hit> hits, List<PlaceHit> places) {

  /** One part that was found, with the kind of hit it is; {@code free} is empty if not stocked. */
  public record Hit(
      String kind, Plate plate, String description, Optional<Drum> drum, String bin, String free) {}

  /** A position of a unit, with what is preferred there. */
  public record PlaceHit(String path, String unit, String position, String takes) {}

  static FindView answer(String query, String answer) {
    return new FindView(query, answer, Optional.empty(), List.of(), List.of());
  }

  static FindView going(String query, String path) {
    return new FindView(query, "", Optional.of(path), List.of(), List.of());
  }
}
