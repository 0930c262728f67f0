package dev.lonja.desk.order;

import dev.lonja.core.crossref.Verdict;
import dev.lonja.core.item.Item;
import dev.lonja.desk.crossref.StandIns;
import dev.lonja.desk.find.ScannedItems;
import dev.lonja.store.Session;
import java.util.List;
import java.util.Optional;

/** Something that came in place of what was ordered, and whether it may be kept. */
final class InPlaceOf {

  private final StandIns standIns;
  private final Item ordered;
  private final String code;
  private final List<Item> came;

  InPlaceOf(Session session, StandIns standIns, Item ordered, String code) {
    this.standIns = standIns;
    this.ordered = ordered;
    this.code = code;
    this.came = ScannedItems.of(session, code);
  }

  /** The thing that came; empty if the code is not of exactly one. */
  Optional<Item> item() {
    return came.size() == 1 ? Optional.of(came.get(0)) : Optional.empty();
  }

  /** How it does; empty if it is not one thing, or no source offers it for what was ordered. */
  Optional<StandIns.StandIn> standIn() {
    return item().flatMap(item -> standIns.of(ordered, item));
  }

  /**
   * Why it is not taken in; empty if it is.
   *
   * @param isKept true if somebody said to keep it
   */
  Optional<OrderRefusal> refusal(boolean isKept) {
    if (came.size() != 1) {
      return Optional.of(new OrderRefusal.NotOneItem(code, came.size()));
    }
    Item item = came.get(0);
    if (item.id().equals(ordered.id())) {
      return Optional.empty();
    }
    if (item.measure() != ordered.measure()) {
      return Optional.of(new OrderRefusal.OtherMeasure(item, ordered));
    }
    Optional<StandIns.StandIn> standIn = standIn();
    if (standIn.filter(one -> one.verdict() != Verdict.DOES_NOT_FIT).isEmpty()) {
      return Optional.of(new OrderRefusal.DoesNotFit(item, ordered, standIn));
    }
    return isKept
        ? Optional.empty()
        : Optional.of(new OrderRefusal.KeepInstead(item, ordered, standIn.get()));
  }
}
