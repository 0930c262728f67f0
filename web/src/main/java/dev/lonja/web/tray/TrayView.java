package dev.lonja.web.tray;

import dev.lonja.core.item.ItemId;
import dev.lonja.core.meter.MeterId;
import dev.lonja.core.tray.TrayId;
import dev.lonja.web.frame.Drum;
import dev.lonja.web.frame.Plate;
import dev.lonja.web.frame.State;
import java.util.List;
import java.util.Optional;

/** Everything the tray page shows, in words. */
record TrayView(
    TrayId id,
    String number,
    String unit,
    String title,
    String when,
    String progress,
    State state,
    boolean open,
    boolean ready,
    boolean handedOver,
    long version,
    String nextBin,
    List<LineRow> lines,
    List<TorqueRow> torques,
    List<String> tools,
    List<String> hints,
    List<String> cautions,
    List<MeterRow> meters,
    String mechanic) {

  /**
   * A line in walking order.
   *
   * @param back what may still come back, if the tray was handed over
   */
  record LineRow(
      long id,
      ItemId itemId,
      String bin,
      Plate plate,
      Optional<Drum> drum,
      String place,
      String note,
      String amount,
      State state,
      boolean laid,
      boolean mayLay,
      String back,
      String instead,
      String insteadWhy,
      boolean mayReplace,
      boolean isFluid,
      String verdict,
      String keeps,
      String onTheShelf) {}

  /** How tight a fastener is made. */
  record TorqueRow(String place, String torque) {}

  /** A meter to be read at the hand-over. */
  record MeterRow(MeterId id, String name, String measure, String expected) {}
}
