package dev.lonja.desk.ledger;

import dev.lonja.core.item.Item;
import dev.lonja.core.item.ItemId;
import dev.lonja.core.ledger.Booking;
import dev.lonja.core.ledger.ItemStock;
import dev.lonja.core.ledger.Ledger;
import dev.lonja.core.ledger.LotCondition;
import dev.lonja.core.ledger.LotId;
import dev.lonja.core.ledger.LotInBin;
import dev.lonja.core.ledger.StockKey;
import dev.lonja.core.place.BinId;
import dev.lonja.core.place.Place;
import dev.lonja.core.quantity.Quantity;
import dev.lonja.desk.clock.StoreClock;
import dev.lonja.desk.person.Allowed;
import dev.lonja.desk.person.KeepersDesk;
import dev.lonja.desk.person.SecondPerson;
import dev.lonja.desk.request.OnceOnly;
import dev.lonja.desk.request.Outcome;
import dev.lonja.desk.request.Sent;
import dev.lonja.store.Session;
import dev.lonja.store.audit.Deed;
import dev.lonja.store.audit.Facts;
import dev.lonja.store.audit.Matter;
import dev.lonja.store.ledger.LedgerLine;
import dev.lonja.store.ledger.Posting;
import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.springframework.stereotype.Service;

/** Books stock over the counter: issues, receipts, counts, transfers, scrap and corrections. */
@Service
@Allowed.ToKeepStore
public class StockDesk extends KeepersDesk {

  private final OnceOnly once;
  private final StoreClock clock;
  private final SignedPostings signed;

  public StockDesk(OnceOnly once, StoreClock clock, SignedPostings signed) {
    this.once = once;
    this.clock = clock;
    this.signed = signed;
  }

  /** What may be done with one lot in one bin. */
  public enum OnLot {
    COUNT,
    /** More or less by so much. */
    ADJUST,
    SCRAP,
    TRANSFER,
    /** So much is set aside and not issued. */
    QUARANTINE,
    /** So much is let go again. */
    RELEASE
  }

  /**
   * A booking on one lot in one bin.
   *
   * @param amount in the item's measure
   * @param toBin where a transfer goes; not used for what else is done
   */
  public record LotBooking(
      OnLot what, LotId lotId, BinId binId, BigDecimal amount, String toBin, String reason) {}

  /**
   * Issues from usable lots of a place in one condition, first expired first out; the amount is in
   * the item's measure.
   */
  @Allowed.ToKeepStore
  public Outcome issue(Sent sent, StockKey key, Place from, BigDecimal amount, String reason) {
    return once.run(
        sent,
        session -> {
          ItemStock stock = session.placeStock().of(key, from);
          Booking booking =
              PackedIssue.of(
                  session,
                  stock,
                  Quantity.of(stock.measure(), amount),
                  session.placeStock().held(stock, from),
                  clock.today());
          return write(session, key.itemId(), booking, sent, reason);
        });
  }

  /** Receives into a new lot, or adds to one of the same code. */
  @Allowed.ToKeepStore
  public Outcome receive(Sent sent, ItemId itemId, Receiving.Receipt receipt) {
    return once.run(
        sent,
        session ->
            new Receiving(session, clock)
                .receive(
                    itemId,
                    receipt,
                    new Posting(receipt.note(), "", sent.key(), sent.actor(), clock.now()),
                    1));
  }

  /**
   * Counts, scraps or transfers one lot in one bin, adjusts it by more or less, sets part of it
   * aside or lets it go again.
   */
  @Allowed.ToKeepStore
  public Outcome onLot(
      Sent sent, ItemId itemId, LotBooking asked, SecondPerson.Signature signature) {
    return once.run(sent, session -> onLot(session, sent, itemId, asked, signature));
  }

