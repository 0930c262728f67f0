package dev.lonja.store.exchange;

import static dev.lonja.store.exchange.Column.number;
import static dev.lonja.store.exchange.Column.of;
import static dev.lonja.store.exchange.Column.reference;
import static dev.lonja.store.exchange.ExchangeTables.BOOKED_MINOR;
import static dev.lonja.store.exchange.ExchangeTables.MOST;
import static dev.lonja.store.exchange.ExchangeTables.PRICE_E4;
import static dev.lonja.store.exchange.ExchangeTables.QUANTITY_MICRO;
import static dev.lonja.store.exchange.Format.date;
import static dev.lonja.store.exchange.Format.instant;
import static dev.lonja.store.exchange.Format.scaled;
import static dev.lonja.store.exchange.Format.text;
import static dev.lonja.store.exchange.Format.whole;
import static dev.lonja.store.exchange.Format.words;
import static dev.lonja.store.exchange.Format.yesNo;
import static dev.lonja.store.schema.Tables.CLAIM;
import static dev.lonja.store.schema.Tables.DELIVERY_LINE;
import static dev.lonja.store.schema.Tables.INVOICE;
import static dev.lonja.store.schema.Tables.INVOICE_LINE;
import static dev.lonja.store.schema.Tables.KEPT_FORECAST;
import static dev.lonja.store.schema.Tables.ORDER_ANSWER;
import static dev.lonja.store.schema.Tables.ORDER_LINE;
import static dev.lonja.store.schema.Tables.OUTGOING;
import static dev.lonja.store.schema.Tables.SUPPLIER_CLOSED;
import static dev.lonja.store.schema.Tables.SUPPLY_ORDER;

import dev.lonja.core.order.Claim;
import dev.lonja.core.quantity.Limits;
import dev.lonja.core.supplier.Deliveries;
import dev.lonja.core.text.Lengths;
import dev.lonja.store.order.MailRepository;
import java.math.BigDecimal;
import java.time.LocalDate;
import java.util.List;

/** What is forecast, ordered of whom, what they said of it, and what came. */
final class OrderTables {

  static final List<ExchangeTable> ALL =
      List.of(
          supplierClosed(),
          orders(),
          orderLines(),
          deliveryLines(),
          answers(),
          claims(),
          invoices(),
          invoiceLines(),
          outgoing(),
          keptForecasts());

  private OrderTables() {}

  private static ExchangeTable keptForecasts() {
    return ExchangeTable.named("kept_forecasts", KEPT_FORECAST)
        .with(number("id", KEPT_FORECAST.ID, "number of the row"))
        .with(of("month_on", KEPT_FORECAST.MONTH_ON, date(), "first day of the month"))
        .with(reference("item_id", KEPT_FORECAST.ITEM_ID, "items", "what is used"))
        .with(of("made_on", KEPT_FORECAST.MADE_ON, date(), "when it was forecast, before then"))
        .with(
            of(
                "quantity_pc_or_l",
                KEPT_FORECAST.QUANTITY_MICRO,
                scaled(6, 1, QUANTITY_MICRO),
                "how much was expected to be used in it"))
        .unique("month_on", "item_id")
        .rule(
            new RowRule(
                "month_on", "the first day of a month", row -> row.get("month_on").endsWith("-01")))
        .rule(
            new RowRule(
                "made_on",
                "before month_on",
                row -> row.get("made_on").compareTo(row.get("month_on")) < 0))
        .build();
  }

  private static ExchangeTable supplierClosed() {
    return ExchangeTable.named("supplier_closed", SUPPLIER_CLOSED)
        .with(number("id", SUPPLIER_CLOSED.ID, "number of the row"))
        .with(reference("supplier_id", SUPPLIER_CLOSED.SUPPLIER_ID, "suppliers", "who is closed"))
        .with(of("from_on", SUPPLIER_CLOSED.FROM_ON, date(), "the first day"))
        .with(of("until_on", SUPPLIER_CLOSED.UNTIL_ON, date(), "the last day"))
        .unique("supplier_id", "from_on")
        .rule(
            new RowRule(
                "until_on",
                "from from_on on, at most " + Deliveries.MOST_CLOSED_DAYS + " days later",
                row -> isSpan(row.get("from_on"), row.get("until_on"))))
        .build();
  }

  private static boolean isSpan(String from, String until) {
    LocalDate first = LocalDate.parse(from);
    LocalDate last = LocalDate.parse(until);
    return !last.isBefore(first) && !last.isAfter(first.plusDays(Deliveries.MOST_CLOSED_DAYS));
  }

