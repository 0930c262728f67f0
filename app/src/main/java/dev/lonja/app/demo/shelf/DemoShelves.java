package dev.lonja.app.demo.shelf;

import de.siegmar.fastcsv.reader.NamedCsvRecord;
import dev.lonja.app.demo.master.DemoMaster;
import dev.lonja.core.item.Item;
import dev.lonja.core.item.ItemId;
import dev.lonja.core.ledger.Booking;
import dev.lonja.core.ledger.ItemStock;
import dev.lonja.core.ledger.Ledger;
import dev.lonja.core.ledger.LotId;
import dev.lonja.core.ledger.LotInBin;
import dev.lonja.core.ledger.StockKey;
import dev.lonja.core.place.BinId;
import dev.lonja.core.place.Place;
import dev.lonja.core.quantity.Money;
import dev.lonja.core.quantity.Quantity;
import dev.lonja.desk.ledger.PackedIssue;
import dev.lonja.store.Session;
import dev.lonja.store.ledger.LotFacts;
import java.math.BigDecimal;
import java.math.RoundingMode;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.Set;

/** What happened on the shelves before today: two months of bookings. */
public final class DemoShelves {

  private static final int DAYS_BACK = 60;
  private static final int OPEN_FOR = 365;

  private final LocalDate today;
  private final DemoMaster master;
  private final Random random;
  private final DemoBookings bookings;

  public DemoShelves(LocalDate today, DemoMaster master, Random random, DemoBookings bookings) {
    this.bookings = bookings;
    this.today = today;
    this.master = master;
    this.random = random;
  }

  /**
   * What lies in an item's home bin at the start of the history.
   *
   * @param pack litres in a pack; empty for pieces
   * @param unitCost in cents per piece or litre
   */
  private record Opening(
      ItemId itemId,
      BinId binId,
      String lot,
      String amount,
      Optional<Quantity> pack,
      long unitCost,
      int goodForDays) {}

  private static List<Opening> openings(Session session) {
    List<Opening> openings = new ArrayList<>();
    for (NamedCsvRecord row : DemoMaster.extra("opening_stock.csv")) {
      Item item = session.items().byId(ItemId.valueOf(row.getField("item_id"))).orElseThrow();
      openings.add(
          new Opening(
              item.id(),
              item.homeBin().id(),
              row.getField("lot"),
              row.getField("amount_pc_or_l"),
              item.pack(),
              Long.parseLong(row.getField("cents_each")),
              Integer.parseInt(row.getField("good_for_days"))));
    }
    return openings;
  }

  /** By number, how much of some items is to lie on the shelves when their history begins. */
  public static Map<String, Integer> targets(Session session, Set<String> numbers) {
    Map<String, Integer> targets = new HashMap<>();
    for (Opening opening : openings(session)) {
      String number = session.items().byId(opening.itemId()).orElseThrow().number();
      if (numbers.contains(number)) {
        targets.put(number, Integer.parseInt(opening.amount()));
      }
    }
    return targets;
  }

  /**
   * Two months on the shelves, oldest first, through the same ledger rules as any booking.
   *
   * @param there the numbers of items that lie there already
   */
  public void stock(Session session, Set<String> there) {
    Instant opened = DemoMaster.morning(today.minusDays(DAYS_BACK));
    List<Opening> openings = openings(session);
    for (Opening opening : openings) {
      if (!there.contains(session.items().byId(opening.itemId()).orElseThrow().number())) {
        receive(session, opening, opened);
      }
    }
    List<Opening> often = new ArrayList<>(openings);
    for (int daysBack = DAYS_BACK - 3; daysBack > 0; daysBack -= 2) {
      Opening pick = often.get(random.nextInt(often.size()));
      issueSome(session, pick, DemoMaster.morning(today.minusDays(daysBack)));
    }
    scrapOne(session, master.item("GLV L"), DemoMaster.morning(today.minusDays(20)));
    countOne(session, master.item("HC 12-16"), DemoMaster.morning(today.minusDays(9)));
    quarantineLot(session, DemoMaster.morning(today.minusDays(5)));
  }

