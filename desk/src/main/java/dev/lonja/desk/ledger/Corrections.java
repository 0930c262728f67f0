package dev.lonja.desk.ledger;

import dev.lonja.core.item.ItemId;
import dev.lonja.core.ledger.Booking;
import dev.lonja.core.ledger.Ledger;
import dev.lonja.core.ledger.LotCondition;
import dev.lonja.core.ledger.MovementLine;
import dev.lonja.core.ledger.PastMovement;
import dev.lonja.core.ledger.Refusal;
import dev.lonja.core.ledger.StockKey;
import dev.lonja.store.Session;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.stream.Collectors;

/** Undoes movements that belong together, whatever conditions of the item they moved. */
public final class Corrections {

  private Corrections() {}

  /** The lines of all of them, or every reason against any. */
  public static Booking of(Session session, ItemId itemId, List<PastMovement> movements) {
    Map<LotCondition, List<PastMovement>> byCondition =
        movements.stream()
            .collect(
                Collectors.groupingBy(PastMovement::condition, TreeMap::new, Collectors.toList()));
    List<MovementLine> lines = new ArrayList<>();
    List<Refusal> reasons = new ArrayList<>();
    byCondition.forEach(
        (condition, moved) -> {
          StockKey key = new StockKey(itemId, condition);
          Booking booking = Ledger.correct(session.ledger().stockOf(key), moved);
          if (booking instanceof Booking.Booked booked) {
            lines.addAll(booked.lines());
          } else {
            reasons.addAll(((Booking.Refused) booking).reasons());
          }
        });
    return reasons.isEmpty() ? new Booking.Booked(lines) : new Booking.Refused(reasons);
  }
}