  private static ExchangeTable orders() {
    return ExchangeTable.named("orders", SUPPLY_ORDER)
        .with(number("id", SUPPLY_ORDER.ID, "number of the order"))
        .with(reference("supplier_id", SUPPLY_ORDER.SUPPLIER_ID, "suppliers", "of whom"))
        .with(of("note", SUPPLY_ORDER.NOTE, text(Lengths.REASON), "for the supplier").orEmptyText())
        .with(of("made_on", SUPPLY_ORDER.MADE_ON, date(), "when it was begun"))
        .with(of("sent_on", SUPPLY_ORDER.SENT_ON, date(), "when it was sent").optional())
        .with(of("version", SUPPLY_ORDER.VERSION, whole(0, MOST), "number of edits"))
        .rule(
            new RowRule(
                "sent_on",
                "not before made_on",
                row ->
                    row.get("sent_on").isEmpty()
                        || row.get("sent_on").compareTo(row.get("made_on")) >= 0))
        .build();
  }

  private static ExchangeTable orderLines() {
    return ExchangeTable.named("order_lines", ORDER_LINE)
        .with(number("id", ORDER_LINE.ID, "number of the row"))
        .with(reference("order_id", ORDER_LINE.ORDER_ID, "orders", "the order"))
        .with(reference("item_id", ORDER_LINE.ITEM_ID, "items", "what is ordered"))
        .with(
            of("order_number", ORDER_LINE.ORDER_NUMBER, text(Lengths.NAME), "their number")
                .orEmptyText())
        .with(
            of(
                "quantity_pc_or_l",
                ORDER_LINE.QUANTITY_MICRO,
                scaled(6, 1, QUANTITY_MICRO),
                "how much"))
        .with(
            of("pack_pc_or_l", ORDER_LINE.PACK_MICRO, scaled(6, 1, QUANTITY_MICRO), "in packs of"))
        .with(
            of("price_minor", ORDER_LINE.PRICE_E4, scaled(4, 0, PRICE_E4), "cents each, as asked"))
        .with(
            of(
                    "said_price_minor",
                    ORDER_LINE.SAID_PRICE_E4,
                    scaled(4, 0, PRICE_E4),
                    "as the supplier said since")
                .optional())
        .with(
            of("promised_on", ORDER_LINE.PROMISED_ON, date(), "when it is to be there").optional())
        .with(of("confirmed", ORDER_LINE.CONFIRMED, yesNo(), "whether the supplier said yes"))
        .with(
            of(
                "given_up_pc_or_l",
                ORDER_LINE.GIVEN_UP_MICRO,
                scaled(6, 0, QUANTITY_MICRO),
                "what will not come"))
        .with(
            of("given_up_why", ORDER_LINE.GIVEN_UP_WHY, text(Lengths.REASON), "and why")
                .orEmptyText())
        .unique("order_id", "item_id")
        .rule(
            new RowRule(
                "given_up_pc_or_l",
                "at most quantity_pc_or_l",
                row ->
                    new BigDecimal(row.get("given_up_pc_or_l"))
                            .compareTo(new BigDecimal(row.get("quantity_pc_or_l")))
                        <= 0))
        .rule(
            new RowRule(
                "given_up_why",
                "filled exactly where something is given up",
                row ->
                    (new BigDecimal(row.get("given_up_pc_or_l")).signum() == 0)
                        == row.get("given_up_why").isEmpty()))
        .build();
  }

  private static ExchangeTable deliveryLines() {
    return ExchangeTable.named("delivery_lines", DELIVERY_LINE)
        .with(number("id", DELIVERY_LINE.ID, "number of the row"))
        .with(reference("order_line_id", DELIVERY_LINE.ORDER_LINE_ID, "order_lines", "the line"))
        .with(reference("movement_id", DELIVERY_LINE.MOVEMENT_ID, "movements", "what took it in"))
        .with(
            of(
                    "delivery_note",
                    DELIVERY_LINE.DELIVERY_NOTE,
                    text(Lengths.BARCODE),
                    "what came with it")
                .orEmptyText())
        .with(of("received_on", DELIVERY_LINE.RECEIVED_ON, date(), "when it came"))
        .unique("movement_id")
        .build();
  }

  private static ExchangeTable answers() {
    return ExchangeTable.named("order_answers", ORDER_ANSWER)
        .with(number("id", ORDER_ANSWER.ID, "number of the row"))
        .with(reference("order_id", ORDER_ANSWER.ORDER_ID, "orders", "the order").optional())
        .with(
            reference("order_line_id", ORDER_ANSWER.ORDER_LINE_ID, "order_lines", "the line")
                .optional())
        .with(of("message", ORDER_ANSWER.MESSAGE, text(Lengths.BARCODE), "tells it from others"))
        .with(of("kind", ORDER_ANSWER.KIND, words(MailRepository.Kind.values()), "what was said"))
        .with(
            of(
                    "quantity_pc_or_l",
                    ORDER_ANSWER.QUANTITY_MICRO,
                    scaled(6, 0, QUANTITY_MICRO),
                    "of how much")
                .optional())
        .with(
            of("price_minor", ORDER_ANSWER.PRICE_E4, scaled(4, 0, PRICE_E4), "cents each")
                .optional())
        .with(of("arrives_on", ORDER_ANSWER.ARRIVES_ON, date(), "for when").optional())
        .with(of("words", ORDER_ANSWER.WORDS, text(Lengths.REASON), "in words").orEmptyText())
        .with(of("too_late", ORDER_ANSWER.TOO_LATE, yesNo(), "whether it changed nothing"))
        .with(of("actor", ORDER_ANSWER.ACTOR, text(Lengths.NAME), "who brought it"))
        .with(of("recorded_at", ORDER_ANSWER.RECORDED_AT, instant(), "when"))
        .rule(
            new RowRule(
                "order_line_id",
                "filled exactly where it was used",
                row -> row.get("kind").equals("not_used") == row.get("order_line_id").isEmpty()))
        .rule(
            new RowRule(
                "order_id",
                "filled where order_line_id is",
                row -> row.get("order_line_id").isEmpty() || !row.get("order_id").isEmpty()))
        .build();
  }

