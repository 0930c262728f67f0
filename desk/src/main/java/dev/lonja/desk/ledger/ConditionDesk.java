package dev.lonja.desk.ledger;

import dev.lonja.core.item.Item;
import dev.lonja.core.item.ItemId;
import dev.lonja.core.ledger.Booking;
import dev.lonja.core.ledger.ChangeOfCondition;
import dev.lonja.core.ledger.LotCondition;
import dev.lonja.core.ledger.LotId;
import dev.lonja.core.ledger.LotInBin;
import dev.lonja.core.ledger.MovementKind;
import dev.lonja.core.ledger.MovementLine;
import dev.lonja.core.ledger.StockKey;
import dev.lonja.core.place.BinId;
import dev.lonja.core.quantity.Measure;
import dev.lonja.core.quantity.Money;
import dev.lonja.core.quantity.Quantity;
import dev.lonja.desk.clock.StoreClock;
import dev.lonja.desk.person.Allowed;
import dev.lonja.desk.person.KeepersDesk;
import dev.lonja.desk.person.SecondPerson;
import dev.lonja.desk.request.OnceOnly;
import dev.lonja.desk.request.Outcome;
import dev.lonja.desk.request.Sent;
import dev.lonja.store.Session;
import java.math.BigDecimal;
import java.util.Optional;
import java.util.stream.Stream;
import org.springframework.stereotype.Service;

/** What is on the shelf in another condition than new: kept, found to be so, or made good again. */
@Service
@Allowed.ToKeepStore
public class ConditionDesk extends KeepersDesk {

  private final OnceOnly once;
  private final StoreClock clock;
  private final SignedPostings signed;

  public ConditionDesk(OnceOnly once, StoreClock clock, SignedPostings signed) {
    this.once = once;
    this.clock = clock;
    this.signed = signed;
  }

  /**
   * A part that came off a machine.
   *
   * @param condition used, good, or to recondition
   * @param bin its address
   * @param from where it came off
   * @param worth of all of it, in the store's currency; 0 or more
   */
  public record Kept(
      BigDecimal amount,
      LotCondition condition,
      String bin,
      String from,
      BigDecimal worth,
      String reason) {}

  /** Puts a part that came off a machine on the shelf. */
  @Allowed.ToKeepStore
  public Outcome salvage(Sent sent, ItemId itemId, Kept kept, SecondPerson.Signature signature) {
    return once.run(
        sent,
        session -> {
          Item item = session.items().byId(itemId).orElseThrow();
          Optional<Item.Bin> bin = session.items().binByAddress(kept.bin());
          var refusals =
              Stream.concat(
                      Salvage.refusal(session, item).stream(),
                      Receiving.notInto(session, item, kept.bin(), bin).stream())
                  .toList();
          if (!refusals.isEmpty()) {
            return new Outcome.Refused(refusals);
          }
          Salvage salvage =
              new Salvage(
                  item,
                  kept.condition(),
                  Quantity.of(Measure.PIECES, kept.amount()),
                  bin.orElseThrow().id(),
                  kept.from(),
                  clock.today(),
                  Money.of(kept.worth(), session.settings().currency()));
          return signed.write(
              session, itemId, salvage.booking(session), sent, kept.reason(), signature);
        });
  }

  /**
   * A change of part of a lot in one bin.
   *
   * @param condition that it is in from now on
   * @param cost of the work on it, in the store's currency; 0 or more
   */
  public record Change(
      LotId lotId,
      BinId binId,
      BigDecimal amount,
      LotCondition condition,
      BigDecimal cost,
      String reason) {}

  /**
   * Puts part of a lot into another condition. What was to be reconditioned and is good again is
   * reconditioned; all else is found to be in another condition than it was taken for.
   */
  @Allowed.ToKeepStore
  public Outcome change(Sent sent, ItemId itemId, Change asked, SecondPerson.Signature signature) {
    return once.run(
        sent,
        session ->
            session
                .ledger()
                .place(itemId, asked.lotId(), asked.binId())
                .map(place -> change(session, sent, place, asked, signature))
                .orElseGet(
                    () ->
                        Outcome.refused(
                            new StockRefusal.NoSuchPlace(asked.lotId(), asked.binId()))));
  }

  private Outcome change(
      Session session, Sent sent, LotInBin from, Change asked, SecondPerson.Signature signature) {
    LotCondition before = session.lots().conditionOf(from.lotId());
    if (asked.condition() == LotCondition.NEW) {
      return Outcome.refused(new StockRefusal.IsNeverNew());
    }
    if (before == asked.condition()) {
      return Outcome.refused(new StockRefusal.IsInCondition(before));
    }
    ItemId itemId = from.itemId();
    Item item = session.items().byId(itemId).orElseThrow();
    Optional<StockRefusal> waste = Salvage.refusal(session, item);
    if (waste.isPresent()) {
      return Outcome.refused(waste.get());
    }
    boolean worked =
        before == LotCondition.TO_RECONDITION && asked.condition() == LotCondition.USED_GOOD;
    ChangeOfCondition change =
        new ChangeOfCondition(
            worked ? MovementKind.RECONDITIONED : MovementKind.REGRADED,
            from,
            session.lots().lotLike(from.lotId(), asked.condition()),
            Money.of(asked.cost(), session.settings().currency()));
    Quantity quantity = Quantity.of(Measure.PIECES, asked.amount());
    Booking left = change.leaving(session.ledger().stockOf(new StockKey(itemId, before)), quantity);
    return signed.write(
        session,
        itemId,
        both(session, change, asked.condition(), quantity, left),
        sent,
        asked.reason(),
        signature);
  }

  /** Both halves, or why there is none. */
  private static Booking both(
      Session session,
      ChangeOfCondition change,
      LotCondition condition,
      Quantity quantity,
      Booking left) {
    if (!(left instanceof Booking.Booked out)) {
      return left;
    }
    StockKey key = new StockKey(change.from().itemId(), condition);
    Booking joined = change.joining(session.ledger().stockOf(key), quantity, out);
    if (!(joined instanceof Booking.Booked in)) {
      return joined;
    }
    Stream<MovementLine> lines = Stream.concat(out.lines().stream(), in.lines().stream());
    return new Booking.Booked(lines.toList());
  }
}
