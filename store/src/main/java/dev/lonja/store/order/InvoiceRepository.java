package dev.lonja.store.order;

import static dev.lonja.store.schema.Tables.DELIVERY_LINE;
import static dev.lonja.store.schema.Tables.INVOICE;
import static dev.lonja.store.schema.Tables.INVOICE_LINE;
import static dev.lonja.store.schema.Tables.ITEM;
import static dev.lonja.store.schema.Tables.MOVEMENT;
import static dev.lonja.store.schema.Tables.ORDER_LINE;
import static dev.lonja.store.schema.Tables.SUPPLY_ORDER;

import dev.lonja.core.ledger.MovementKind;
import dev.lonja.core.order.Invoice;
import dev.lonja.core.order.InvoiceId;
import dev.lonja.core.order.OrderId;
import dev.lonja.core.order.OrderLineId;
import dev.lonja.core.quantity.Measure;
import dev.lonja.core.quantity.Money;
import dev.lonja.core.quantity.Quantity;
import dev.lonja.core.supplier.SupplierId;
import java.time.Instant;
import java.time.LocalDate;
import java.util.Currency;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.jooq.DSLContext;
import org.jooq.Field;
import org.jooq.Record;
import org.jooq.impl.DSL;

/** What suppliers charged for what came. */
public final class InvoiceRepository {

  private final DSLContext context;
  private final Currency currency;

  public InvoiceRepository(DSLContext context, Currency currency) {
    this.context = context;
    this.currency = currency;
  }

  /**
   * What came of an order's line at once and stands in the books.
   *
   * @param movementId the movement that took it in
   * @param booked what it was taken in for
   * @param worth what it is in the books for, with what invoices and freight changed of it
   * @param isInvoiced true if an invoice that counts charges it
   */
  public record Delivered(
      long movementId,
      OrderLineId line,
      Quantity quantity,
      Money booked,
      Money worth,
      LocalDate receivedOn,
      String deliveryNote,
      boolean isInvoiced) {}

  /** What came of an order, in order of entry, without what was booked back. */
  public List<Delivered> deliveries(OrderId order) {
    var answer = MOVEMENT.as("answer");
    Field<Long> changed =
        DSL.field(
                DSL.select(DSL.coalesce(DSL.sum(answer.VALUE_MINOR), 0).cast(Long.class))
                    .from(answer)
                    .where(
                        answer.REFERS_TO.eq(MOVEMENT.ID),
                        answer.KIND.eq(MovementKind.REVALUED.name())))
            .as("changed");
    Field<Boolean> isInvoiced =
        DSL.field(
                DSL.exists(
                    DSL.selectOne()
                        .from(INVOICE_LINE)
                        .join(INVOICE)
                        .on(INVOICE.ID.eq(INVOICE_LINE.INVOICE_ID))
                        .where(
                            INVOICE_LINE.MOVEMENT_ID.eq(MOVEMENT.ID),
                            INVOICE_LINE.CHARGED_MINOR.isNotNull(),
                            INVOICE.WITHDRAWN_WHY.isNull())))
            .as("is_invoiced");
    return context
        .select(DELIVERY_LINE.fields())
        .select(MOVEMENT.QUANTITY_MICRO, MOVEMENT.VALUE_MINOR, ITEM.MEASURE, changed, isInvoiced)
        .from(DELIVERY_LINE)
        .join(ORDER_LINE)
        .on(ORDER_LINE.ID.eq(DELIVERY_LINE.ORDER_LINE_ID))
        .join(MOVEMENT)
        .on(MOVEMENT.ID.eq(DELIVERY_LINE.MOVEMENT_ID))
        .join(ITEM)
        .on(ITEM.ID.eq(MOVEMENT.ITEM_ID))
        .where(ORDER_LINE.ORDER_ID.eq(order), OrderRepository.isBooked())
        .orderBy(DELIVERY_LINE.ID)
        .fetch(
            row ->
                new Delivered(
                    row.get(DELIVERY_LINE.MOVEMENT_ID),
                    row.get(DELIVERY_LINE.ORDER_LINE_ID),
                    new Quantity(
                        Measure.ofSymbol(row.get(ITEM.MEASURE)), row.get(MOVEMENT.QUANTITY_MICRO)),
                    new Money(row.get(MOVEMENT.VALUE_MINOR), currency),
                    new Money(row.get(MOVEMENT.VALUE_MINOR) + row.get(changed), currency),
                    row.get(DELIVERY_LINE.RECEIVED_ON),
                    row.get(DELIVERY_LINE.DELIVERY_NOTE),
                    row.get(isInvoiced)));
  }

