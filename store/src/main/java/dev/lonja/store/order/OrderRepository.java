package dev.lonja.store.order;

import static dev.lonja.store.schema.Tables.DELIVERY_LINE;
import static dev.lonja.store.schema.Tables.ITEM;
import static dev.lonja.store.schema.Tables.MOVEMENT;
import static dev.lonja.store.schema.Tables.ORDER_LINE;
import static dev.lonja.store.schema.Tables.SUPPLY_ORDER;

import dev.lonja.core.item.Item;
import dev.lonja.core.item.ItemId;
import dev.lonja.core.ledger.MovementKind;
import dev.lonja.core.order.Coming;
import dev.lonja.core.order.Order;
import dev.lonja.core.order.OrderId;
import dev.lonja.core.order.OrderLine;
import dev.lonja.core.order.OrderLineId;
import dev.lonja.core.quantity.Measure;
import dev.lonja.core.quantity.Quantity;
import dev.lonja.core.quantity.UnitPrice;
import dev.lonja.core.supplier.Supplier;
import dev.lonja.core.supplier.SupplierId;
import dev.lonja.core.supplier.Supply;
import dev.lonja.store.item.ItemRepository;
import dev.lonja.store.supplier.SupplierRepository;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Currency;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import org.jooq.Condition;
import org.jooq.DSLContext;
import org.jooq.Field;
import org.jooq.Record;
import org.jooq.impl.DSL;

/** What is ordered of suppliers; a change checks the version it was based on. */
public final class OrderRepository {

  private static final Field<Long> RECEIVED = received();

  private final DSLContext context;
  private final Currency currency;

  public OrderRepository(DSLContext context, Currency currency) {
    this.context = context;
    this.currency = currency;
  }

  /** What came of a line, without what was booked back. */
  private static Field<Long> received() {
    return DSL.coalesce(
            DSL.field(
                DSL.select(DSL.sum(MOVEMENT.QUANTITY_MICRO).cast(Long.class))
                    .from(DELIVERY_LINE)
                    .join(MOVEMENT)
                    .on(MOVEMENT.ID.eq(DELIVERY_LINE.MOVEMENT_ID))
                    .where(DELIVERY_LINE.ORDER_LINE_ID.eq(ORDER_LINE.ID), isBooked())),
            DSL.inline(0L))
        .as("received");
  }

  /** True of a movement that was not booked back. */
  static Condition isBooked() {
    var undone = MOVEMENT.as("undone");
    return DSL.notExists(
        DSL.selectOne()
            .from(undone)
            .where(
                undone.REFERS_TO.eq(MOVEMENT.ID), undone.KIND.eq(MovementKind.CORRECTION.name())));
  }

  /** Begins an order; it has no lines yet. */
  public OrderId add(SupplierId supplierId, LocalDate today) {
    return context
        .insertInto(SUPPLY_ORDER)
        .set(SUPPLY_ORDER.SUPPLIER_ID, supplierId)
        .set(SUPPLY_ORDER.NOTE, "")
        .set(SUPPLY_ORDER.MADE_ON, today)
        .returning(SUPPLY_ORDER.ID)
        .fetchSingle(SUPPLY_ORDER.ID);
  }

  /** Adds a line on the terms of today. */
  public OrderLineId addLine(OrderId id, ItemId itemId, Supply supply, Quantity quantity) {
    return context
        .insertInto(ORDER_LINE)
        .set(ORDER_LINE.ORDER_ID, id)
        .set(ORDER_LINE.ITEM_ID, itemId)
        .set(ORDER_LINE.ORDER_NUMBER, supply.orderNumber())
        .set(ORDER_LINE.QUANTITY_MICRO, quantity.millionths())
        .set(ORDER_LINE.PACK_MICRO, supply.pack().millionths())
        .set(ORDER_LINE.PRICE_E4, supply.prices().at(quantity).tenThousandthsOfMinor())
        .returning(ORDER_LINE.ID)
        .fetchSingle(ORDER_LINE.ID);
  }

  /** Changes how much a draft asks for, and thereby what one costs. */
  public void setQuantity(OrderLineId id, Supply supply, Quantity quantity) {
    context
        .update(ORDER_LINE)
        .set(ORDER_LINE.QUANTITY_MICRO, quantity.millionths())
        .set(ORDER_LINE.PRICE_E4, supply.prices().at(quantity).tenThousandthsOfMinor())
        .where(ORDER_LINE.ID.eq(id))
        .execute();
  }

