package dev.lonja.web.fleet;

import dev.lonja.web.frame.Plate;
import dev.lonja.web.frame.State;
import java.util.List;
import java.util.Optional;

/** Everything the unit page shows, in words. */
record UnitView(
    String code,
    String name,
    String model,
    String unitClass,
    String inService,
    String ruler,
    String scale,
    List<OccurrenceRow> occurrences,
    List<DueRow> dues,
    List<CompartmentRow> compartments,
    List<PositionRow> positions,
    List<MeterBlock> meters,
    String today) {

  /** A planned occurrence; {@code trayId} if its tray has been started. */
  record OccurrenceRow(
      String day,
      String date,
      String title,
      String tasks,
      Optional<Long> trayId,
      String trayNumber) {}

  record DueRow(String service, String task, String limits, String lastDone, State state) {}

  /** A compartment with what it holds. */
  record CompartmentRow(
      String name,
      String grade,
      Optional<Plate> item,
      List<CapacityRow> capacities,
      String firstPour) {}

  /** How much goes in, in which condition. */
  record CapacityRow(String amount, String condition) {}

  record PositionRow(
      String name, String kind, Optional<Plate> item, int quantity, String torque, String note) {}

  /** A meter with its rate and latest readings. */
  record MeterBlock(
      long id,
      String name,
      String measure,
      String expected,
      String rate,
      Optional<State> silent,
      List<ReadingRow> readings) {}

  record ReadingRow(String day, String value, Optional<State> flag, String why) {}
}
