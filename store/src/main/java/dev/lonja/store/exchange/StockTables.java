package dev.lonja.store.exchange;

import static dev.lonja.store.exchange.Column.number;
import static dev.lonja.store.exchange.Column.of;
import static dev.lonja.store.exchange.Column.reference;
import static dev.lonja.store.exchange.ExchangeTables.BOOKED_MINOR;
import static dev.lonja.store.exchange.ExchangeTables.LITRES_UL;
import static dev.lonja.store.exchange.ExchangeTables.MOST;
import static dev.lonja.store.exchange.ExchangeTables.PRICE_E4;
import static dev.lonja.store.exchange.ExchangeTables.QUANTITY_MICRO;
import static dev.lonja.store.exchange.Format.date;
import static dev.lonja.store.exchange.Format.instant;
import static dev.lonja.store.exchange.Format.scaled;
import static dev.lonja.store.exchange.Format.symbol;
import static dev.lonja.store.exchange.Format.text;
import static dev.lonja.store.exchange.Format.whole;
import static dev.lonja.store.exchange.Format.words;
import static dev.lonja.store.exchange.Format.yesNo;
import static dev.lonja.store.schema.Tables.BARCODE;
import static dev.lonja.store.schema.Tables.BIN;
import static dev.lonja.store.schema.Tables.ITEM;
import static dev.lonja.store.schema.Tables.ITEM_BIN;
import static dev.lonja.store.schema.Tables.LOT;
import static dev.lonja.store.schema.Tables.MOVEMENT;
import static dev.lonja.store.schema.Tables.PICTURE;
import static dev.lonja.store.schema.Tables.PRICE_BREAK;
import static dev.lonja.store.schema.Tables.REQUEST;
import static dev.lonja.store.schema.Tables.SUPPLIER;
import static dev.lonja.store.schema.Tables.SUPPLY;

import dev.lonja.core.item.Criticality;
import dev.lonja.core.ledger.LotCondition;
import dev.lonja.core.ledger.MovementKind;
import dev.lonja.core.quantity.Limits;
import dev.lonja.core.text.Lengths;
import java.math.BigDecimal;
import java.util.List;

/** What is stocked, where it lies and how it moved. */
final class StockTables {

  static final List<ExchangeTable> BINS = List.of(bins());

  static final List<ExchangeTable> ALL =
      List.of(
          items(),
          barcodes(),
          itemBins(),
          pictures(),
          suppliers(),
          supplies(),
          priceBreaks(),
          lots(),
          requests(),
          movements());

  private StockTables() {}

  private static ExchangeTable bins() {
    return ExchangeTable.named("bins", BIN)
        .with(number("id", BIN.ID, "number of the row"))
        .with(of("address", BIN.ADDRESS, text(Lengths.ADDRESS), "what stands on the shelf"))
        .with(of("walk_order", BIN.WALK_ORDER, whole(1, Limits.WALK), "place on the walk"))
        .with(PlaceTables.at("satellite_id", BIN.SATELLITE_ID, "where it stands"))
        .unique("address")
        .unique("walk_order")
        .build();
  }

  private static ExchangeTable items() {
    return ExchangeTable.named("items", ITEM)
        .with(number("id", ITEM.ID, "number of the row"))
        .with(reference("part_id", ITEM.PART_ID, "parts", "the part"))
        .with(of("description", ITEM.DESCRIPTION, text(Lengths.DESCRIPTION), "what it is"))
        .with(of("unit", ITEM.MEASURE, symbol("pc", "L", "kg"), "what it is counted in"))
        .with(reference("product_id", ITEM.PRODUCT_ID, "products", "the fluid in it").optional())
        .with(
            of("pack", ITEM.PACK_MICRO, scaled(6, 1, LITRES_UL), "in a pack, in its unit")
                .optional())
        .with(
            of("filter_volume_l", ITEM.FILTER_VOLUME_UL, scaled(6, 1, LITRES_UL), "oil in a filter")
                .optional())
        .with(reference("home_bin_id", ITEM.HOME_BIN_ID, "bins", "where it belongs"))
        .with(
            of(
                    "shelf_life_days",
                    ITEM.SHELF_LIFE_DAYS,
                    whole(1, Limits.SHELF_DAYS),
                    "unopened, from receipt")
                .optional())
        .with(
            of("open_life_days", ITEM.OPEN_LIFE_DAYS, whole(1, Limits.SHELF_DAYS), "once opened")
                .optional())
        .with(of("running_out", ITEM.RUNNING_OUT, yesNo(), "used up and not bought again"))
        .with(
            of(
                "criticality",
                ITEM.CRITICALITY,
                words(Criticality.values()),
                "what it means if it is not there"))
        .with(of("retired_on", ITEM.RETIRED_ON, date(), "since when it is not kept").optional())
        .with(of("version", ITEM.VERSION, whole(0, MOST), "number of edits"))
        .unique("part_id")
        .filledExactlyFor("product_id", "unit", "L")
        .filledExactlyFor("pack", "unit", "L", "kg")
        .build();
  }

