package dev.lonja.web.buy;

import dev.lonja.core.order.OrderId;
import dev.lonja.core.order.OrderLineId;
import dev.lonja.web.crossref.PartFacts;
import dev.lonja.web.frame.Plate;
import dev.lonja.web.frame.State;
import java.util.List;
import java.util.Optional;

/**
 * What is awaited at the door.
 *
 * @param scanned what was scanned; empty if all is shown
 * @param inPlace what it may have come for, if it is not awaited itself
 */
public record DoorView(String summary, String scanned, List<Row> rows, List<InPlace> inPlace) {

  /** A line for which what was scanned may have come, and how it does there. */
  public record InPlace(Row row, String verdict) {}

  /** A line that is awaited. */
  public record Row(
      OrderId order, OrderLineId line, Plate plate, String supplier, String what, State state) {}

  /**
   * One line at the door.
   *
   * @param compare what the sample is held against
   * @param proposed what the form begins with
   */
  public record Line(Row row, Compare compare, Proposed proposed) {}

  /** What the sample is held against: its properties, and what is to be in its box. */
  public record Compare(List<PartFacts.Fact> facts, String box, boolean hasPicture) {}

  /**
   * What the form begins with.
   *
   * @param measure pc, L or kg
   * @param putAway how it is shared out over bins; empty if all of it goes home
   * @param lot as it was scanned, if it was
   */
  public record Proposed(
      String measure,
      String quantity,
      String cost,
      String bin,
      String putAway,
      boolean needsLot,
      Optional<String> lot,
      Optional<String> expires) {}
}
