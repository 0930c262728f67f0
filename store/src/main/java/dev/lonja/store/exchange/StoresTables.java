package dev.lonja.store.exchange;

import static dev.lonja.store.exchange.Column.number;
import static dev.lonja.store.exchange.Column.of;
import static dev.lonja.store.exchange.Column.reference;
import static dev.lonja.store.exchange.ExchangeTables.MOST;
import static dev.lonja.store.exchange.ExchangeTables.QUANTITY_MICRO;
import static dev.lonja.store.exchange.Format.instant;
import static dev.lonja.store.exchange.Format.scaled;
import static dev.lonja.store.exchange.Format.symbol;
import static dev.lonja.store.exchange.Format.text;
import static dev.lonja.store.exchange.Format.whole;
import static dev.lonja.store.exchange.Format.words;
import static dev.lonja.store.exchange.Format.yesNo;
import static dev.lonja.store.schema.Tables.DELIVERY_TEMPERATURE;
import static dev.lonja.store.schema.Tables.DISPENSER;
import static dev.lonja.store.schema.Tables.DISPENSER_USE;
import static dev.lonja.store.schema.Tables.METERED_POUR;
import static dev.lonja.store.schema.Tables.STOCKTAKE;
import static dev.lonja.store.schema.Tables.STOCK_COUNT;
import static dev.lonja.store.schema.Tables.TANK;
import static dev.lonja.store.schema.Tables.TANK_CLEANING;
import static dev.lonja.store.schema.Tables.TANK_DIP;
import static dev.lonja.store.schema.Tables.WASTE_CERTIFICATE;
import static dev.lonja.store.schema.Tables.WASTE_COLLECTION;
import static dev.lonja.store.schema.Tables.WASTE_CONTAINER;
import static dev.lonja.store.schema.Tables.WASTE_ENTRY;
import static dev.lonja.store.schema.Tables.WASTE_STREAM;

import dev.lonja.core.count.Stocktake;
import dev.lonja.core.tank.Dip;
import dev.lonja.core.tank.Dispenser;
import dev.lonja.core.tank.Tank;
import dev.lonja.core.tank.TankShape;
import dev.lonja.core.text.Lengths;
import dev.lonja.core.waste.WasteContainer;
import dev.lonja.core.waste.WasteKind;
import dev.lonja.core.waste.WasteStream;
import dev.lonja.store.count.CountRepository;
import java.util.List;
import java.util.Map;
import org.jooq.TableField;

/** Tanks and what is read off them; waste and its containers. */
final class StoresTables {

  static final List<ExchangeTable> ALL =
      List.of(
          tanks(),
          dips(),
          meteredPours(),
          cleanings(),
          deliveryTemperatures(),
          streams(),
          containers(),
          dispensers(),
          stocktakes(),
          counts());

  /** They name trays. */
  static final List<ExchangeTable> WASTE =
      List.of(entries(), collections(), certificates(), dispenserUses());

  private static final long MICROMETRES = 1_000;

  /** The most that one pour may be: a million litres. */
  private static final long MICROLITRES = 1_000_000_000_000L;

  private StoresTables() {}

