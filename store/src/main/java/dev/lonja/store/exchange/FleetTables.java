package dev.lonja.store.exchange;

import static dev.lonja.store.exchange.Column.number;
import static dev.lonja.store.exchange.Column.of;
import static dev.lonja.store.exchange.Column.reference;
import static dev.lonja.store.exchange.ExchangeTables.LENGTH_UM;
import static dev.lonja.store.exchange.ExchangeTables.LITRES_UL;
import static dev.lonja.store.exchange.ExchangeTables.MOST;
import static dev.lonja.store.exchange.ExchangeTables.POWER_W;
import static dev.lonja.store.exchange.ExchangeTables.TORQUE_MNM;
import static dev.lonja.store.exchange.Format.date;
import static dev.lonja.store.exchange.Format.materials;
import static dev.lonja.store.exchange.Format.scaled;
import static dev.lonja.store.exchange.Format.text;
import static dev.lonja.store.exchange.Format.whole;
import static dev.lonja.store.exchange.Format.words;
import static dev.lonja.store.exchange.Format.yesNo;
import static dev.lonja.store.schema.Tables.CAPACITY;
import static dev.lonja.store.schema.Tables.CLASS_MONTH;
import static dev.lonja.store.schema.Tables.COMPARTMENT;
import static dev.lonja.store.schema.Tables.LAY_UP;
import static dev.lonja.store.schema.Tables.MODEL;
import static dev.lonja.store.schema.Tables.POSITION;
import static dev.lonja.store.schema.Tables.UNIT;
import static dev.lonja.store.schema.Tables.UNIT_CLASS;
import static dev.lonja.store.schema.Tables.VARIANT;

import dev.lonja.core.fleet.Arrow;
import dev.lonja.core.fleet.Compartment;
import dev.lonja.core.fleet.FillCondition;
import dev.lonja.core.fleet.LevelMethod;
import dev.lonja.core.fleet.Mounting;
import dev.lonja.core.fleet.Outline;
import dev.lonja.core.fleet.Position;
import dev.lonja.core.fluid.BrakeBase;
import dev.lonja.core.fluid.Chemistry;
import dev.lonja.core.fluid.Spec;
import dev.lonja.core.grade.FluidKind;
import dev.lonja.core.quantity.Limits;
import dev.lonja.core.text.Lengths;
import java.time.LocalDate;
import java.util.List;

/** The machines, and what their variants are made of. */
final class FleetTables {

  static final List<ExchangeTable> ALL =
      List.of(
          classes(),
          classMonths(),
          models(),
          variants(),
          units(),
          layUps(),
          compartments(),
          capacities(),
          positions());

  private FleetTables() {}

  private static ExchangeTable classes() {
    return ExchangeTable.named("classes", UNIT_CLASS)
        .with(number("id", UNIT_CLASS.ID, "number of the row"))
        .with(of("code", UNIT_CLASS.CODE, text(Lengths.CODE), "short name"))
        .with(of("name", UNIT_CLASS.NAME, text(Lengths.NAME), "name"))
        .with(of("outline", UNIT_CLASS.OUTLINE, words(Outline.values()), "how it is drawn"))
        .with(of("version", UNIT_CLASS.VERSION, whole(0, MOST), "number of edits"))
        .unique("code")
        .build();
  }

  private static ExchangeTable classMonths() {
    return ExchangeTable.named("class_months", CLASS_MONTH)
        .with(number("id", CLASS_MONTH.ID, "number of the row"))
        .with(reference("class_id", CLASS_MONTH.CLASS_ID, "classes", "the class"))
        .with(of("month", CLASS_MONTH.MONTH, whole(1, 12), "1 for January"))
        .with(
            of(
                "factor",
                CLASS_MONTH.FACTOR_E4,
                scaled(4, 0, 10_000L * Limits.MONTH_FACTOR),
                "use against the mean month; the twelve have mean 1"))
        .unique("class_id", "month")
        .build();
  }

  private static ExchangeTable models() {
    return ExchangeTable.named("models", MODEL)
        .with(number("id", MODEL.ID, "number of the row"))
        .with(of("make", MODEL.MAKE, text(Lengths.NAME), "who makes it"))
        .with(of("name", MODEL.NAME, text(Lengths.NAME), "what it is called"))
        .unique("make", "name")
        .build();
  }

  private static ExchangeTable variants() {
    return ExchangeTable.named("variants", VARIANT)
        .with(number("id", VARIANT.ID, "number of the row"))
        .with(reference("model_id", VARIANT.MODEL_ID, "models", "the model"))
        .with(
            of("name", VARIANT.NAME, text(Lengths.NAME), "what tells it from others").orEmptyText())
        .with(
            of("engine", VARIANT.ENGINE, text(Lengths.NAME), "its engine's code, as on its plate")
                .orEmptyText())
        .with(of("power_kw", VARIANT.POWER_W, POWER_W, "what its engine gives").optional())
        .with(of("version", VARIANT.VERSION, whole(0, MOST), "number of edits"))
        .unique("model_id", "name")
        .build();
  }