  private static ExchangeTable claims() {
    return ExchangeTable.named("claims", CLAIM)
        .with(number("id", CLAIM.ID, "number of the row"))
        .with(reference("order_line_id", CLAIM.ORDER_LINE_ID, "order_lines", "the line"))
        .with(of("kind", CLAIM.KIND, words(Claim.Kind.values()), "what was wrong"))
        .with(
            of("quantity_pc_or_l", CLAIM.QUANTITY_MICRO, scaled(6, 1, QUANTITY_MICRO), "how much"))
        .with(of("words", CLAIM.WORDS, text(Lengths.REASON), "what was found").orEmptyText())
        .with(of("opened_on", CLAIM.OPENED_ON, date(), "since when"))
        .with(
            of("outcome", CLAIM.OUTCOME, words(Claim.Outcome.values()), "how it ended").optional())
        .with(of("settled_on", CLAIM.SETTLED_ON, date(), "when").optional())
        .with(of("settled_why", CLAIM.SETTLED_WHY, text(Lengths.REASON), "a note").orEmptyText())
        .with(of("actor", CLAIM.ACTOR, text(Lengths.NAME), "who claimed it"))
        .with(of("recorded_at", CLAIM.RECORDED_AT, instant(), "when"))
        .together("outcome", "settled_on")
        .build();
  }

  private static ExchangeTable invoices() {
    return ExchangeTable.named("invoices", INVOICE)
        .with(number("id", INVOICE.ID, "number of the row"))
        .with(reference("order_id", INVOICE.ORDER_ID, "orders", "the order"))
        .with(of("number", INVOICE.NUMBER, text(Lengths.SHORT), "as the supplier wrote it"))
        .with(of("dated_on", INVOICE.DATED_ON, date(), "its date"))
        .with(
            of(
                "freight_minor",
                INVOICE.FREIGHT_MINOR,
                whole(0, Limits.VALUE_MINOR),
                "what bringing it cost, minor units"))
        .with(
            of(
                    "withdrawn_why",
                    INVOICE.WITHDRAWN_WHY,
                    text(Lengths.REASON),
                    "why it counts no more")
                .optional())
        .with(of("actor", INVOICE.ACTOR, text(Lengths.NAME), "who entered it"))
        .with(of("recorded_at", INVOICE.RECORDED_AT, instant(), "when"))
        .build();
  }

  private static ExchangeTable invoiceLines() {
    return ExchangeTable.named("invoice_lines", INVOICE_LINE)
        .with(number("id", INVOICE_LINE.ID, "number of the row"))
        .with(reference("invoice_id", INVOICE_LINE.INVOICE_ID, "invoices", "the invoice"))
        .with(reference("movement_id", INVOICE_LINE.MOVEMENT_ID, "movements", "what took it in"))
        .with(
            of(
                    "charged_minor",
                    INVOICE_LINE.CHARGED_MINOR,
                    whole(0, Limits.VALUE_MINOR),
                    "what it says of it, minor units; none where only freight is shared out")
                .optional())
        .with(
            of(
                "difference_minor",
                INVOICE_LINE.DIFFERENCE_MINOR,
                whole(-BOOKED_MINOR, BOOKED_MINOR),
                "to what it was booked with, freight included, minor units"))
        .unique("invoice_id", "movement_id")
        .build();
  }

  private static ExchangeTable outgoing() {
    return ExchangeTable.named("outgoing", OUTGOING)
        .with(number("id", OUTGOING.ID, "number of the row"))
        .with(reference("order_id", OUTGOING.ORDER_ID, "orders", "the order"))
        .with(of("message", OUTGOING.MESSAGE, text(Lengths.BARCODE), "tells it from others"))
        .with(of("made_at", OUTGOING.MADE_AT, instant(), "since when it waits"))
        .with(of("handed_at", OUTGOING.HANDED_AT, instant(), "when it went out").optional())
        .with(of("tries", OUTGOING.TRIES, whole(0, MOST), "how often it was tried"))
        .unique("message")
        .build();
  }
}
