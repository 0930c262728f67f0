package dev.lonja.app.demo.buying;

import dev.lonja.app.demo.master.DemoMaster;
import dev.lonja.app.demo.shelf.DemoBookings;
import dev.lonja.core.item.Item;
import dev.lonja.core.item.ItemId;
import dev.lonja.core.ledger.ItemStock;
import dev.lonja.core.ledger.Ledger;
import dev.lonja.core.ledger.LotId;
import dev.lonja.core.ledger.LotInBin;
import dev.lonja.core.order.Claim;
import dev.lonja.core.order.OrderId;
import dev.lonja.core.order.OrderLine;
import dev.lonja.core.order.OrderLineId;
import dev.lonja.core.order.Said;
import dev.lonja.core.quantity.Quantity;
import dev.lonja.core.supplier.Supplier;
import dev.lonja.core.supplier.Supply;
import dev.lonja.store.Session;
import java.math.BigDecimal;
import java.time.LocalDate;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.Set;

/**
 * Fourteen months of ordering. What the workshop uses over the counter came by ferry every eight
 * weeks, more or less late; today some orders are open, one of them late, one was cancelled, and
 * what came this morning is the wrong thing.
 */
public final class DemoBuying {

  private static final int DAYS_BACK = 424;
  private static final int DAYS_OF_SHELVES = 61;
  private static final int WEEK = 7;
  private static final long SEED = 4_711;

  /** Each order of the past is so many days after the one before, and so many days late. */
  private static final int ORDERS_APART = 56;

  private static final List<Integer> LATE = List.of(0, 7, 0, 14, 3, 0);

  /** What the workshop uses: by number, how many at the start, and how many come by an order. */
  private static final Map<String, int[]> SUPPLIES = supplies();

  private static Map<String, int[]> supplies() {
    Map<String, int[]> supplies = new LinkedHashMap<>();
    supplies.put("FNL 150", new int[] {5, 5});
    supplies.put("GLV M", new int[] {7, 8});
    supplies.put("TAP 19", new int[] {9, 8});
    supplies.put("CT 300", new int[] {4, 6});
    supplies.put("ABS 10", new int[] {3, 3});
    supplies.put("FUS 15", new int[] {25, 20});
    supplies.put("BUL 24-21", new int[] {20, 10});
    return supplies;
  }

  private final Session session;
  private final LocalDate today;
  private final DemoMaster master;
  private final DemoBookings bookings;
  private final Random random = new Random(SEED);

  public DemoBuying(Session session, LocalDate today, DemoMaster master, DemoBookings bookings) {
    this.session = session;
    this.today = today;
    this.master = master;
    this.bookings = bookings;
  }

  /** The items whose stock comes from these orders. */
  public Set<String> numbers() {
    return SUPPLIES.keySet();
  }

  /**
   * Orders, receipts and issues of the workshop's supplies.
   *
   * @param target by number, how much is to be there when it ends
   */
  public void past(Map<String, Integer> target) {
    LocalDate first = today.minusDays(DAYS_BACK);
    LocalDate last = today.minusDays(DAYS_OF_SHELVES);
    SUPPLIES.forEach(
        (number, amounts) -> receive(item(number), amounts[0], first, Optional.empty()));
    Map<LocalDate, OrderId> arrivals = new LinkedHashMap<>();
    for (int i = 0; i < LATE.size(); i++) {
      LocalDate sent = first.plusDays(WEEK + (long) ORDERS_APART * i);
      OrderId order = order(sent, SUPPLIES);
      LocalDate promised =
          session
              .orders()
              .byId(order)
              .orElseThrow()
              .lines()
              .get(0)
              .fate()
              .promisedOn()
              .orElseThrow();
      arrivals.put(ferry(promised.plusDays(LATE.get(i))), order);
    }
    for (LocalDate day = first.plusDays(1); day.isBefore(last); day = day.plusDays(1)) {
      OrderId arrived = arrivals.remove(day);
      if (arrived != null) {
        receive(arrived, day);
      }
      if (day.toEpochDay() % WEEK == 0) {
        issueSome(target, arrivals.size(), day, last);
      }
    }
  }

  private LocalDate ferry(LocalDate day) {
    return supplier("Cabo Norte Supply").deliveries().arrival(day);
  }

  private Supplier supplier(String name) {
    return session.suppliers().all().stream()
        .filter(supplier -> supplier.name().equals(name))
        .findFirst()
        .orElseThrow();
  }

  private Item item(String number) {
    return session.items().byId(master.item(number)).orElseThrow();
  }

  private OrderId order(LocalDate sent, Map<String, int[]> amounts) {
    Map<String, String> lines = new LinkedHashMap<>();
    amounts.forEach((number, amount) -> lines.put(number, String.valueOf(amount[1])));
    return order("Cabo Norte Supply", sent, lines);
  }

  /**
   * An order that was sent.
   *
   * @param lines by number, how much
   */
  private OrderId order(String supplierName, LocalDate sent, Map<String, String> lines) {
    Supplier supplier = supplier(supplierName);
    OrderId id = session.orders().add(supplier.id(), sent);
    lines.forEach(
        (number, amount) -> {
          Item item = item(number);
          Supply supply =
              session.supplies().of(item.id()).stream()
                  .filter(s -> s.supplier().id().equals(supplier.id()))
                  .findFirst()
                  .orElseThrow();
          session
              .orders()
              .addLine(id, item.id(), supply, Quantity.of(item.measure(), new BigDecimal(amount)));
        });
    session.orders().send(id, sent, supplier.deliveries().arrival(sent, supplier.leadDays()));
    return id;
  }