  private static ExchangeTable units() {
    return ExchangeTable.named("units", UNIT)
        .with(number("id", UNIT.ID, "number of the row"))
        .with(of("code", UNIT.CODE, text(Lengths.CODE), "short name on the machine"))
        .with(of("name", UNIT.NAME, text(Lengths.NAME), "what it is"))
        .with(reference("class_id", UNIT.CLASS_ID, "classes", "its class"))
        .with(reference("variant_id", UNIT.VARIANT_ID, "variants", "what it is made of"))
        .with(PlaceTables.at("satellite_id", UNIT.SATELLITE_ID, "where it is served from"))
        .with(of("in_service_on", UNIT.IN_SERVICE_ON, date(), "first day of service"))
        .with(of("retired_on", UNIT.RETIRED_ON, date(), "the day it left the fleet").optional())
        .with(of("version", UNIT.VERSION, whole(0, MOST), "number of edits"))
        .unique("code")
        .build();
  }

  private static ExchangeTable layUps() {
    return ExchangeTable.named("lay_ups", LAY_UP)
        .with(number("id", LAY_UP.ID, "number of the row"))
        .with(reference("unit_id", LAY_UP.UNIT_ID, "units", "the unit laid up"))
        .with(of("first_on", LAY_UP.FIRST_ON, date(), "first day out of use"))
        .with(of("last_on", LAY_UP.LAST_ON, date(), "last day out of use"))
        .rule(
            new RowRule(
                "last_on",
                "not before first_on",
                row ->
                    !LocalDate.parse(row.get("last_on"))
                        .isBefore(LocalDate.parse(row.get("first_on")))))
        .build();
  }

  private static ExchangeTable compartments() {
    return ExchangeTable.named("compartments", COMPARTMENT)
        .with(number("id", COMPARTMENT.ID, "number of the row"))
        .with(reference("variant_id", COMPARTMENT.VARIANT_ID, "variants", "the variant"))
        .with(of("name", COMPARTMENT.NAME, text(Lengths.NAME), "name"))
        .with(of("kind", COMPARTMENT.KIND, words(Compartment.Kind.values()), "kind"))
        .with(reference("item_id", COMPARTMENT.ITEM_ID, "items", "preferred fluid").optional())
        .with(of("hint", COMPARTMENT.HINT, text(Lengths.REASON), "order of the work").orEmptyText())
        .with(of("fluid", COMPARTMENT.FLUID_KIND, words(FluidKind.values()), "what it holds"))
        .with(
            of(
                "approval_mode",
                COMPARTMENT.APPROVAL_MODE,
                words(Spec.ApprovalMode.values()),
                "whether classes do without an approval"))
        .with(
            of(
                    "most_ash_pct",
                    COMPARTMENT.MOST_ASH_E3,
                    scaled(3, 0, 1_000L * Limits.PER_CENT),
                    "sulphated ash")
                .optional())
        .with(
            of("least_zinc_mg_kg", COMPARTMENT.LEAST_ZINC_MG_KG, whole(0, Limits.MG_KG), "zinc")
                .optional())
        .with(
            of(
                "friction_modifier",
                COMPARTMENT.FRICTION_MODIFIER,
                words(Spec.FrictionModifier.values()),
                "what is demanded of it"))
        .with(of("wet_clutch", COMPARTMENT.WET_CLUTCH, yesNo(), "runs on a wet clutch"))
        .with(of("biodegradable", COMPARTMENT.BIODEGRADABLE, yesNo(), "must be, readily"))
        .with(
            of("chemistry", COMPARTMENT.CHEMISTRY, words(Chemistry.values()), "coolant family")
                .optional())
        .with(of("base", COMPARTMENT.BASE, words(BrakeBase.values()), "of brake fluid").optional())
        .with(
            of(
                    "protect_to_c",
                    COMPARTMENT.PROTECT_TENTHS_C,
                    scaled(1, -800, 0),
                    "must not freeze above")
                .optional())
        .with(
            of(
                    "mix_share",
                    COMPARTMENT.MIX_SHARE_E4,
                    scaled(4, 1, 10_000),
                    "part of concentrate that it must have")
                .optional())
        .with(
            of(
                    "level",
                    COMPARTMENT.LEVEL_METHOD,
                    words(LevelMethod.Kind.values()),
                    "how it is read")
                .optional())
        .with(
            of(
                    "stick_warmth",
                    COMPARTMENT.STICK_WARMTH,
                    words(LevelMethod.Warmth.values()),
                    "how its stick is read")
                .optional())
        .with(
            of("stick_seat", COMPARTMENT.STICK_SEAT, words(LevelMethod.Seat.values()), "how deep")
                .optional())
        .with(
            of(
                    "stick_stance",
                    COMPARTMENT.STICK_STANCE,
                    words(LevelMethod.Stance.values()),
                    "how the machine stands")
                .optional())
        .with(
            of(
                    "gauge_c",
                    COMPARTMENT.GAUGE_CELSIUS,
                    whole(LevelMethod.Gauge.COOLEST, LevelMethod.Gauge.HOTTEST),
                    "at which °C its gauge is read")
                .optional())
        .with(
            of("hold_back_pct", COMPARTMENT.HOLD_BACK_E4, scaled(2, 0, 5_000), "its own hold-back")
                .optional())
        .with(
            reference("flush_item_id", COMPARTMENT.FLUSH_ITEM_ID, "items", "flushed with")
                .optional())
        .with(
            of("flush_l", COMPARTMENT.FLUSH_UL, scaled(6, 1, 100_000_000_000L), "so much of it")
                .optional())
        .with(
            of("top_up_l", COMPARTMENT.TOP_UP_UL, scaled(6, 1, LITRES_UL), "added between services")
                .optional())
        .with(
            of(
                    "top_up_meter",
                    COMPARTMENT.TOP_UP_METER,
                    text(Lengths.SHORT),
                    "for each 100 h or 1,000 km of this meter")
                .optional())
        .together("flush_item_id", "flush_l")
        .together("top_up_l", "top_up_meter")
        .filledExactlyFor("stick_warmth", "level", "dipstick")
        .filledExactlyFor("stick_seat", "level", "dipstick")
        .filledExactlyFor("stick_stance", "level", "dipstick")
        .filledExactlyFor("gauge_c", "level", "gauge")
        .unique("variant_id", "name")
        .build();
  }