  private static ExchangeTable barcodes() {
    return ExchangeTable.named("barcodes", BARCODE)
        .with(number("id", BARCODE.ID, "number of the row"))
        .with(reference("item_id", BARCODE.ITEM_ID, "items", "the item"))
        .with(of("code", BARCODE.CODE, text(Lengths.BARCODE), "what a scanner reads"))
        .unique("code")
        .build();
  }

  private static ExchangeTable itemBins() {
    return ExchangeTable.named("item_bins", ITEM_BIN)
        .with(number("id", ITEM_BIN.ID, "number of the row"))
        .with(reference("item_id", ITEM_BIN.ITEM_ID, "items", "the item"))
        .with(reference("bin_id", ITEM_BIN.BIN_ID, "bins", "the bin"))
        .with(of("least_pc_or_l", ITEM_BIN.LEAST_MICRO, scaled(6, 0, QUANTITY_MICRO), "at least"))
        .with(of("most_pc_or_l", ITEM_BIN.MOST_MICRO, scaled(6, 1, QUANTITY_MICRO), "at most"))
        .unique("item_id", "bin_id")
        .build();
  }

  private static ExchangeTable pictures() {
    return ExchangeTable.named("pictures", PICTURE)
        .with(reference("item_id", PICTURE.ITEM_ID, "items", "the item"))
        .with(of("media_type", PICTURE.MEDIA_TYPE, symbol("image/jpeg"), "its type"))
        .with(of("content_base64", PICTURE.CONTENT, Format.picture(), "the picture"))
        .build();
  }

  private static ExchangeTable suppliers() {
    return ExchangeTable.named("suppliers", SUPPLIER)
        .with(number("id", SUPPLIER.ID, "number of the row"))
        .with(of("name", SUPPLIER.NAME, text(Lengths.NAME), "who supplies"))
        .with(
            of(
                "lead_days",
                SUPPLIER.LEAD_DAYS,
                whole(0, Limits.SUPPLY_DAYS),
                "days from order to door, quoted"))
        .with(
            of("arrival_days", SUPPLIER.ARRIVAL_DAYS, Format.weekdays(), "when something arrives")
                .orEmptyText())
        .with(
            of(
                    "cut_off",
                    SUPPLIER.CUT_OFF,
                    symbol("MON", "TUE", "WED", "THU", "FRI", "SAT", "SUN"),
                    "the last weekday that takes orders")
                .optional())
        .with(
            of(
                    "freight_minor",
                    SUPPLIER.FREIGHT_MINOR,
                    whole(1, Limits.PRICE_MINOR),
                    "cents of an order")
                .optional())
        .with(
            of(
                    "free_from_minor",
                    SUPPLIER.FREE_FROM_MINOR,
                    whole(1, Limits.VALUE_MINOR),
                    "for how much it is free")
                .optional())
        .with(of("version", SUPPLIER.VERSION, whole(0, MOST), "number of edits"))
        .unique("name")
        .rule(
            new RowRule(
                "free_from_minor",
                "filled only where freight_minor is",
                row -> row.get("free_from_minor").isEmpty() || !row.get("freight_minor").isEmpty()))
        .build();
  }

  private static ExchangeTable supplies() {
    return ExchangeTable.named("supplies", SUPPLY)
        .with(number("id", SUPPLY.ID, "number of the row"))
        .with(reference("item_id", SUPPLY.ITEM_ID, "items", "the item"))
        .with(reference("supplier_id", SUPPLY.SUPPLIER_ID, "suppliers", "who supplies it"))
        .with(
            of("order_number", SUPPLY.ORDER_NUMBER, text(Lengths.NAME), "their number")
                .orEmptyText())
        .with(of("price_minor", SUPPLY.PRICE_E4, scaled(4, 0, PRICE_E4), "cents a piece or litre"))
        .with(
            of("pack_pc_or_l", SUPPLY.PACK_MICRO, scaled(6, 1, QUANTITY_MICRO), "sold in packs of"))
        .with(
            of("least_pc_or_l", SUPPLY.LEAST_MICRO, scaled(6, 1, QUANTITY_MICRO), "least ordered"))
        .unique("item_id", "supplier_id")
        .build();
  }