  private void receive(OrderId id, LocalDate day) {
    for (OrderLine line : session.orders().byId(id).orElseThrow().lines()) {
      long movement =
          receive(
              line.item(),
              line.ordered().amount().intValueExact(),
              day,
              Optional.of("order " + id));
      session.orders().deliver(line.id(), movement, "LN " + (20_000 + id.value()), day);
    }
  }

  private long receive(Item item, int pieces, LocalDate day, Optional<String> reference) {
    ItemStock stock = session.ledger().stockOf(item.id());
    LotId lot = session.lots().addLot(item.id(), day.toString(), day, Optional.empty());
    Quantity quantity = Quantity.pieces(pieces);
    return bookings
        .write(
            item.id(),
            Ledger.receive(
                stock,
                new LotInBin(item.id(), lot, item.homeBin().id()),
                quantity,
                session.supplies().of(item.id()).get(0).costOf(quantity)),
            reference.isEmpty() ? "opening stock" : "",
            reference.orElse(""),
            DemoMaster.morning(day))
        .get(0);
  }

  /** As much as leaves what is to be there in the end, now and then more or less. */
  private void issueSome(
      Map<String, Integer> target, int ordersToCome, LocalDate day, LocalDate last) {
    long weeksLeft = (last.toEpochDay() - day.toEpochDay() - 1) / WEEK;
    SUPPLIES.forEach(
        (number, amounts) -> {
          ItemId id = item(number).id();
          ItemStock stock = session.ledger().stockOf(id);
          int there = stock.onHand().amount().intValueExact();
          int surplus = there + ordersToCome * amounts[1] - target.get(number);
          int spread = random.nextInt(3) - 1;
          int wanted =
              weeksLeft == 0
                  ? surplus
                  : Math.max(0, (int) Math.round((double) surplus / weeksLeft) + spread);
          int issued = Math.min(wanted, Math.min(there, surplus));
          if (issued > 0) {
            bookings.write(
                id,
                Ledger.issue(stock, Quantity.pieces(issued), Quantity.pieces(0), day),
                "workshop",
                "",
                DemoMaster.morning(day));
          }
        });
  }

  /** What is open today. */
  public void open() {
    LocalDate thursday = today.plusDays(3);
    OrderId ferry =
        order(
            "Cabo Norte Supply",
            today.minusDays(7),
            lines(
                "CV 9-7120",
                "2",
                "NT 20 640",
                "1",
                "PL 6620-A",
                "2",
                "TW 5-011",
                "4",
                "Al 14×18×1.5",
                "10",
                "FNL 150",
                "5",
                "GLV M",
                "8"));
    confirm(ferry, thursday, today.minusDays(6));
    OrderId bulk = order("Isla Lubricants", today.minusDays(4), lines("DU 104-4", "8"));
    confirm(bulk, today.plusDays(8), today.minusDays(3));
    late();
    wrong();
    cancelled();
  }

  private static Map<String, String> lines(String... numbersAndAmounts) {
    Map<String, String> lines = new LinkedHashMap<>();
    for (int i = 0; i < numbersAndAmounts.length; i += 2) {
      lines.put(numbersAndAmounts[i], numbersAndAmounts[i + 1]);
    }
    return lines;
  }

  private void confirm(OrderId id, LocalDate promised, LocalDate said) {
    for (OrderLine line : session.orders().byId(id).orElseThrow().lines()) {
      session.orders().confirm(line.id(), promised, Optional.empty());
      session
          .mail()
          .keep(
              id,
              "demo-" + id,
              new Said.Confirmed(line.id(), line.ordered(), Optional.empty(), promised),
              false,
              session.orders().byId(id).orElseThrow().supplier().name(),
              DemoMaster.morning(said));
    }
  }

  /** The ferry did not sail in the storms of the week before. */
  private void late() {
    OrderId id = order("Veldmark Marine Parts", today.minusDays(40), lines("VM 22-1010", "4"));
    confirm(id, today.minusDays(4), today.minusDays(36));
  }

  /** Six came this morning, in the box of another number. */
  private void wrong() {
    OrderId id = order("Osmere Direct", today.minusDays(18), lines("OS 118", "2"));
    confirm(id, today, today.minusDays(16));
    OrderLineId line = session.orders().byId(id).orElseThrow().lines().get(0).id();
    session
        .claims()
        .add(
            line,
            Claim.Kind.WRONG,
            Quantity.pieces(2),
            "the boxes say OS 107",
            today,
            "storekeeper",
            DemoMaster.morning(today));
  }

  private void cancelled() {
    OrderId id = order("Veldmark Marine Parts", today.minusDays(95), lines("VM 41-0100", "2"));
    OrderLine line = session.orders().byId(id).orElseThrow().lines().get(0);
    session.orders().giveUp(line.id(), line.ordered(), "sold out until the summer");
  }
}
