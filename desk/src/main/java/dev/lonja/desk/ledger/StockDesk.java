package dev.lonja.desk.ledger;

import dev.lonja.core.fluid.Product;
import dev.lonja.core.item.BulkStand;
import dev.lonja.core.item.Item;
import dev.lonja.core.item.ItemId;
import dev.lonja.core.ledger.Booking;
import dev.lonja.core.ledger.ItemStock;
import dev.lonja.core.ledger.Ledger;
import dev.lonja.core.ledger.LotId;
import dev.lonja.core.ledger.MovementLine;
import dev.lonja.core.ledger.Place;
import dev.lonja.core.place.BinId;
import dev.lonja.core.quantity.Money;
import dev.lonja.core.quantity.Quantity;
import dev.lonja.desk.clock.StoreClock;
import dev.lonja.desk.person.Allowed;
import dev.lonja.desk.person.KeepersDesk;
import dev.lonja.desk.person.SecondPerson;
import dev.lonja.desk.person.SecondRefusal;
import dev.lonja.desk.request.OnceOnly;
import dev.lonja.desk.request.Outcome;
import dev.lonja.desk.request.Refusal;
import dev.lonja.desk.request.Sent;
import dev.lonja.store.Session;
import dev.lonja.store.audit.Deed;
import dev.lonja.store.audit.Facts;
import dev.lonja.store.audit.Matter;
import dev.lonja.store.ledger.LedgerLine;
import dev.lonja.store.ledger.LotRepository;
import dev.lonja.store.ledger.Posting;
import java.math.BigDecimal;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.springframework.stereotype.Service;

/** Books stock over the counter: issues, receipts, counts, transfers, scrap and corrections. */
@Service
@Allowed.ToKeepStore
public class StockDesk extends KeepersDesk {

  private final OnceOnly once;
  private final StoreClock clock;
  private final SecondPerson second;

  public StockDesk(OnceOnly once, StoreClock clock, SecondPerson second) {
    this.once = once;
    this.clock = clock;
    this.second = second;
  }

  /**
   * A delivery of one item.
   *
   * @param amount in the item's measure
   * @param lotCode empty where the item needs none
   * @param expiresOn the last good day as printed; empty if none is
   * @param cost of the whole delivery, in the store's currency; 0 or more
   * @param note the delivery note; may be empty
   */
  public record Receipt(
      BigDecimal amount,
      String lotCode,
      String bin,
      Optional<LocalDate> expiresOn,
      BigDecimal cost,
      String note,
      Answers answers) {}

  /**
   * What somebody answered to what was asked of a delivery.
   *
   * @param keepApart true if a lot with another date on it is kept apart under its code
   * @param setAside true if what is expired already is taken and set aside
   */
  public record Answers(boolean keepApart, boolean setAside) {
    public static final Answers NONE = new Answers(false, false);
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

  /** Why nothing was booked, beside what the ledger refuses. */
  public sealed interface Refused extends Refusal {}

  /** The item is received with a lot only. */
  public record LotNeeded() implements Refused {}

  /** The lot is here with another date on it. */
  public record OtherExpiry(String lotCode, Optional<LocalDate> here, LocalDate coming)
      implements Refused {}

  /** It is past its last good day on arrival. */
  public record ExpiredOnArrival(LocalDate expiresOn, LocalDate today) implements Refused {}

  /** The lot is set aside already, or is not. */
  public record SetAsideAlready(boolean setAside) implements Refused {}

  /** No bin has this address. */
  public record UnknownBin(String address) implements Refused {}

  /** A stand for bulk holds another product. */
  public record StandHoldsOther(Item.Bin bin, Product there, Product coming) implements Refused {}

  /** The item has no such lot, or there is no such bin. */
  public record NoSuchPlace(LotId lotId, BinId binId) implements Refused {}

  /** The item has no such movement. */
  public record NoSuchMovement(long movementId) implements Refused {}

  /** Issues from usable lots, first expired first out; the amount is in the item's measure. */
  @Allowed.ToKeepStore
  public Outcome issue(Sent sent, ItemId itemId, BigDecimal amount, String reason) {
    return once.run(
        sent,
        session -> {
          ItemStock stock = session.ledger().stockOf(itemId);
          Quantity held =
              session.ledger().held().getOrDefault(itemId, Quantity.zero(stock.measure()));
          Booking booking =
              PackedIssue.of(
                  session, itemId, Quantity.of(stock.measure(), amount), held, clock.today());
          return write(session, itemId, booking, sent, reason);
        });
  }

  /** Receives into a new lot, or adds to one of the same code. */
  @Allowed.ToKeepStore
  public Outcome receive(Sent sent, ItemId itemId, Receipt receipt) {
    return once.run(sent, session -> receive(session, sent, itemId, receipt));
  }

  private Outcome receive(Session session, Sent sent, ItemId itemId, Receipt receipt) {
    Item item = session.items().byId(itemId).orElseThrow();
    Optional<Item.Bin> bin = session.items().binByAddress(receipt.bin());
    Optional<Refused> refusal = notInto(session, item, receipt.bin(), bin);
    if (refusal.isPresent()) {
      return Outcome.refused(refusal.get());
    }
    Optional<LotRepository.NamedLot> here =
        receipt.lotCode().isEmpty()
            ? Optional.empty()
            : session.lots().lotByCode(itemId, receipt.lotCode());
    List<Refused> asked = questions(item, receipt, here);
    if (!asked.isEmpty()) {
      return new Outcome.Refused(asked);
    }
    ItemStock stock = session.ledger().stockOf(itemId);
    Booking booking =
        Ledger.receive(
            stock,
            new Place(itemId, lot(session, item, receipt, here), bin.orElseThrow().id()),
            Quantity.of(stock.measure(), receipt.amount()),
            Money.of(receipt.cost(), stock.value().currency()));
    return write(session, itemId, booking, sent, receipt.note());
  }

