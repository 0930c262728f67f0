package dev.lonja.desk.ledger;

import dev.lonja.core.item.BulkStand;
import dev.lonja.core.item.Item;
import dev.lonja.core.item.ItemId;
import dev.lonja.core.ledger.Booking;
import dev.lonja.core.ledger.ItemStock;
import dev.lonja.core.ledger.Ledger;
import dev.lonja.core.ledger.LotId;
import dev.lonja.core.ledger.LotInBin;
import dev.lonja.core.ledger.StockedLot;
import dev.lonja.core.quantity.Money;
import dev.lonja.core.quantity.Quantity;
import dev.lonja.core.quantity.Temperature;
import dev.lonja.core.tank.Dip;
import dev.lonja.core.tank.Tank;
import dev.lonja.desk.clock.StoreClock;
import dev.lonja.desk.request.Outcome;
import dev.lonja.desk.tank.TankStand;
import dev.lonja.store.Session;
import dev.lonja.store.ledger.LotRepository;
import dev.lonja.store.ledger.Posting;
import java.math.BigDecimal;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;

/** Takes deliveries in, whether they were ordered or not: the same is asked of each. */
public final class Receiving {

  private final Session session;
  private final StoreClock clock;

  public Receiving(Session session, StoreClock clock) {
    this.session = session;
    this.clock = clock;
  }

  /**
   * A delivery of one item.
   *
   * @param amount in the item's measure
   * @param lotCode empty where the item needs none
   * @param expiresOn the last good day as printed; empty if none is
   * @param cost of the whole delivery, in the store's currency; 0 or more
   * @param note the delivery note; may be empty
   * @param warmth as the note states it of what goes into a tank; empty if it does not
   */
  public record Receipt(
      BigDecimal amount,
      String lotCode,
      String bin,
      Optional<LocalDate> expiresOn,
      BigDecimal cost,
      String note,
      Optional<Temperature> warmth,
      Answers answers) {}

  /**
   * What somebody answered to what was asked of a delivery.
   *
   * @param keepApart true if a lot with another date on it is kept apart under its code
   * @param setAside true if it is set aside and not issued, as what is expired has to be
   */
  public record Answers(boolean keepApart, boolean setAside) {
    public static final Answers NONE = new Answers(false, false);
  }

  /**
   * Receives into a new lot, or adds to one of the same code; answers the number of the movement.
   *
   * @param lineNo of the posting, where several deliveries share one
   */
  public Outcome receive(ItemId itemId, Receipt receipt, Posting posting, int lineNo) {
    Item item = session.items().byId(itemId).orElseThrow();
    Optional<Item.Bin> bin = session.items().binByAddress(receipt.bin());
    Optional<StockRefusal> refusal =
        notInto(session, item, receipt.bin(), bin).or(() -> notSoWarm(receipt, bin.orElseThrow()));
    if (refusal.isPresent()) {
      return Outcome.refused(refusal.get());
    }
    Optional<LotRepository.NamedLot> here =
        receipt.lotCode().isEmpty()
            ? Optional.empty()
            : session.lots().lotByCode(itemId, receipt.lotCode());
    List<StockRefusal> asked = questions(item, receipt, here);
    if (!asked.isEmpty()) {
      return new Outcome.Refused(asked);
    }
    ItemStock stock = session.ledger().stockOf(itemId);
    Quantity coming = Quantity.of(stock.measure(), receipt.amount());
    Optional<StockRefusal> full = noRoom(item, bin.orElseThrow(), stock, coming);
    if (full.isPresent()) {
      return Outcome.refused(full.get());
    }
    Booking booking =
        Ledger.receive(
            stock,
            new LotInBin(itemId, lot(item, receipt, here), bin.orElseThrow().id()),
            coming,
            Money.of(receipt.cost(), stock.value().currency()));
    if (booking instanceof Booking.Booked booked
        && Freeze.refusal(session, booked.lines()).isEmpty()) {
      long movement = session.ledger().append(booked.lines(), posting, lineNo).get(0);
      receipt.warmth().ifPresent(warmth -> session.tanks().delivered(movement, warmth));
      return Outcome.done(movement);
    }
    return Postings.write(session, itemId, booking, posting, lineNo);
  }