  private static ExchangeTable tanks() {
    return ExchangeTable.named("tanks", TANK)
        .with(number("id", TANK.ID, "number of the row"))
        .with(of("name", TANK.NAME, text(Lengths.SHORT), "what it is called"))
        .with(reference("bin_id", TANK.BIN_ID, "bins", "where it stands"))
        .with(reference("item_id", TANK.ITEM_ID, "items", "what it holds"))
        .with(of("shape", TANK.SHAPE, words(TankShape.Kind.values()), "how it is built"))
        .with(side("diameter_mm", TANK.DIAMETER_UM, "of a cylinder, inside"))
        .with(side("length_mm", TANK.LENGTH_UM, "inside, without the heads"))
        .with(side("width_mm", TANK.WIDTH_UM, "inside"))
        .with(side("height_mm", TANK.HEIGHT_UM, "inside"))
        .with(of("straps", TANK.STRAPS, Format.straps(), "its strapping table").optional())
        .with(
            of(
                "safe_fill_percent",
                TANK.SAFE_FILL_PERCENT,
                whole(Tank.LEAST_FILL, Tank.MOST_FILL),
                "of full, as much as is ever in it"))
        .with(
            of(
                "dip_error_mm",
                TANK.DIP_ERROR_UM,
                scaled(3, 1, Tank.MOST_ERROR.micrometres()),
                "how far a dip may be off"))
        .with(of("gauged", TANK.GAUGED, yesNo(), "whether a gauge reports it"))
        .with(of("version", TANK.VERSION, whole(0, MOST), "number of edits"))
        .unique("name")
        .unique("bin_id")
        .filledExactlyFor("diameter_mm", "shape", "upright", "lying", "lying_with_heads")
        .filledExactlyFor("length_mm", "shape", "box", "lying", "lying_with_heads")
        .filledExactlyFor("width_mm", "shape", "box")
        .filledExactlyFor("height_mm", "shape", "upright", "box")
        .filledExactlyFor("straps", "shape", "table")
        .build();
  }

  private static Column<Long> side(String name, TableField<?, Long> field, String meaning) {
    return of(
            name,
            field,
            scaled(3, TankShape.LEAST_MM * MICROMETRES, TankShape.MOST_MM * MICROMETRES),
            meaning)
        .optional();
  }

  private static ExchangeTable dips() {
    return ExchangeTable.named("tank_dips", TANK_DIP)
        .with(number("id", TANK_DIP.ID, "number of the row"))
        .with(reference("tank_id", TANK_DIP.TANK_ID, "tanks", "the tank"))
        .with(of("dipped_at", TANK_DIP.DIPPED_AT, instant(), "when it was dipped"))
        .with(
            of(
                "height_mm",
                TANK_DIP.HEIGHT_UM,
                scaled(3, 0, TankShape.MOST_MM * MICROMETRES),
                "how high it stood, from the bottom"))
        .with(
            of(
                    "temperature_c",
                    TANK_DIP.TEMPERATURE_TENTHS,
                    temperature(),
                    "of the fluid; empty if not measured")
                .optional())
        .with(of("by_gauge", TANK_DIP.BY_GAUGE, yesNo(), "whether a gauge said so"))
        .with(
            of(
                    "agreed_why",
                    TANK_DIP.AGREED_WHY,
                    text(Lengths.REASON),
                    "why the difference to the book was closed at it")
                .optional())
        .with(
            of(
                    "withdrawn_why",
                    TANK_DIP.WITHDRAWN_WHY,
                    text(Lengths.REASON),
                    "why it counts no more")
                .optional())
        .with(of("actor", TANK_DIP.ACTOR, text(Lengths.NAME), "who noted it"))
        .with(of("recorded_at", TANK_DIP.RECORDED_AT, instant(), "when"))
        .rule(new RowRule("withdrawn_why", "empty where agreed_why is filled", StoresTables::isOne))
        .build();
  }

  private static boolean isOne(Map<String, String> row) {
    return row.get("agreed_why").isEmpty() || row.get("withdrawn_why").isEmpty();
  }

  private static Format<Long> temperature() {
    return scaled(1, Dip.COLDEST.tenthsCelsius(), Dip.WARMEST.tenthsCelsius());
  }

  private static ExchangeTable meteredPours() {
    return ExchangeTable.named("metered_pours", METERED_POUR)
        .with(number("id", METERED_POUR.ID, "number of the row"))
        .with(reference("tank_id", METERED_POUR.TANK_ID, "tanks", "the tank"))
        .with(of("poured_at", METERED_POUR.POURED_AT, instant(), "when it ran"))
        .with(of("volume_l", METERED_POUR.VOLUME_UL, scaled(6, 1, MICROLITRES), "how much ran"))
        .with(of("recorded_at", METERED_POUR.RECORDED_AT, instant(), "when it was taken in"))
        .unique("tank_id", "poured_at")
        .build();
  }