  /** What has to be said before a delivery is taken in. */
  private List<Refused> questions(
      Item item, Receipt receipt, Optional<LotRepository.NamedLot> here) {
    List<Refused> asked = new ArrayList<>();
    if (receipt.lotCode().isEmpty() && item.needsLot()) {
      asked.add(new LotNeeded());
    }
    if (isOther(here, receipt) && !receipt.answers().keepApart()) {
      asked.add(
          new OtherExpiry(
              receipt.lotCode(),
              here.orElseThrow().expiresOn(),
              receipt.expiresOn().orElseThrow()));
    }
    receipt
        .expiresOn()
        .filter(clock.today()::isAfter)
        .filter(day -> !receipt.answers().setAside())
        .map(day -> new ExpiredOnArrival(day, clock.today()))
        .ifPresent(asked::add);
    return asked;
  }

  private static boolean isOther(Optional<LotRepository.NamedLot> here, Receipt receipt) {
    return here.isPresent()
        && receipt.expiresOn().isPresent()
        && !receipt.expiresOn().equals(here.get().expiresOn());
  }

  /** The lot that a delivery goes to; without a date of its own it keeps that of the lot here. */
  private LotId lot(
      Session session, Item item, Receipt receipt, Optional<LotRepository.NamedLot> here) {
    LocalDate today = clock.today();
    boolean expired = receipt.expiresOn().filter(today::isAfter).isPresent();
    Optional<LotRepository.NamedLot> same = here.filter(lot -> !expired && !isOther(here, receipt));
    if (same.isPresent()) {
      return same.get().id();
    }
    return session
        .lots()
        .sealed(
            item.id(),
            receipt.lotCode().isEmpty() ? today.toString() : receipt.lotCode(),
            today,
            receipt.expiresOn().or(() -> item.keeping().shelfLifeDays().map(today::plusDays)),
            expired);
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
    List<Refused> refusals = new ArrayList<>();
    Optional<Item.Bin> to = Optional.empty();
    if (asked.what() == OnLot.TRANSFER) {
      to = session.items().binByAddress(asked.toBin());
      Item item = session.items().byId(itemId).orElseThrow();
      notInto(session, item, asked.toBin(), to).ifPresent(refusals::add);
    }
    Optional<Place> there = session.ledger().place(itemId, asked.lotId(), asked.binId());
    if (there.isEmpty()) {
      refusals.add(new NoSuchPlace(asked.lotId(), asked.binId()));
    }
    if (!refusals.isEmpty()) {
      return new Outcome.Refused(refusals);
    }
    boolean aside = asked.what() == OnLot.QUARANTINE;
    boolean splits = aside || asked.what() == OnLot.RELEASE;
    LotId other = splits ? session.lots().lotLike(asked.lotId(), aside) : asked.lotId();
    if (splits && other.equals(asked.lotId())) {
      return Outcome.refused(new SetAsideAlready(aside));
    }
    ItemStock stock = session.ledger().stockOf(itemId);
    Quantity quantity = Quantity.of(stock.measure(), asked.amount());
    Place place = there.orElseThrow();
    Booking booking =
        switch (asked.what()) {
          case COUNT -> Ledger.count(stock, place, quantity);
          case ADJUST -> Ledger.adjust(stock, place, quantity);
          case SCRAP -> Ledger.scrap(stock, place, quantity);
          case TRANSFER -> Ledger.transfer(stock, place, to.orElseThrow().id(), quantity);
          case QUARANTINE, RELEASE -> Ledger.split(stock, place, other, quantity);
        };
    return writeSigned(session, itemId, booking, sent, asked.reason(), signature);
  }

  /** Why an item may not go into a bin. */
  private static Optional<Refused> notInto(
      Session session, Item item, String address, Optional<Item.Bin> bin) {
    if (bin.isEmpty()) {
      return Optional.of(new UnknownBin(address));
    }
    List<Item> there =
        List.copyOf(session.items().byIds(session.ledger().itemsIn(bin.get().id())).values());
    return BulkStand.occupant(item, there)
        .map(other -> new StandHoldsOther(bin.get(), other, item.product().orElseThrow()));
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
            return Outcome.refused(new NoSuchMovement(movementId));
          }
          Booking booking =
              Ledger.correct(
                  session.ledger().stockOf(itemId), session.ledger().movement(movementId));
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
          return writeSigned(session, itemId, booking, sent, reason, signature);
        });
  }

  /**
   * Writes what changes the worth of the stock by a person's word, signed by a second if need be.
   */
  private Outcome writeSigned(
      Session session,
      ItemId itemId,
      Booking booking,
      Sent sent,
      String reason,
      SecondPerson.Signature signature) {
    Optional<SecondRefusal> refusal =
        booking instanceof Booking.Booked booked
            ? booked.lines().stream()
                .map(MovementLine::value)
                .reduce(Money::plus)
                .flatMap(
                    value -> second.refusal(session, sent, value, Matter.ITEM, itemId, signature))
            : Optional.empty();
    return refusal
        .<Outcome>map(Outcome::refused)
        .orElseGet(() -> write(session, itemId, booking, sent, reason));
  }

  private Outcome write(Session session, ItemId itemId, Booking booking, Sent sent, String reason) {
    Posting posting = new Posting(reason, "", sent.key(), sent.actor(), clock.now());
    return Postings.write(session, itemId, booking, posting, 1);
  }
}