  /** How warm it came is kept only of what goes into a tank. */
  private Optional<StockRefusal> notSoWarm(Receipt receipt, Item.Bin bin) {
    if (receipt.warmth().isEmpty()) {
      return Optional.empty();
    }
    if (session.tanks().at(bin.id()).isEmpty()) {
      return Optional.of(new StockRefusal.NoTank(bin));
    }
    return receipt.warmth().filter(Dip::isOutside).map(StockRefusal.NoSuchWarmth::new);
  }

  /**
   * Bulk goes only where the most that the bin is to hold leaves room for it; into a tank as much
   * as its last dip and its safe fill leave, too.
   */
  private Optional<StockRefusal> noRoom(Item item, Item.Bin bin, ItemStock stock, Quantity coming) {
    if (!BulkStand.isBulk(item)) {
      return Optional.empty();
    }
    Quantity there =
        stock.lots().stream()
            .filter(lot -> lot.place().binId().equals(bin.id()))
            .map(StockedLot::quantity)
            .reduce(Quantity.zero(stock.measure()), Quantity::plus);
    Stream<Quantity> byBook =
        session.keeping().bins(item.id()).stream()
            .filter(its -> its.binId().equals(bin.id()))
            .map(its -> its.most().minus(there).atLeastZero());
    Stream<Quantity> byDip =
        TankStand.at(session, bin.id(), clock).stream()
            .map(stand -> Quantity.of(stand.level().room()));
    return Stream.concat(byBook, byDip)
        .min(Quantity::compareTo)
        .filter(room -> coming.compareTo(room) > 0)
        .map(room -> new StockRefusal.NoRoom(bin, room, coming));
  }

  /** What has to be said before a delivery is taken in. */
  private List<StockRefusal> questions(
      Item item, Receipt receipt, Optional<LotRepository.NamedLot> here) {
    List<StockRefusal> asked = new ArrayList<>();
    if (receipt.lotCode().isEmpty() && item.needsLot()) {
      asked.add(new StockRefusal.LotNeeded());
    }
    if (isOther(here, receipt) && !receipt.answers().keepApart()) {
      asked.add(
          new StockRefusal.OtherExpiry(
              receipt.lotCode(),
              here.orElseThrow().expiresOn(),
              receipt.expiresOn().orElseThrow()));
    }
    receipt
        .expiresOn()
        .filter(clock.today()::isAfter)
        .filter(day -> !receipt.answers().setAside())
        .map(day -> new StockRefusal.ExpiredOnArrival(day, clock.today()))
        .ifPresent(asked::add);
    return asked;
  }

  private static boolean isOther(Optional<LotRepository.NamedLot> here, Receipt receipt) {
    return here.isPresent()
        && receipt.expiresOn().isPresent()
        && !receipt.expiresOn().equals(here.get().expiresOn());
  }

  /** The lot that a delivery goes to; without a date of its own it keeps that of the lot here. */
  private LotId lot(Item item, Receipt receipt, Optional<LotRepository.NamedLot> here) {
    LocalDate today = clock.today();
    boolean aside = receipt.answers().setAside();
    Optional<LotRepository.NamedLot> same = here.filter(lot -> !aside && !isOther(here, receipt));
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
            aside);
  }

  /** Why an item may not go into a bin. */
  public static Optional<StockRefusal> notInto(
      Session session, Item item, String address, Optional<Item.Bin> bin) {
    if (bin.isEmpty()) {
      return Optional.of(new StockRefusal.UnknownBin(address));
    }
    Optional<Tank> tank = session.tanks().at(bin.get().id());
    if (tank.isPresent() && !tank.get().itemId().equals(item.id())) {
      Item held = session.items().byId(tank.get().itemId()).orElseThrow();
      return Optional.of(new StockRefusal.TankHoldsOther(bin.get(), tank.get(), held));
    }
    List<Item> there =
        List.copyOf(session.items().byIds(session.ledger().itemsIn(bin.get().id())).values());
    return BulkStand.occupant(item, there)
        .map(
            other ->
                new StockRefusal.StandHoldsOther(bin.get(), other, item.product().orElseThrow()));
  }
}