  private static ExchangeTable cleanings() {
    return ExchangeTable.named("tank_cleanings", TANK_CLEANING)
        .with(number("id", TANK_CLEANING.ID, "number of the row"))
        .with(reference("tank_id", TANK_CLEANING.TANK_ID, "tanks", "the tank"))
        .with(reference("held_item_id", TANK_CLEANING.HELD_ITEM_ID, "items", "what it held before"))
        .with(of("note", TANK_CLEANING.NOTE, text(Lengths.REASON), "how it was done").orEmptyText())
        .with(of("actor", TANK_CLEANING.ACTOR, text(Lengths.NAME), "who recorded it"))
        .with(of("recorded_at", TANK_CLEANING.RECORDED_AT, instant(), "when"))
        .build();
  }

  private static ExchangeTable deliveryTemperatures() {
    return ExchangeTable.named("delivery_temperatures", DELIVERY_TEMPERATURE)
        .with(
            reference(
                "movement_id", DELIVERY_TEMPERATURE.MOVEMENT_ID, "movements", "what took it in"))
        .with(
            of(
                "temperature_c",
                DELIVERY_TEMPERATURE.TEMPERATURE_TENTHS,
                temperature(),
                "by the delivery's note"))
        .unique("movement_id")
        .build();
  }

  private static ExchangeTable counts() {
    return ExchangeTable.named("stock_counts", STOCK_COUNT)
        .with(number("id", STOCK_COUNT.ID, "number of the row"))
        .with(reference("item_id", STOCK_COUNT.ITEM_ID, "items", "what was counted"))
        .with(reference("bin_id", STOCK_COUNT.BIN_ID, "bins", "where"))
        .with(
            of(
                "counted_pc_or_l",
                STOCK_COUNT.COUNTED_MICRO,
                scaled(6, 0, QUANTITY_MICRO),
                "how much was there"))
        .with(
            of(
                "book_pc_or_l",
                STOCK_COUNT.BOOK_MICRO,
                scaled(6, 0, QUANTITY_MICRO),
                "how much there was by the book"))
        .with(
            of(
                "state",
                STOCK_COUNT.STATE,
                words(CountRepository.State.values()),
                "what came of it"))
        .with(
            of("reason", STOCK_COUNT.REASON, text(Lengths.REASON), "why it differs").orEmptyText())
        .with(of("actor", STOCK_COUNT.ACTOR, text(Lengths.NAME), "who counted"))
        .with(of("counted_at", STOCK_COUNT.COUNTED_AT, instant(), "when"))
        .with(
            reference(
                    "stocktake_id",
                    STOCK_COUNT.STOCKTAKE_ID,
                    "stocktakes",
                    "of which it is; empty for one of the day's")
                .optional())
        .rule(
            new RowRule(
                "stocktake_id",
                "a stocktake where the state is differs or dropped",
                row ->
                    !List.of("differs", "dropped").contains(row.get("state"))
                        || !row.get("stocktake_id").isEmpty()))
        .build();
  }

  private static ExchangeTable dispensers() {
    return ExchangeTable.named("dispensers", DISPENSER)
        .with(number("id", DISPENSER.ID, "number of the row"))
        .with(of("name", DISPENSER.NAME, text(Lengths.SHORT), "what its label says"))
        .with(of("kind", DISPENSER.KIND, words(Dispenser.Kind.values()), "what it is"))
        .with(of("retired", DISPENSER.RETIRED, yesNo(), "whether it is out of use"))
        .unique("name")
        .build();
  }