  private static ExchangeTable priceBreaks() {
    return ExchangeTable.named("price_breaks", PRICE_BREAK)
        .with(number("id", PRICE_BREAK.ID, "number of the row"))
        .with(reference("supply_id", PRICE_BREAK.SUPPLY_ID, "supplies", "who gives it on what"))
        .with(
            of(
                "from_pc_or_l",
                PRICE_BREAK.FROM_MICRO,
                scaled(6, 1, QUANTITY_MICRO),
                "from so much in one order on"))
        .with(
            of(
                "price_minor",
                PRICE_BREAK.PRICE_E4,
                scaled(4, 0, PRICE_E4),
                "cents a piece or litre, of all of it"))
        .unique("supply_id", "from_pc_or_l")
        .build();
  }

  private static ExchangeTable lots() {
    return ExchangeTable.named("lots", LOT)
        .with(number("id", LOT.ID, "number of the row"))
        .with(reference("item_id", LOT.ITEM_ID, "items", "the item"))
        .with(of("code", LOT.CODE, text(Lengths.SHORT), "what is printed on it"))
        .with(of("received_on", LOT.RECEIVED_ON, date(), "day of receipt"))
        .with(of("expires_on", LOT.EXPIRES_ON, date(), "last good day").optional())
        .with(of("condition", LOT.CONDITION, words(LotCondition.values()), "of every piece of it"))
        .with(of("quarantined", LOT.QUARANTINED, yesNo(), "set aside, not to be issued"))
        .with(of("opened_on", LOT.OPENED_ON, date(), "since when it is open").optional())
        .unique("item_id", "code", "condition", "quarantined", "expires_on", "opened_on")
        .build();
  }

  private static ExchangeTable requests() {
    return ExchangeTable.named("requests", REQUEST)
        .with(of("request_key", REQUEST.REQUEST_KEY, text(Lengths.BARCODE), "idempotency key"))
        .with(of("content_hash", REQUEST.CONTENT_HASH, text(64), "SHA-256 of what was sent"))
        .with(of("answer", REQUEST.ANSWER, text(Lengths.REASON), "what was answered").orEmptyText())
        .with(of("actor", REQUEST.ACTOR, text(Lengths.NAME), "who sent it"))
        .with(
            of("happened_at", REQUEST.HAPPENED_AT, instant(), "when it was done, if sent later")
                .optional())
        .with(of("recorded_at", REQUEST.RECORDED_AT, instant(), "when"))
        .build();
  }

  private static ExchangeTable movements() {
    return ExchangeTable.named("movements", MOVEMENT)
        .with(number("id", MOVEMENT.ID, "number of the row, in order of booking"))
        .with(reference("item_id", MOVEMENT.ITEM_ID, "items", "the item"))
        .with(reference("lot_id", MOVEMENT.LOT_ID, "lots", "the lot"))
        .with(reference("bin_id", MOVEMENT.BIN_ID, "bins", "the bin"))
        .with(of("kind", MOVEMENT.KIND, words(MovementKind.values()), "what happened"))
        .with(
            of(
                "quantity_pc_or_l",
                MOVEMENT.QUANTITY_MICRO,
                scaled(6, -QUANTITY_MICRO, QUANTITY_MICRO),
                "signed: negative for what leaves, 0 for what is revalued"))
        .with(
            of(
                "value_minor",
                MOVEMENT.VALUE_MINOR,
                whole(-BOOKED_MINOR, BOOKED_MINOR),
                "signed, minor units"))
        .with(
            of(
                "average_minor",
                MOVEMENT.AVERAGE_E4,
                scaled(4, 0, PRICE_E4),
                "moving average cost after it, minor units"))
        .with(of("reason", MOVEMENT.REASON, text(Lengths.REASON), "why").orEmptyText())
        .with(
            of("reference", MOVEMENT.REFERENCE, text(Lengths.BARCODE), "what it belongs to")
                .orEmptyText())
        .with(reference("refers_to", MOVEMENT.REFERS_TO, "movements", "what it answers").optional())
        .with(
            of("request_key", MOVEMENT.REQUEST_KEY, text(Lengths.BARCODE), "idempotency key")
                .referringTo("requests"))
        .with(of("line_no", MOVEMENT.LINE_NO, whole(1, 99_999), "line within the request"))
        .with(of("actor", MOVEMENT.ACTOR, text(Lengths.NAME), "who booked it"))
        .with(of("recorded_at", MOVEMENT.RECORDED_AT, instant(), "when"))
        .unique("request_key", "line_no")
        .jointly("item_id", "lot_id", "lots", "item_id", "id")
        .rule(
            new RowRule(
                "quantity_pc_or_l",
                "0 where kind is revalued, and nowhere else",
                row ->
                    (new BigDecimal(row.get("quantity_pc_or_l")).signum() == 0)
                        == row.get("kind").equals("revalued")))
        .build();
  }
}
