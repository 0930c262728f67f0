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
record FindView(String query, String answer, Optional<String> goTo, List<Hit> hits) {

  /** One item that was found, with the kind of hit it is. */
  record Hit(
      String kind, Plate plate, String description, Optional<Drum> drum, String bin, String free) {}
}