  private Outcome onLot(
      Session session,
      Sent sent,
      ItemId itemId,
      LotBooking asked,
      SecondPerson.Signature signature) {
    List<StockRefusal> refusals = new ArrayList<>();
    Optional<Item.Bin> to = Optional.empty();
    if (asked.what() == OnLot.TRANSFER) {
      to = session.items().binByAddress(asked.toBin());
      Item item = session.items().byId(itemId).orElseThrow();
      Receiving.notInto(session, item, asked.toBin(), to).ifPresent(refusals::add);
    }
    Optional<LotInBin> there = session.ledger().place(itemId, asked.lotId(), asked.binId());
    if (there.isEmpty()) {
      refusals.add(new StockRefusal.NoSuchPlace(asked.lotId(), asked.binId()));
    }
    if (!refusals.isEmpty()) {
      return new Outcome.Refused(refusals);
    }
    boolean aside = asked.what() == OnLot.QUARANTINE;
    boolean splits = aside || asked.what() == OnLot.RELEASE;
    LotId other = splits ? session.lots().lotLike(asked.lotId(), aside) : asked.lotId();
    if (splits && other.equals(asked.lotId())) {
      return Outcome.refused(new StockRefusal.SetAsideAlready(aside));
    }
    LotInBin place = there.orElseThrow();
    ItemStock stock =
        session.ledger().stockOf(new StockKey(itemId, session.lots().conditionOf(place.lotId())));
    Optional<StockRefusal> away = to.flatMap(bin -> toAnotherPlace(session, stock, place, bin));
    if (away.isPresent()) {
      return Outcome.refused(away.get());
    }
    Quantity quantity = Quantity.of(stock.measure(), asked.amount());
    Booking booking =
        switch (asked.what()) {
          case COUNT -> Ledger.count(stock, place, quantity);
          case ADJUST -> Ledger.adjust(stock, place, quantity);
          case SCRAP -> Ledger.scrap(stock, place, quantity);
          case TRANSFER -> Ledger.transfer(stock, place, to.orElseThrow().id(), quantity);
          case QUARANTINE, RELEASE -> Ledger.split(stock, place, other, quantity);
        };
    return signed.write(session, itemId, booking, sent, asked.reason(), signature);
  }

  /** What a transfer carries goes by one; used parts and what is set aside are carried over. */
  private static Optional<StockRefusal> toAnotherPlace(
      Session session, ItemStock stock, LotInBin from, Item.Bin to) {
    Map<BinId, Place> places = session.places().ofBins();
    boolean carried =
        stock.key().condition() == LotCondition.NEW
            && stock.lots().stream()
                .anyMatch(lot -> lot.place().equals(from) && !lot.quarantined());
    return places.get(from.binId()).equals(to.place()) || !carried
        ? Optional.empty()
        : Optional.of(
            new StockRefusal.AtAnotherPlace(to, session.places().names().get(to.place())));
  }

  /** Undoes a movement by another that refers to it. */
  @Allowed.ToKeepStore
  public Outcome correct(
      Sent sent, ItemId itemId, long movementId, String reason, SecondPerson.Signature signature) {
    return once.run(
        sent,
        session -> {
          Optional<LedgerLine> line =
              session.ledger().line(movementId).filter(l -> l.itemId().equals(itemId));
          if (line.isEmpty()) {
            return Outcome.refused(new StockRefusal.NoSuchMovement(movementId));
          }
          Booking booking =
              Corrections.of(session, itemId, session.pastMovements().undoneTogether(movementId));
          session
              .audit()
              .add(
                  sent.line(
                      clock.now(),
                      Matter.ITEM,
                      itemId,
                      Deed.CORRECTED,
                      Facts.of("movement_id", movementId),
                      Facts.of("reason", reason)));
          return signed.write(session, itemId, booking, sent, reason, signature);
        });
  }

  private Outcome write(Session session, ItemId itemId, Booking booking, Sent sent, String reason) {
    return Postings.write(
        session,
        itemId,
        booking,
        new Posting(reason, "", sent.key(), sent.actor(), clock.now()),
        1);
  }
}
