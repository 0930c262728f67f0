package dev.lonja.web.ahead;

import dev.lonja.web.frame.Drum;
import dev.lonja.web.frame.Plate;
import dev.lonja.web.frame.State;
import java.util.List;
import java.util.Optional;

/** The weeks table of all items. */
public record AheadView(
    String summary,
    List<Horizon> horizons,
    int barWeeks,
    String firstWeek,
    List<String> gaps,
    List<Row> rows) {

  public record Horizon(int weeks, String words, boolean chosen) {}

  public record Row(
      String kind,
      Plate plate,
      Optional<Drum> drum,
      String bars,
      String use,
      String free,
      String lasts,
      State state) {}
}
