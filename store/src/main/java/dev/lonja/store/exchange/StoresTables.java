package dev.lonja.store.exchange;

import static dev.lonja.store.exchange.Column.number;
import static dev.lonja.store.exchange.Column.of;
import static dev.lonja.store.exchange.Column.reference;
import static dev.lonja.store.exchange.ExchangeTables.MOST;
import static dev.lonja.store.exchange.Format.instant;
import static dev.lonja.store.exchange.Format.scaled;
import static dev.lonja.store.exchange.Format.text;
import static dev.lonja.store.exchange.Format.whole;
import static dev.lonja.store.exchange.Format.words;
import static dev.lonja.store.exchange.Format.yesNo;
import static dev.lonja.store.schema.Tables.DELIVERY_TEMPERATURE;
import static dev.lonja.store.schema.Tables.TANK;
import static dev.lonja.store.schema.Tables.TANK_CLEANING;
import static dev.lonja.store.schema.Tables.TANK_DIP;

import dev.lonja.core.tank.Dip;
import dev.lonja.core.tank.Tank;
import dev.lonja.core.tank.TankShape;
import dev.lonja.core.text.Lengths;
import java.util.List;
import java.util.Map;
import org.jooq.TableField;

/** Tanks and what is read off them. */
final class StoresTables {

  static final List<ExchangeTable> ALL =
      List.of(tanks(), dips(), cleanings(), deliveryTemperatures());

  private static final long MICROMETRES = 1_000;

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
}