  /** The order that a supplier's invoice of this number was entered for and still counts. */
  public Optional<OrderId> orderOf(SupplierId supplier, String number) {
    return context
        .select(INVOICE.ORDER_ID)
        .from(INVOICE)
        .join(SUPPLY_ORDER)
        .on(SUPPLY_ORDER.ID.eq(INVOICE.ORDER_ID))
        .where(
            SUPPLY_ORDER.SUPPLIER_ID.eq(supplier),
            DSL.lower(INVOICE.NUMBER).eq(DSL.lower(number)),
            INVOICE.WITHDRAWN_WHY.isNull())
        .limit(1)
        .fetchOptional(INVOICE.ORDER_ID);
  }

  /** Keeps an invoice. */
  public InvoiceId add(OrderId order, Invoice.Facts invoice, String actor, Instant at) {
    InvoiceId id =
        context
            .insertInto(INVOICE)
            .set(INVOICE.ORDER_ID, order)
            .set(INVOICE.NUMBER, invoice.number())
            .set(INVOICE.DATED_ON, invoice.datedOn())
            .set(INVOICE.FREIGHT_MINOR, invoice.freight().minor())
            .set(INVOICE.ACTOR, actor)
            .set(INVOICE.RECORDED_AT, at)
            .returning(INVOICE.ID)
            .fetchSingle(INVOICE.ID);
    for (Invoice.Line line : invoice.lines()) {
      context
          .insertInto(INVOICE_LINE)
          .set(INVOICE_LINE.INVOICE_ID, id)
          .set(INVOICE_LINE.MOVEMENT_ID, line.movementId())
          .set(INVOICE_LINE.CHARGED_MINOR, line.charged().map(Money::minor).orElse(null))
          .set(INVOICE_LINE.DIFFERENCE_MINOR, line.difference().minor())
          .execute();
    }
    return id;
  }

  /** It counts no more. */
  public void withdraw(InvoiceId id, String why) {
    context.update(INVOICE).set(INVOICE.WITHDRAWN_WHY, why).where(INVOICE.ID.eq(id)).execute();
  }

  /** The invoices of an order, the oldest first. */
  public List<Invoice> of(OrderId order) {
    Map<InvoiceId, List<Invoice.Line>> lines =
        context
            .select(INVOICE_LINE.fields())
            .from(INVOICE_LINE)
            .join(INVOICE)
            .on(INVOICE.ID.eq(INVOICE_LINE.INVOICE_ID))
            .where(INVOICE.ORDER_ID.eq(order))
            .orderBy(INVOICE_LINE.ID)
            .fetchGroups(INVOICE_LINE.INVOICE_ID, this::line);
    return context
        .select(INVOICE.fields())
        .from(INVOICE)
        .where(INVOICE.ORDER_ID.eq(order))
        .orderBy(INVOICE.ID)
        .fetch(
            row ->
                new Invoice(
                    row.get(INVOICE.ID),
                    new Invoice.Facts(
                        row.get(INVOICE.NUMBER),
                        row.get(INVOICE.DATED_ON),
                        new Money(row.get(INVOICE.FREIGHT_MINOR), currency),
                        lines.getOrDefault(row.get(INVOICE.ID), List.of())),
                    Optional.ofNullable(row.get(INVOICE.WITHDRAWN_WHY))));
  }

  private Invoice.Line line(Record row) {
    return new Invoice.Line(
        row.get(INVOICE_LINE.MOVEMENT_ID),
        Optional.ofNullable(row.get(INVOICE_LINE.CHARGED_MINOR))
            .map(minor -> new Money(minor, currency)),
        new Money(row.get(INVOICE_LINE.DIFFERENCE_MINOR), currency));
  }
}
