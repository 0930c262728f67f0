package dev.lonja.desk.waste;

import dev.lonja.core.quantity.Quantity;
import dev.lonja.core.waste.ContainerId;
import dev.lonja.core.waste.WasteContainer;
import dev.lonja.core.waste.WasteKind;
import dev.lonja.desk.request.Refusal;

/** Why something is not done with waste. */
public sealed interface WasteRefusal extends Refusal {

  /** There is no such container. */
  record NoSuchContainer(ContainerId id) implements WasteRefusal {}

  /** It is gathered elsewhere, and streams are never mixed. */
  record NeverMixed(WasteContainer container, WasteKind other) implements WasteRefusal {}

  /** The container does not hold that much more. */
  record NoRoom(WasteContainer container, Quantity room, Quantity asked) implements WasteRefusal {}

  /** What came back of that job is in a container already, if any did. */
  record InAlready(WasteKind kind) implements WasteRefusal {}

  /** No such entry counts, or its container was fetched since. */
  record NoSuchEntry() implements WasteRefusal {}

  /** More than the container holds. */
  record MoreThanFits(WasteContainer container, Quantity asked) implements WasteRefusal {}

  /** Another one is called so. */
  record NameTaken(String name) implements WasteRefusal {}

  /** There is a stream of this kind. */
  record KindTaken(WasteKind kind) implements WasteRefusal {}

  /** There is no such stream. */
  record NoSuchStream() implements WasteRefusal {}
}
