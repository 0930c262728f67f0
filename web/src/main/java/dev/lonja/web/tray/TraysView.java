package dev.lonja.web.tray;

import dev.lonja.core.tray.TrayId;
import dev.lonja.web.frame.State;
import java.util.List;

/** The list of trays. */
record TraysView(List<Row> open, List<Row> handedOver) {

  record Row(
      TrayId id,
      String number,
      String unit,
      String title,
      String when,
      String progress,
      State state) {}
}
