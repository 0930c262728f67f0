package dev.lonja.store.supplier;

import static dev.lonja.store.schema.Tables.SUPPLIER;
import static dev.lonja.store.schema.Tables.SUPPLIER_CLOSED;

import dev.lonja.core.quantity.Money;
import dev.lonja.core.supplier.Deliveries;
import dev.lonja.core.supplier.Freight;
import dev.lonja.core.supplier.Supplier;
import dev.lonja.core.supplier.SupplierId;
import java.time.DayOfWeek;
import java.util.Arrays;
import java.util.Currency;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import org.jooq.DSLContext;
import org.jooq.Record;

/** Who supplies the store. */
public final class SupplierRepository {

  private static final int SHORT = 3;

  private final DSLContext context;
  private final Currency currency;

  public SupplierRepository(DSLContext context, Currency currency) {
    this.context = context;
    this.currency = currency;
  }

  /**
   * A supplier as they are kept.
   *
   * @param version number of edits
   */
  public record Kept(Supplier supplier, long version) {}

  /** All suppliers in order of name. */
  public List<Supplier> all() {
    Map<SupplierId, List<Deliveries.Closed>> closed = closed();
    return context.selectFrom(SUPPLIER).orderBy(SUPPLIER.NAME).fetch(row -> supplier(row, closed));
  }

  /** All suppliers by number. */
  Map<SupplierId, Supplier> byId() {
    Map<SupplierId, Supplier> byId = new HashMap<>();
    all().forEach(supplier -> byId.put(supplier.id(), supplier));
    return byId;
  }

  public Optional<Kept> byId(SupplierId id) {
    return context
        .selectFrom(SUPPLIER)
        .where(SUPPLIER.ID.eq(id))
        .fetchOptional(row -> new Kept(supplier(row, closed()), row.get(SUPPLIER.VERSION)));
  }

  /** Takes on a supplier who delivers on any day and asks no freight. */
  public SupplierId add(String name, int leadDays) {
    return context
        .insertInto(SUPPLIER)
        .set(SUPPLIER.NAME, name)
        .set(SUPPLIER.LEAD_DAYS, (long) leadDays)
        .returning(SUPPLIER.ID)
        .fetchSingle(SUPPLIER.ID);
  }

  /** Writes a supplier anew; false if somebody wrote since that version was read. */
  public boolean update(Supplier supplier, long readVersion) {
    Deliveries deliveries = supplier.deliveries();
    boolean isRead =
        context
                .update(SUPPLIER)
                .set(SUPPLIER.NAME, supplier.name())
                .set(SUPPLIER.LEAD_DAYS, (long) supplier.leadDays())
                .set(SUPPLIER.ARRIVAL_DAYS, written(deliveries))
                .set(
                    SUPPLIER.CUT_OFF,
                    deliveries.cutOff().map(SupplierRepository::shortly).orElse(null))
                .set(
                    SUPPLIER.FREIGHT_MINOR,
                    supplier.freight().map(freight -> freight.each().minor()).orElse(null))
                .set(
                    SUPPLIER.FREE_FROM_MINOR,
                    supplier.freight().flatMap(Freight::freeFrom).map(Money::minor).orElse(null))
                .set(SUPPLIER.VERSION, readVersion + 1)
                .where(SUPPLIER.ID.eq(supplier.id()), SUPPLIER.VERSION.eq(readVersion))
                .execute()
            == 1;
    if (isRead) {
      context
          .deleteFrom(SUPPLIER_CLOSED)
          .where(SUPPLIER_CLOSED.SUPPLIER_ID.eq(supplier.id()))
          .execute();
      for (Deliveries.Closed closed : deliveries.closed()) {
        context
            .insertInto(SUPPLIER_CLOSED)
            .set(SUPPLIER_CLOSED.SUPPLIER_ID, supplier.id())
            .set(SUPPLIER_CLOSED.FROM_ON, closed.from())
            .set(SUPPLIER_CLOSED.UNTIL_ON, closed.until())
            .execute();
      }
    }
    return isRead;
  }

  private Map<SupplierId, List<Deliveries.Closed>> closed() {
    return context
        .selectFrom(SUPPLIER_CLOSED)
        .orderBy(SUPPLIER_CLOSED.FROM_ON)
        .fetchGroups(
            SUPPLIER_CLOSED.SUPPLIER_ID,
            row ->
                new Deliveries.Closed(
                    row.get(SUPPLIER_CLOSED.FROM_ON), row.get(SUPPLIER_CLOSED.UNTIL_ON)));
  }

  private Supplier supplier(Record row, Map<SupplierId, List<Deliveries.Closed>> closed) {
    return new Supplier(
        row.get(SUPPLIER.ID),
        row.get(SUPPLIER.NAME),
        Math.toIntExact(row.get(SUPPLIER.LEAD_DAYS)),
        new Deliveries(
            Arrays.stream(row.get(SUPPLIER.ARRIVAL_DAYS).split(" "))
                .filter(day -> !day.isEmpty())
                .map(SupplierRepository::day)
                .collect(Collectors.toSet()),
            Optional.ofNullable(row.get(SUPPLIER.CUT_OFF)).map(SupplierRepository::day),
            closed.getOrDefault(row.get(SUPPLIER.ID), List.of())),
        Optional.ofNullable(row.get(SUPPLIER.FREIGHT_MINOR))
            .map(
                each ->
                    new Freight(
                        new Money(each, currency),
                        Optional.ofNullable(row.get(SUPPLIER.FREE_FROM_MINOR))
                            .map(from -> new Money(from, currency)))));
  }

  private static String written(Deliveries deliveries) {
    return deliveries.arrivals().stream()
        .sorted()
        .map(SupplierRepository::shortly)
        .collect(Collectors.joining(" "));
  }

  private static String shortly(DayOfWeek day) {
    return day.name().substring(0, SHORT);
  }

  private static DayOfWeek day(String written) {
    return Arrays.stream(DayOfWeek.values())
        .filter(day -> shortly(day).equals(written))
        .findFirst()
        .orElseThrow();
  }
}