  /** Takes a line off a draft. */
  public void strike(OrderLineId id) {
    context.deleteFrom(ORDER_LINE).where(ORDER_LINE.ID.eq(id)).execute();
  }

  /** Throws a draft away. */
  public void delete(OrderId id) {
    context.deleteFrom(ORDER_LINE).where(ORDER_LINE.ORDER_ID.eq(id)).execute();
    context.deleteFrom(SUPPLY_ORDER).where(SUPPLY_ORDER.ID.eq(id)).execute();
  }

  /** Counts a change of an order, so that whoever looks at an earlier state of it is told. */
  public void changed(OrderId id) {
    context
        .update(SUPPLY_ORDER)
        .set(SUPPLY_ORDER.VERSION, SUPPLY_ORDER.VERSION.plus(1))
        .where(SUPPLY_ORDER.ID.eq(id))
        .execute();
  }

  public void setNote(OrderId id, String note) {
    context
        .update(SUPPLY_ORDER)
        .set(SUPPLY_ORDER.NOTE, note)
        .where(SUPPLY_ORDER.ID.eq(id))
        .execute();
  }

  /** It is sent, and all of it promised for a day that nobody has confirmed yet. */
  public void send(OrderId id, LocalDate today, LocalDate promisedOn) {
    context
        .update(SUPPLY_ORDER)
        .set(SUPPLY_ORDER.SENT_ON, today)
        .where(SUPPLY_ORDER.ID.eq(id))
        .execute();
    context
        .update(ORDER_LINE)
        .set(ORDER_LINE.PROMISED_ON, promisedOn)
        .where(ORDER_LINE.ORDER_ID.eq(id))
        .execute();
  }

  /**
   * The supplier said yes to a line.
   *
   * @param price what they ask for it; empty if nothing was said of that
   */
  public void confirm(OrderLineId id, LocalDate promisedOn, Optional<UnitPrice> price) {
    var update =
        context
            .update(ORDER_LINE)
            .set(ORDER_LINE.PROMISED_ON, promisedOn)
            .set(ORDER_LINE.CONFIRMED, 1L);
    price.ifPresent(said -> update.set(ORDER_LINE.SAID_PRICE_E4, said.tenThousandthsOfMinor()));
    update.where(ORDER_LINE.ID.eq(id)).execute();
  }

  /**
   * Nobody waits for so much of a line any more.
   *
   * @param all that will not come, with what was given up before
   */
  public void giveUp(OrderLineId id, Quantity all, String why) {
    context
        .update(ORDER_LINE)
        .set(ORDER_LINE.GIVEN_UP_MICRO, all.millionths())
        .set(ORDER_LINE.GIVEN_UP_WHY, all.isZero() ? "" : why)
        .where(ORDER_LINE.ID.eq(id))
        .execute();
  }

  /** A line's delivery was taken in by a movement. */
  public void deliver(OrderLineId id, long movementId, String deliveryNote, LocalDate receivedOn) {
    context
        .insertInto(DELIVERY_LINE)
        .set(DELIVERY_LINE.ORDER_LINE_ID, id)
        .set(DELIVERY_LINE.MOVEMENT_ID, movementId)
        .set(DELIVERY_LINE.DELIVERY_NOTE, deliveryNote)
        .set(DELIVERY_LINE.RECEIVED_ON, receivedOn)
        .execute();
  }

  /** What came of a line as another item. */
  public record CameAs(OrderLineId line, ItemId item, Quantity quantity) {}

  /** What of an order was taken in as something else than was ordered. */
  public List<CameAs> cameAs(OrderId id) {
    Field<Long> sum = DSL.sum(MOVEMENT.QUANTITY_MICRO).cast(Long.class);
    return context
        .select(ORDER_LINE.ID, MOVEMENT.ITEM_ID, ITEM.MEASURE, sum)
        .from(DELIVERY_LINE)
        .join(ORDER_LINE)
        .on(ORDER_LINE.ID.eq(DELIVERY_LINE.ORDER_LINE_ID))
        .join(MOVEMENT)
        .on(MOVEMENT.ID.eq(DELIVERY_LINE.MOVEMENT_ID))
        .join(ITEM)
        .on(ITEM.ID.eq(MOVEMENT.ITEM_ID))
        .where(ORDER_LINE.ORDER_ID.eq(id), MOVEMENT.ITEM_ID.ne(ORDER_LINE.ITEM_ID), isBooked())
        .groupBy(ORDER_LINE.ID, MOVEMENT.ITEM_ID, ITEM.MEASURE)
        .orderBy(ORDER_LINE.ID, MOVEMENT.ITEM_ID)
        .fetch(
            row ->
                new CameAs(
                    row.get(ORDER_LINE.ID),
                    row.get(MOVEMENT.ITEM_ID),
                    new Quantity(Measure.ofSymbol(row.get(ITEM.MEASURE)), row.get(sum))));
  }