  private static ExchangeTable dispenserUses() {
    return ExchangeTable.named("dispenser_uses", DISPENSER_USE)
        .with(number("id", DISPENSER_USE.ID, "number of the row"))
        .with(
            reference(
                "dispenser_id", DISPENSER_USE.DISPENSER_ID, "dispensers", "what was poured with"))
        .with(
            reference(
                    "product_id",
                    DISPENSER_USE.PRODUCT_ID,
                    "products",
                    "what was poured; empty if it was cleaned")
                .optional())
        .with(
            reference("tray_id", DISPENSER_USE.TRAY_ID, "trays", "for which it was poured")
                .optional())
        .with(of("actor", DISPENSER_USE.ACTOR, text(Lengths.NAME), "who did it"))
        .with(of("used_at", DISPENSER_USE.USED_AT, instant(), "when"))
        .rule(
            new RowRule(
                "tray_id",
                "empty where it was cleaned",
                row -> row.get("tray_id").isEmpty() || !row.get("product_id").isEmpty()))
        .build();
  }

  private static ExchangeTable stocktakes() {
    return ExchangeTable.named("stocktakes", STOCKTAKE)
        .with(number("id", STOCKTAKE.ID, "number of the row"))
        .with(of("begun_by", STOCKTAKE.BEGUN_BY, text(Lengths.NAME), "who began it"))
        .with(of("begun_at", STOCKTAKE.BEGUN_AT, instant(), "when"))
        .with(
            of(
                    "how",
                    STOCKTAKE.HOW,
                    words(Stocktake.How.values()),
                    "how it ended; empty while it is open")
                .optional())
        .with(of("ended_by", STOCKTAKE.ENDED_BY, text(Lengths.NAME), "who ended it").optional())
        .with(of("ended_at", STOCKTAKE.ENDED_AT, instant(), "when").optional())
        .rule(
            new RowRule(
                "how",
                "ended_by and ended_at with it, or none of the three",
                row ->
                    row.get("how").isEmpty() == row.get("ended_by").isEmpty()
                        && row.get("how").isEmpty() == row.get("ended_at").isEmpty()))
        .build();
  }

  private static ExchangeTable streams() {
    return ExchangeTable.named("waste_streams", WASTE_STREAM)
        .with(number("id", WASTE_STREAM.ID, "number of the row"))
        .with(of("kind", WASTE_STREAM.KIND, words(WasteKind.values()), "what it is"))
        .with(of("name", WASTE_STREAM.NAME, text(Lengths.SHORT), "what it is called here"))
        .with(of("code", WASTE_STREAM.CODE, text(Lengths.CODE), "local waste code").orEmptyText())
        .with(of("unit", WASTE_STREAM.MEASURE, symbol("pc", "L", "kg"), "what it is counted in"))
        .with(
            of(
                    "limit_days",
                    WASTE_STREAM.LIMIT_DAYS,
                    whole(1, WasteStream.MOST_DAYS),
                    "for how long it may be stored")
                .optional())
        .unique("kind")
        .unique("name")
        .build();
  }

  private static ExchangeTable containers() {
    return ExchangeTable.named("waste_containers", WASTE_CONTAINER)
        .with(number("id", WASTE_CONTAINER.ID, "number of the row"))
        .with(of("name", WASTE_CONTAINER.NAME, text(Lengths.SHORT), "what it is called"))
        .with(reference("stream_id", WASTE_CONTAINER.STREAM_ID, "waste_streams", "what goes in"))
        .with(
            of(
                "capacity",
                WASTE_CONTAINER.CAPACITY_MICRO,
                scaled(6, 1, QUANTITY_MICRO),
                "how much it holds, in the stream's unit"))
        .with(of("place", WASTE_CONTAINER.PLACE, text(Lengths.SHORT), "where it is").orEmptyText())
        .with(
            of(
                "lead_days",
                WASTE_CONTAINER.LEAD_DAYS,
                whole(0, WasteContainer.MOST_LEAD),
                "days from the call to the collection"))
        .unique("name")
        .build();
  }