  private static ExchangeTable capacities() {
    return ExchangeTable.named("capacities", CAPACITY)
        .with(number("id", CAPACITY.ID, "number of the row"))
        .with(reference("compartment_id", CAPACITY.COMPARTMENT_ID, "compartments", "which"))
        .with(
            of(
                "condition",
                CAPACITY.CONDITION,
                words(FillCondition.values()),
                "the state it is filled in"))
        .with(of("volume_l", CAPACITY.VOLUME_UL, scaled(6, 1, LITRES_UL), "litres it takes"))
        .with(
            of("high_l", CAPACITY.HIGH_UL, scaled(6, 1, LITRES_UL), "the high end of a range")
                .optional())
        .above("high_l", "volume_l")
        .unique("compartment_id", "condition")
        .build();
  }

  private static ExchangeTable positions() {
    return ExchangeTable.named("positions", POSITION)
        .with(number("id", POSITION.ID, "number of the row"))
        .with(reference("variant_id", POSITION.VARIANT_ID, "variants", "the variant"))
        .with(
            reference("compartment_id", POSITION.COMPARTMENT_ID, "compartments", "belongs to")
                .optional())
        .with(of("name", POSITION.NAME, text(Lengths.NAME), "name"))
        .with(of("kind", POSITION.KIND, words(Position.Kind.values()), "what it takes"))
        .with(reference("item_id", POSITION.ITEM_ID, "items", "preferred part").optional())
        .with(of("quantity", POSITION.QUANTITY, whole(1, Limits.PIECES), "pieces it takes"))
        .with(
            of("strokes", POSITION.STROKES, whole(1, Limits.PIECES), "of the gun at each point")
                .optional())
        .with(
            of("torque_low_nm", POSITION.TORQUE_LOW_MNM, scaled(3, 1, TORQUE_MNM), "from")
                .optional())
        .with(
            of("torque_high_nm", POSITION.TORQUE_HIGH_MNM, scaled(3, 1, TORQUE_MNM), "to")
                .optional())
        .with(
            of("mounting", POSITION.MOUNTING, words(Mounting.values()), "how a filter sits")
                .optional())
        .with(
            of("arrow", POSITION.ARROW, words(Arrow.values()), "where the arrow on it points")
                .optional())
        .with(of("thread", POSITION.THREAD, text(Lengths.SHORT), "thread of a plug").orEmptyText())
        .with(of("drive", POSITION.DRIVE, text(Lengths.SHORT), "what turns a plug").orEmptyText())
        .with(of("note", POSITION.NOTE, text(Lengths.REASON), "what to watch for").orEmptyText())
        .with(
            of("most_height_mm", POSITION.MOST_HEIGHT_UM, scaled(3, 1, LENGTH_UM), "room above")
                .optional())
        .with(
            of("most_outer_mm", POSITION.MOST_OUTER_UM, scaled(3, 1, LENGTH_UM), "room around")
                .optional())
        .with(of("water_separator", POSITION.WATER_SEPARATOR, yesNo(), "whether it needs one"))
        .with(
            of("materials", POSITION.MATERIALS, materials(), "what a seal may be of").orEmptyText())
        .unique("variant_id", "name")
        .together("torque_low_nm", "torque_high_nm")
        .rule(
            new RowRule(
                "strokes",
                "nothing but at a grease_point",
                row -> row.get("strokes").isEmpty() || row.get("kind").equals("grease_point")))
        .build();
  }
}
