package dev.lonja.web.item;

import dev.lonja.core.item.Item;
import dev.lonja.core.ledger.ItemStock;
import dev.lonja.core.ledger.StockedLot;
import dev.lonja.core.quantity.Quantity;
import dev.lonja.store.LonjaStore;
import dev.lonja.store.Session;
import dev.lonja.store.audit.AuditLog;
import dev.lonja.store.ledger.LotFacts;
import dev.lonja.web.clock.StoreClock;
import dev.lonja.web.frame.Drum;
import dev.lonja.web.frame.Plate;
import dev.lonja.web.frame.State;
import dev.lonja.web.frame.Words;
import dev.lonja.web.ledger.MovementRow;
import dev.lonja.web.request.OnceOnly;
import dev.lonja.web.request.Outcome;
import dev.lonja.web.request.Problem;
import dev.lonja.web.request.Sent;
import dev.lonja.web.request.Typed;
import dev.lonja.web.security.Allowed;
import java.time.LocalDate;
import java.util.Optional;
import org.springframework.stereotype.Service;

/** Shows an item and edits it. */
@Service
public class ItemDesk {

  private static final int LATEST_MOVEMENTS = 60;
  private static final int LONGEST_DESCRIPTION = 120;

  private final LonjaStore store;
  private final StoreClock clock;
  private final OnceOnly once;

  /** An edit as typed, with the version it was based on. */
  public record Edit(long version, String description, String homeBin) {}

  public ItemDesk(LonjaStore store, StoreClock clock, OnceOnly once) {
    this.store = store;
    this.clock = clock;
    this.once = once;
  }

  /** The item page; empty for an unknown item. */
  public Optional<ItemView> view(long itemId) {
    return store.read(session -> session.items().byId(itemId).map(item -> view(session, item)));
  }

  /**
   * Writes an edit. If someone else changed the item since the form was shown it is refused with a
   * problem on the field {@code version}.
   */
  @Allowed.ToKeepStore
  public Outcome edit(Sent sent, long itemId, Edit edit) {
    return once.run(sent, session -> edit(session, sent, itemId, edit));
  }

  private Outcome edit(Session session, Sent sent, long itemId, Edit edit) {
    Item before = session.items().byId(itemId).orElseThrow();
    Typed typed = new Typed();
    Optional<String> description =
        typed.text("description", "The description", edit.description(), LONGEST_DESCRIPTION);
    Optional<Item.Bin> bin = session.items().binByAddress(edit.homeBin().strip());
    if (bin.isEmpty()) {
      typed.refuse(
          "homeBin", "There is no bin \"" + edit.homeBin().strip() + "\". Write one such as A-03.");
    }
    if (!typed.problems().isEmpty()) {
      return new Outcome.Refused(typed.problems());
    }
    boolean written =
        session
            .items()
            .update(itemId, edit.version(), description.orElseThrow(), bin.orElseThrow().id());
    if (!written) {
      return Outcome.refused(
          new Problem("version", "Someone else changed this item while you were editing it."));
    }
    session
        .audit()
        .add(
            "item",
            itemId,
            new AuditLog.Line(
                "edited",
                before.description() + " · " + before.homeBin().address(),
                description.get() + " · " + bin.get().address(),
                sent.actor(),
                clock.now()));
    return new Outcome.Done("/items/" + itemId);
  }

  private ItemView view(Session session, Item item) {
    LocalDate today = clock.today();
    ItemStock stock = session.ledger().stockOf(item.id());
    Quantity none = Quantity.zero(item.measure());
    Quantity held = session.ledger().held().getOrDefault(item.id(), none);
    return new ItemView(
        Plate.of(item),
        item.product().map(Drum::of),
        item.description(),
        item.family().words(),
        item.measure().symbol(),
        item.homeBin().address(),
        item.version(),
        stock.onHand().display(),
        stock.usable(today).minus(held).atLeastZero().display(),
        held.isPositive() ? held.display() + " on trays" : "",
        stock.value().display(),
        stock.average().display(),
        session.fleet().unitsThatUse(item.id()),
        session.ledger().lotsOf(item.id()).stream().map(lot -> lotRow(lot, today)).toList(),
        session.ledger().latest(item.id(), LATEST_MOVEMENTS).stream()
            .map(line -> MovementRow.of(line, item, clock))
            .toList());
  }

  private static ItemView.LotRow lotRow(LotFacts facts, LocalDate today) {
    StockedLot lot = facts.lot();
    return new ItemView.LotRow(
        lot.place().lotId(),
        lot.place().binId(),
        facts.binAddress(),
        facts.lotCode(),
        Words.day(lot.receivedOn(), today),
        lot.expiresOn().map(day -> Words.day(day, today)).orElse("none"),
        lot.quantity().display(),
        lotState(lot, today));
  }

  private static Optional<State> lotState(StockedLot lot, LocalDate today) {
    if (lot.quarantined()) {
      return Optional.of(State.ofShort("quarantined"));
    }
    return lot.isExpired(today) ? Optional.of(State.ofShort("expired")) : Optional.empty();
  }
}
