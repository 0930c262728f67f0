package dev.lonja.web.meter;

import dev.lonja.core.meter.MeterId;
import dev.lonja.web.frame.State;
import java.util.List;
import java.util.Optional;

/** All meters, to be read one after the other. */
record MetersView(String summary, String today, List<Row> rows) {

  /** A meter with what is known of it. */
  record Row(
      MeterId id,
      String unit,
      String machine,
      String name,
      String measure,
      String last,
      String expected,
      Optional<State> silent) {}
}
