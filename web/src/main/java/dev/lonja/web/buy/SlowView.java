package dev.lonja.web.buy;

import dev.lonja.web.frame.Drum;
import dev.lonja.web.frame.Plate;
import dev.lonja.web.frame.State;
import java.util.List;
import java.util.Optional;

/** What lies too long. */
public record SlowView(String summary, List<Row> rows) {

  /**
   * One thing.
   *
   * @param todo what to do about it
   */
  public record Row(
      Plate plate,
      Optional<Drum> drum,
      State state,
      String free,
      String surplus,
      String worth,
      String todo) {}
}