  private static ExchangeTable entries() {
    return ExchangeTable.named("waste_entries", WASTE_ENTRY)
        .with(number("id", WASTE_ENTRY.ID, "number of the row"))
        .with(
            reference("container_id", WASTE_ENTRY.CONTAINER_ID, "waste_containers", "where it is"))
        .with(of("put_at", WASTE_ENTRY.PUT_AT, instant(), "when it was put in"))
        .with(
            of(
                "quantity",
                WASTE_ENTRY.QUANTITY_MICRO,
                scaled(6, 1, QUANTITY_MICRO),
                "how much, in the stream's unit"))
        .with(reference("tray_id", WASTE_ENTRY.TRAY_ID, "trays", "whose job it was of").optional())
        .with(of("origin", WASTE_ENTRY.ORIGIN, text(Lengths.REASON), "where from").orEmptyText())
        .with(
            of(
                    "withdrawn_why",
                    WASTE_ENTRY.WITHDRAWN_WHY,
                    text(Lengths.REASON),
                    "why it counts no more")
                .optional())
        .with(of("actor", WASTE_ENTRY.ACTOR, text(Lengths.NAME), "who put it in"))
        .with(of("recorded_at", WASTE_ENTRY.RECORDED_AT, instant(), "when it was noted"))
        .build();
  }

  private static ExchangeTable certificates() {
    return ExchangeTable.named("waste_certificates", WASTE_CERTIFICATE)
        .with(number("id", WASTE_CERTIFICATE.ID, "number of the row"))
        .with(
            reference(
                "collection_id",
                WASTE_CERTIFICATE.COLLECTION_ID,
                "waste_collections",
                "what it proves"))
        .with(
            of(
                "media_type",
                WASTE_CERTIFICATE.MEDIA_TYPE,
                symbol(RecordTables.PHOTO, RecordTables.DOCUMENT),
                "its type"))
        .with(
            of("content_base64", WASTE_CERTIFICATE.CONTENT, Format.receipt(), "the certificate")
                .optional())
        .with(
            of(
                    "withdrawn_why",
                    WASTE_CERTIFICATE.WITHDRAWN_WHY,
                    text(Lengths.REASON),
                    "why it counts no more")
                .optional())
        .with(of("actor", WASTE_CERTIFICATE.ACTOR, text(Lengths.NAME), "who kept it"))
        .with(of("recorded_at", WASTE_CERTIFICATE.RECORDED_AT, instant(), "when"))
        .rule(
            new RowRule(
                "content_base64",
                "filled exactly where withdrawn_why is not, with what media_type says",
                RecordTables::holdsWhatItSays))
        .build();
  }

  private static ExchangeTable collections() {
    return ExchangeTable.named("waste_collections", WASTE_COLLECTION)
        .with(number("id", WASTE_COLLECTION.ID, "number of the row"))
        .with(
            reference(
                "container_id", WASTE_COLLECTION.CONTAINER_ID, "waste_containers", "the container"))
        .with(of("collected_at", WASTE_COLLECTION.COLLECTED_AT, instant(), "when"))
        .with(
            of(
                "quantity",
                WASTE_COLLECTION.QUANTITY_MICRO,
                scaled(6, 1, QUANTITY_MICRO),
                "how much was taken, in the stream's unit"))
        .with(
            of(
                "left",
                WASTE_COLLECTION.LEFT_MICRO,
                scaled(6, 0, QUANTITY_MICRO),
                "how much stayed in it"))
        .with(of("carrier", WASTE_COLLECTION.CARRIER, text(Lengths.NAME), "who took it"))
        .with(of("document", WASTE_COLLECTION.DOCUMENT, text(Lengths.SHORT), "number of the paper"))
        .with(of("actor", WASTE_COLLECTION.ACTOR, text(Lengths.NAME), "who recorded it"))
        .with(of("recorded_at", WASTE_COLLECTION.RECORDED_AT, instant(), "when it was recorded"))
        .build();
  }
}