  /** Whole packs in a lot; what is in a pack that was opened in one of its own. */
  private void receive(Session session, Opening opening, Instant at) {
    BigDecimal amount = new BigDecimal(opening.amount());
    BigDecimal open =
        opening.pack().map(pack -> amount.remainder(pack.amount())).orElse(BigDecimal.ZERO);
    LocalDate day = LocalDate.ofInstant(at, ZoneOffset.UTC);
    Optional<LocalDate> expiry =
        opening.goodForDays() == 0
            ? Optional.empty()
            : Optional.of(day.plusDays(opening.goodForDays()));
    LotId lot = session.lots().addLot(opening.itemId(), opening.lot(), day, expiry);
    if (amount.compareTo(open) > 0) {
      receive(session, opening, lot, amount.subtract(open), at);
    }
    if (open.signum() > 0) {
      LotId container = session.lots().addOpenLot(lot, day, Optional.of(day.plusDays(OPEN_FOR)));
      receive(session, opening, container, open, at);
    }
  }

  private void receive(Session session, Opening opening, LotId lot, BigDecimal amount, Instant at) {
    ItemStock stock = session.ledger().stockOf(opening.itemId());
    Quantity quantity = Quantity.of(stock.measure(), amount);
    long cents =
        amount
            .multiply(BigDecimal.valueOf(opening.unitCost()))
            .setScale(0, RoundingMode.HALF_UP)
            .longValueExact();
    Money cost = new Money(cents, stock.value().currency());
    write(
        opening.itemId(),
        Ledger.receive(stock, new LotInBin(opening.itemId(), lot, opening.binId()), quantity, cost),
        "opening stock",
        at);
  }

  private void issueSome(Session session, Opening pick, Instant at) {
    ItemStock stock = session.placeStock().of(StockKey.ofNew(pick.itemId()), Place.MAIN);
    Quantity wanted =
        switch (stock.measure()) {
          case PIECES -> Quantity.pieces(1);
          case LITRES -> Quantity.litres("1.5");
          case KILOGRAMS -> Quantity.kilograms("0.2");
        };
    boolean plenty = stock.onHand().compareTo(wanted.plus(wanted).plus(wanted)) > 0;
    if (plenty) {
      LocalDate day = LocalDate.ofInstant(at, ZoneOffset.UTC);
      Quantity none = Quantity.zero(stock.measure());
      Booking issue = PackedIssue.of(session, stock, wanted, none, day);
      write(pick.itemId(), issue, "over the counter", at);
    }
  }

  private void scrapOne(Session session, ItemId itemId, Instant at) {
    ItemStock stock = session.ledger().stockOf(itemId);
    LotInBin place = session.ledger().lotsOf(itemId).get(0).lot().place();
    write(itemId, Ledger.scrap(stock, place, Quantity.pieces(1)), "box got wet", at);
  }

  private void countOne(Session session, ItemId itemId, Instant at) {
    ItemStock stock = session.ledger().stockOf(itemId);
    LotFacts lot = session.ledger().lotsOf(itemId).get(0);
    Quantity counted = lot.lot().quantity().minus(Quantity.pieces(1));
    write(itemId, Ledger.count(stock, lot.lot().place(), counted), "count, one missing", at);
  }

  /** A second delivery that was set aside: the sealing rings are the wrong size. */
  private void quarantineLot(Session session, Instant at) {
    ItemId itemId = master.item("TM-3308");
    LocalDate day = LocalDate.ofInstant(at, ZoneOffset.UTC);
    LotId lot = session.lots().addQuarantinedLot(itemId, "Q9-0042", day);
    ItemStock stock = session.ledger().stockOf(itemId);
    LotInBin place = new LotInBin(itemId, lot, stock.lots().get(0).place().binId());
    Money cost = new Money(2_600, stock.value().currency());
    write(
        itemId,
        Ledger.receive(stock, place, Quantity.pieces(2), cost),
        "gasket too small, set aside",
        at);
  }

  private void write(ItemId itemId, Booking booking, String reason, Instant at) {
    bookings.write(itemId, booking, reason, "", at);
  }
}