  public Optional<Order> byId(OrderId id) {
    return orders(SUPPLY_ORDER.ID.eq(id)).stream().findFirst();
  }

  /** The draft of a supplier that was begun last, if there is any. */
  public Optional<Order> draftFor(SupplierId supplierId) {
    return orders(SUPPLY_ORDER.SUPPLIER_ID.eq(supplierId).and(SUPPLY_ORDER.SENT_ON.isNull()))
        .stream()
        .findFirst();
  }

  /** All orders that were begun on a day or later, and all that are open; the latest first. */
  public List<Order> since(LocalDate first) {
    return orders(SUPPLY_ORDER.MADE_ON.ge(first).or(mayBeOpen()));
  }

  /** Drafts, and orders of which something is still to come; the latest first. */
  public List<Order> open() {
    return orders(mayBeOpen()).stream()
        .filter(order -> order.sentOn().isEmpty() || order.state().isOpen())
        .toList();
  }

  /** Without what is surely closed; the rest follows from what came. */
  private static Condition mayBeOpen() {
    return SUPPLY_ORDER
        .SENT_ON
        .isNull()
        .or(
            DSL.exists(
                DSL.selectOne()
                    .from(ORDER_LINE)
                    .where(
                        ORDER_LINE.ORDER_ID.eq(SUPPLY_ORDER.ID),
                        ORDER_LINE.GIVEN_UP_MICRO.lt(ORDER_LINE.QUANTITY_MICRO))));
  }

  /** By item, what open orders are to bring. */
  public Map<ItemId, List<Coming>> coming() {
    return coming(open());
  }

  /** By item, what these orders are to bring. */
  public static Map<ItemId, List<Coming>> coming(List<Order> orders) {
    Map<ItemId, List<Coming>> coming = new HashMap<>();
    for (Order order : orders) {
      for (OrderLine line : order.waiting()) {
        line.fate()
            .promisedOn()
            .ifPresent(
                day ->
                    coming
                        .computeIfAbsent(line.item().id(), id -> new ArrayList<>())
                        .add(
                            new Coming(
                                day, line.outstanding(), order.id(), order.supplier().name())));
      }
    }
    return coming;
  }

  /** For whom and what a lead time was learned. */
  public record Source(SupplierId supplierId, ItemId itemId) {}

  /** A line whose first delivery came. */
  public record Came(Source source, LocalDate sentOn, LocalDate cameOn) {

    /** How long that took. */
    public int days() {
      return (int) (cameOn.toEpochDay() - sentOn.toEpochDay());
    }
  }

  /** By supplier and item, the days from sending each line to its first delivery, oldest first. */
  public Map<Source, List<Integer>> leadDays() {
    return came().stream()
        .collect(
            Collectors.groupingBy(
                Came::source, Collectors.mapping(Came::days, Collectors.toList())));
  }

  /** The lines of which something came, in order of the day they were sent. */
  public List<Came> came() {
    Field<LocalDate> first = DSL.min(DELIVERY_LINE.RECEIVED_ON);
    return context
        .select(SUPPLY_ORDER.SUPPLIER_ID, ORDER_LINE.ITEM_ID, SUPPLY_ORDER.SENT_ON, first)
        .from(DELIVERY_LINE)
        .join(ORDER_LINE)
        .on(ORDER_LINE.ID.eq(DELIVERY_LINE.ORDER_LINE_ID))
        .join(SUPPLY_ORDER)
        .on(SUPPLY_ORDER.ID.eq(ORDER_LINE.ORDER_ID))
        .join(MOVEMENT)
        .on(MOVEMENT.ID.eq(DELIVERY_LINE.MOVEMENT_ID))
        .where(isBooked())
        .groupBy(ORDER_LINE.ID)
        .orderBy(SUPPLY_ORDER.SENT_ON, ORDER_LINE.ID)
        .fetch(
            row ->
                new Came(
                    new Source(row.get(SUPPLY_ORDER.SUPPLIER_ID), row.get(ORDER_LINE.ITEM_ID)),
                    row.get(SUPPLY_ORDER.SENT_ON),
                    row.get(first)));
  }

