package dev.lonja.web.unit;

import dev.lonja.web.frame.State;
import java.util.List;

/** All units with what is due next on each. */
record FleetView(String summary, String scale, List<Row> rows) {

  record Row(
      String code,
      String name,
      String model,
      String meters,
      String ruler,
      String next,
      State state) {}
}