  /** Of whom the last order of an item that was sent was cancelled before any of it came. */
  public Set<Source> neverCame() {
    Set<Source> seen = new HashSet<>();
    Set<Source> never = new HashSet<>();
    context
        .select(SUPPLY_ORDER.SUPPLIER_ID, ORDER_LINE.ITEM_ID, RECEIVED)
        .select(ORDER_LINE.QUANTITY_MICRO, ORDER_LINE.GIVEN_UP_MICRO)
        .from(ORDER_LINE)
        .join(SUPPLY_ORDER)
        .on(SUPPLY_ORDER.ID.eq(ORDER_LINE.ORDER_ID))
        .where(SUPPLY_ORDER.SENT_ON.isNotNull())
        .orderBy(SUPPLY_ORDER.SENT_ON.desc(), ORDER_LINE.ID.desc())
        .forEach(
            row -> {
              Source source =
                  new Source(row.get(SUPPLY_ORDER.SUPPLIER_ID), row.get(ORDER_LINE.ITEM_ID));
              boolean cancelled =
                  row.get(ORDER_LINE.GIVEN_UP_MICRO).equals(row.get(ORDER_LINE.QUANTITY_MICRO))
                      && row.get(RECEIVED) == 0;
              if (seen.add(source) && cancelled) {
                never.add(source);
              }
            });
    return never;
  }

  private List<Order> orders(Condition which) {
    List<Record> heads =
        List.copyOf(
            context
                .select(SUPPLY_ORDER.fields())
                .from(SUPPLY_ORDER)
                .where(which)
                .orderBy(SUPPLY_ORDER.ID.desc())
                .fetch());
    if (heads.isEmpty()) {
      return List.of();
    }
    Map<SupplierId, Supplier> suppliers =
        new SupplierRepository(context, currency)
            .all().stream().collect(Collectors.toMap(Supplier::id, supplier -> supplier));
    Map<OrderId, List<Record>> rows =
        context
            .select(ORDER_LINE.fields())
            .select(RECEIVED)
            .from(ORDER_LINE)
            .join(SUPPLY_ORDER)
            .on(SUPPLY_ORDER.ID.eq(ORDER_LINE.ORDER_ID))
            .where(which)
            .orderBy(ORDER_LINE.ID)
            .fetchGroups(ORDER_LINE.ORDER_ID, row -> row);
    Map<ItemId, Item> items =
        new ItemRepository(context)
            .byIds(
                rows.values().stream()
                    .flatMap(List::stream)
                    .map(row -> row.get(ORDER_LINE.ITEM_ID))
                    .collect(Collectors.toSet()));
    return heads.stream()
        .map(
            head ->
                new Order(
                    head.get(SUPPLY_ORDER.ID),
                    suppliers.get(head.get(SUPPLY_ORDER.SUPPLIER_ID)),
                    head.get(SUPPLY_ORDER.NOTE),
                    head.get(SUPPLY_ORDER.MADE_ON),
                    Optional.ofNullable(head.get(SUPPLY_ORDER.SENT_ON)),
                    rows.getOrDefault(head.get(SUPPLY_ORDER.ID), List.of()).stream()
                        .map(row -> line(row, items))
                        .toList(),
                    head.get(SUPPLY_ORDER.VERSION)))
        .toList();
  }

  private OrderLine line(Record row, Map<ItemId, Item> items) {
    Item item = items.get(row.get(ORDER_LINE.ITEM_ID));
    return new OrderLine(
        row.get(ORDER_LINE.ID),
        item,
        row.get(ORDER_LINE.ORDER_NUMBER),
        new Quantity(item.measure(), row.get(ORDER_LINE.QUANTITY_MICRO)),
        new Quantity(item.measure(), row.get(ORDER_LINE.PACK_MICRO)),
        new UnitPrice(row.get(ORDER_LINE.PRICE_E4), currency),
        Optional.ofNullable(row.get(ORDER_LINE.SAID_PRICE_E4))
            .map(said -> new UnitPrice(said, currency)),
        new OrderLine.Fate(
            Optional.ofNullable(row.get(ORDER_LINE.PROMISED_ON)),
            row.get(ORDER_LINE.CONFIRMED) == 1,
            new Quantity(item.measure(), row.get(RECEIVED)),
            new Quantity(item.measure(), row.get(ORDER_LINE.GIVEN_UP_MICRO)),
            row.get(ORDER_LINE.GIVEN_UP_WHY)));
  }
}
