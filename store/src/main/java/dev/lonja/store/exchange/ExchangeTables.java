package dev.lonja.store.exchange;

import static dev.lonja.store.exchange.Column.of;
import static dev.lonja.store.exchange.Column.reference;
import static dev.lonja.store.exchange.Format.date;
import static dev.lonja.store.exchange.Format.id;
import static dev.lonja.store.exchange.Format.instant;
import static dev.lonja.store.exchange.Format.oneOf;
import static dev.lonja.store.exchange.Format.scaled;
import static dev.lonja.store.exchange.Format.symbol;
import static dev.lonja.store.exchange.Format.text;
import static dev.lonja.store.exchange.Format.whole;
import static dev.lonja.store.exchange.Format.yesNo;
import static dev.lonja.store.schema.Tables.*;

import dev.lonja.core.fleet.Compartment;
import dev.lonja.core.fleet.FillCondition;
import dev.lonja.core.fleet.Position;
import dev.lonja.core.item.Family;
import dev.lonja.core.item.Product;
import dev.lonja.core.ledger.MovementKind;
import dev.lonja.core.part.PartKey;
import dev.lonja.store.fleet.ReadingRepository;
import dev.lonja.store.person.Person;
import dev.lonja.store.tray.Tray;
import java.time.LocalDate;
import java.util.Arrays;
import java.util.List;
import java.util.Map;

/** Every table of the exchange format, in an order in which each row finds what it refers to. */
final class ExchangeTables {

  private static final long MOST = 999_999_999_999L;
  private static final long MOST_UL = 1_000_000_000_000L;
  private static final long MOST_TENTHS = 100_000_000L;

  static final List<ExchangeTable> ALL =
      List.of(
          settings(),
          people(),
          bins(),
          products(),
          items(),
          classes(),
          classMonths(),
          units(),
          layUps(),
          meters(),
          readings(),
          compartments(),
          capacities(),
          positions(),
          services(),
          tasks(),
          lots(),
          requests(),
          movements(),
          trays(),
          trayTasks(),
          trayLines(),
          taskRecords(),
          auditLines());

  private ExchangeTables() {}

  private static ExchangeTable settings() {
    return ExchangeTable.named("settings", SETTING)
        .with(
            of(
                "name",
                SETTING.NAME,
                symbol("store_name", "currency", "time_zone"),
                "which setting"))
        .with(of("value", SETTING.VALUE, text(120), "its value"))
        .rule(new RowRule("value", "an ISO 4217 code or a time zone's name", SettingRules::isKnown))
        .build();
  }

  private static ExchangeTable people() {
    return ExchangeTable.named("people", PERSON)
        .with(of("id", PERSON.ID, id(), "number of the row"))
        .with(of("name", PERSON.NAME, text(60), "name to sign in with"))
        .with(of("role", PERSON.ROLE, words(Person.Role.values()), "what the person may do"))
        .with(of("active", PERSON.ACTIVE, yesNo(), "whether the person may sign in"))
        .unique("name")
        .build();
  }

  private static ExchangeTable bins() {
    return ExchangeTable.named("bins", BIN)
        .with(of("id", BIN.ID, id(), "number of the row"))
        .with(of("address", BIN.ADDRESS, text(12), "what stands on the shelf"))
        .with(of("walk_order", BIN.WALK_ORDER, whole(1, 999_999), "place on the walk"))
        .unique("address")
        .unique("walk_order")
        .build();
  }

  private static ExchangeTable products() {
    return ExchangeTable.named("products", PRODUCT)
        .with(of("id", PRODUCT.ID, id(), "number of the row"))
        .with(of("make", PRODUCT.MAKE, text(60), "who makes it"))
        .with(of("name", PRODUCT.NAME, text(60), "what it is called"))
        .with(of("kind", PRODUCT.KIND, words(Product.Kind.values()), "what it is for"))
        .with(of("grade", PRODUCT.GRADE, text(20), "viscosity grade").orEmptyText())
        .with(of("classes", PRODUCT.CLASSES, text(120), "service classes claimed").orEmptyText())
        .unique("make", "name")
        .build();
  }

  private static ExchangeTable items() {
    return ExchangeTable.named("items", ITEM)
        .with(of("id", ITEM.ID, id(), "number of the row"))
        .with(of("make", ITEM.MAKE, text(60), "whose number it is"))
        .with(of("number", ITEM.NUMBER, Format.partNumber(), "part number as printed"))
        .with(of("description", ITEM.DESCRIPTION, text(120), "what it is"))
        .with(of("family", ITEM.FAMILY, words(Family.values()), "kind of thing"))
        .with(of("unit", ITEM.MEASURE, symbol("pc", "L"), "what it is counted in"))
        .with(reference("product_id", ITEM.PRODUCT_ID, "products", "the fluid in it").optional())
        .with(of("pack_l", ITEM.PACK_UL, scaled(6, 1, MOST_UL), "litres in a pack").optional())
        .with(
            of("filter_volume_l", ITEM.FILTER_VOLUME_UL, scaled(6, 1, MOST_UL), "oil in a filter")
                .optional())
        .with(reference("home_bin_id", ITEM.HOME_BIN_ID, "bins", "where it belongs"))
        .with(of("version", ITEM.VERSION, whole(0, MOST), "number of edits"))
        .unique("make", "number")
        .filledExactlyFor("product_id", "family", "fluid")
        .filledExactlyFor("pack_l", "family", "fluid")
        .rule(
            new RowRule(
                "unit",
                "L for a fluid, else pc",
                row -> row.get("unit").equals(row.get("family").equals("fluid") ? "L" : "pc")))
        .derive(ITEM.NUMBER_KEY, row -> PartKey.of(row.get("number")).orElseThrow().text())
        .build();
  }

  private static ExchangeTable classes() {
    return ExchangeTable.named("classes", UNIT_CLASS)
        .with(of("id", UNIT_CLASS.ID, id(), "number of the row"))
        .with(of("code", UNIT_CLASS.CODE, text(20), "short name"))
        .with(of("name", UNIT_CLASS.NAME, text(60), "name"))
        .unique("code")
        .build();
  }

  private static ExchangeTable classMonths() {
    return ExchangeTable.named("class_months", CLASS_MONTH)
        .with(of("id", CLASS_MONTH.ID, id(), "number of the row"))
        .with(reference("class_id", CLASS_MONTH.CLASS_ID, "classes", "the class"))
        .with(of("month", CLASS_MONTH.MONTH, whole(1, 12), "1 for January"))
        .with(
            of(
                "factor",
                CLASS_MONTH.FACTOR_E4,
                scaled(4, 0, 120_000),
                "use against the mean month; the twelve have mean 1"))
        .unique("class_id", "month")
        .build();
  }

  private static ExchangeTable units() {
    return ExchangeTable.named("units", UNIT)
        .with(of("id", UNIT.ID, id(), "number of the row"))
        .with(of("code", UNIT.CODE, text(20), "short name on the machine"))
        .with(of("name", UNIT.NAME, text(60), "what it is"))
        .with(reference("class_id", UNIT.CLASS_ID, "classes", "its class"))
        .with(of("model", UNIT.MODEL, text(60), "make and model"))
        .with(of("in_service_on", UNIT.IN_SERVICE_ON, date(), "first day of service"))
        .unique("code")
        .build();
  }

  private static ExchangeTable layUps() {
    return ExchangeTable.named("lay_ups", LAY_UP)
        .with(of("id", LAY_UP.ID, id(), "number of the row"))
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

  private static ExchangeTable meters() {
    return ExchangeTable.named("meters", METER)
        .with(of("id", METER.ID, id(), "number of the row"))
        .with(reference("unit_id", METER.UNIT_ID, "units", "the unit it sits on"))
        .with(of("name", METER.NAME, text(40), "what it counts"))
        .with(of("unit", METER.MEASURE, symbol("h", "km"), "hours or kilometres"))
        .with(
            of(
                "start_h_or_km",
                METER.START_TENTHS,
                scaled(1, 0, MOST_TENTHS),
                "value at the start of service"))
        .with(
            of(
                    "declared_per_day",
                    METER.DECLARED_RATE_NANO,
                    scaled(9, 0, 1_500_000_000_000L),
                    "use a day, for want of readings")
                .optional())
        .unique("unit_id", "name")
        .build();
  }

  private static ExchangeTable readings() {
    return ExchangeTable.named("readings", READING)
        .with(of("id", READING.ID, id(), "number of the row"))
        .with(reference("meter_id", READING.METER_ID, "meters", "the meter read"))
        .with(of("read_on", READING.READ_ON, date(), "day of the reading"))
        .with(of("read_at", READING.READ_AT, instant(), "instant, if known").optional())
        .with(
            of("value_h_or_km", READING.VALUE_TENTHS, scaled(1, 0, MOST_TENTHS), "what it showed"))
        .with(of("source", READING.SOURCE, words(ReadingRepository.Source.values()), "how it came"))
        .with(of("actor", READING.ACTOR, text(60), "who entered it"))
        .with(of("recorded_at", READING.RECORDED_AT, instant(), "when it was entered"))
        .build();
  }

  private static ExchangeTable compartments() {
    return ExchangeTable.named("compartments", COMPARTMENT)
        .with(of("id", COMPARTMENT.ID, id(), "number of the row"))
        .with(reference("unit_id", COMPARTMENT.UNIT_ID, "units", "the unit"))
        .with(of("name", COMPARTMENT.NAME, text(60), "name"))
        .with(of("kind", COMPARTMENT.KIND, words(Compartment.Kind.values()), "kind"))
        .with(of("grade", COMPARTMENT.GRADE, text(40), "grade the spec demands").orEmptyText())
        .with(reference("item_id", COMPARTMENT.ITEM_ID, "items", "preferred fluid").optional())
        .unique("unit_id", "name")
        .build();
  }

  private static ExchangeTable capacities() {
    return ExchangeTable.named("capacities", CAPACITY)
        .with(of("id", CAPACITY.ID, id(), "number of the row"))
        .with(reference("compartment_id", CAPACITY.COMPARTMENT_ID, "compartments", "which"))
        .with(
            of(
                "condition",
                CAPACITY.CONDITION,
                words(FillCondition.values()),
                "the state it is filled in"))
        .with(of("volume_l", CAPACITY.VOLUME_UL, scaled(6, 1, MOST_UL), "litres it takes"))
        .unique("compartment_id", "condition")
        .build();
  }

  private static ExchangeTable positions() {
    return ExchangeTable.named("positions", POSITION)
        .with(of("id", POSITION.ID, id(), "number of the row"))
        .with(reference("unit_id", POSITION.UNIT_ID, "units", "the unit"))
        .with(
            reference("compartment_id", POSITION.COMPARTMENT_ID, "compartments", "belongs to")
                .optional())
        .with(of("name", POSITION.NAME, text(60), "name"))
        .with(of("kind", POSITION.KIND, words(Position.Kind.values()), "what it takes"))
        .with(reference("item_id", POSITION.ITEM_ID, "items", "preferred part").optional())
        .with(of("quantity", POSITION.QUANTITY, whole(1, 200), "pieces it takes"))
        .with(
            of("torque_low_nm", POSITION.TORQUE_LOW_MNM, scaled(3, 1, 100_000_000), "from")
                .optional())
        .with(
            of("torque_high_nm", POSITION.TORQUE_HIGH_MNM, scaled(3, 1, 100_000_000), "to")
                .optional())
        .with(of("note", POSITION.NOTE, text(200), "what to watch for").orEmptyText())
        .unique("unit_id", "name")
        .together("torque_low_nm", "torque_high_nm")
        .build();
  }

  private static ExchangeTable services() {
    return ExchangeTable.named("services", SERVICE)
        .with(of("id", SERVICE.ID, id(), "number of the row"))
        .with(reference("unit_id", SERVICE.UNIT_ID, "units", "the unit"))
        .with(of("name", SERVICE.NAME, text(60), "name"))
        .unique("unit_id", "name")
        .build();
  }

  private static ExchangeTable tasks() {
    return ExchangeTable.named("tasks", TASK)
        .with(of("id", TASK.ID, id(), "number of the row"))
        .with(reference("service_id", TASK.SERVICE_ID, "services", "the service"))
        .with(of("name", TASK.NAME, text(60), "name"))
        .with(
            of(
                "action",
                TASK.ACTION,
                oneOf(List.of("CHANGE_FLUID", "REPLACE", "INSPECT")),
                "what is done"))
        .with(
            reference("compartment_id", TASK.COMPARTMENT_ID, "compartments", "what is filled")
                .optional())
        .with(
            reference("position_id", TASK.POSITION_ID, "positions", "what is replaced").optional())
        .with(reference("meter_id", TASK.METER_ID, "meters", "the meter it counts by").optional())
        .with(
            of("interval_h_or_km", TASK.INTERVAL_TENTHS, scaled(1, 1, MOST_TENTHS), "interval")
                .optional())
        .with(of("interval_months", TASK.INTERVAL_MONTHS, whole(1, 240), "interval").optional())
        .with(
            of(
                    "first_interval_h_or_km",
                    TASK.FIRST_INTERVAL_TENTHS,
                    scaled(1, 1, MOST_TENTHS),
                    "running-in interval")
                .optional())
        .with(
            of(
                    "first_interval_months",
                    TASK.FIRST_INTERVAL_MONTHS,
                    whole(1, 240),
                    "running-in interval")
                .optional())
        .with(of("severity", TASK.SEVERITY_E4, scaled(4, 1_000, 10_000), "shortens the meter span"))
        .unique("service_id", "name")
        .filledExactlyFor("compartment_id", "action", "change_fluid")
        .filledExactlyFor("position_id", "action", "replace", "inspect")
        .together("meter_id", "interval_h_or_km")
        .rule(
            new RowRule(
                "interval_months",
                "filled where interval_h_or_km is empty",
                row ->
                    !row.get("interval_months").isEmpty()
                        || !row.get("interval_h_or_km").isEmpty()))
        .rule(
            new RowRule(
                "first_interval_h_or_km",
                "empty where interval_h_or_km is",
                row ->
                    row.get("first_interval_h_or_km").isEmpty()
                        || !row.get("interval_h_or_km").isEmpty()))
        .build();
  }

  private static ExchangeTable lots() {
    return ExchangeTable.named("lots", LOT)
        .with(of("id", LOT.ID, id(), "number of the row"))
        .with(reference("item_id", LOT.ITEM_ID, "items", "the item"))
        .with(of("code", LOT.CODE, text(40), "what is printed on it"))
        .with(of("received_on", LOT.RECEIVED_ON, date(), "day of receipt"))
        .with(of("expires_on", LOT.EXPIRES_ON, date(), "last good day").optional())
        .with(of("quarantined", LOT.QUARANTINED, yesNo(), "set aside, not to be issued"))
        .unique("item_id", "code")
        .build();
  }

  private static ExchangeTable requests() {
    return ExchangeTable.named("requests", REQUEST)
        .with(of("request_key", REQUEST.REQUEST_KEY, text(80), "idempotency key"))
        .with(of("content_hash", REQUEST.CONTENT_HASH, text(64), "SHA-256 of what was sent"))
        .with(of("answer", REQUEST.ANSWER, text(200), "what was answered").orEmptyText())
        .with(of("actor", REQUEST.ACTOR, text(60), "who sent it"))
        .with(of("recorded_at", REQUEST.RECORDED_AT, instant(), "when"))
        .build();
  }

  private static ExchangeTable movements() {
    return ExchangeTable.named("movements", MOVEMENT)
        .with(of("id", MOVEMENT.ID, id(), "number of the row, in order of booking"))
        .with(reference("item_id", MOVEMENT.ITEM_ID, "items", "the item"))
        .with(reference("lot_id", MOVEMENT.LOT_ID, "lots", "the lot"))
        .with(reference("bin_id", MOVEMENT.BIN_ID, "bins", "the bin"))
        .with(of("kind", MOVEMENT.KIND, words(MovementKind.values()), "what happened"))
        .with(
            of(
                "quantity_pc_or_l",
                MOVEMENT.QUANTITY_MICRO,
                scaled(6, -MOST_UL, MOST_UL),
                "signed: negative for what leaves"))
        .with(of("value_minor", MOVEMENT.VALUE_MINOR, whole(-MOST, MOST), "signed, minor units"))
        .with(
            of(
                "average_minor",
                MOVEMENT.AVERAGE_E4,
                scaled(4, 0, MOST),
                "moving average cost after it, minor units"))
        .with(of("reason", MOVEMENT.REASON, text(200), "why").orEmptyText())
        .with(of("reference", MOVEMENT.REFERENCE, text(80), "what it belongs to").orEmptyText())
        .with(reference("refers_to", MOVEMENT.REFERS_TO, "movements", "what it answers").optional())
        .with(
            of("request_key", MOVEMENT.REQUEST_KEY, text(80), "idempotency key")
                .referringTo("requests"))
        .with(of("line_no", MOVEMENT.LINE_NO, whole(1, 99_999), "line within the request"))
        .with(of("actor", MOVEMENT.ACTOR, text(60), "who booked it"))
        .with(of("recorded_at", MOVEMENT.RECORDED_AT, instant(), "when"))
        .unique("request_key", "line_no")
        .build();
  }

  private static ExchangeTable trays() {
    return ExchangeTable.named("trays", TRAY)
        .with(of("id", TRAY.ID, id(), "number of the row"))
        .with(of("number", TRAY.NUMBER, text(20), "number on the tray's label"))
        .with(reference("unit_id", TRAY.UNIT_ID, "units", "the unit it is for"))
        .with(of("title", TRAY.TITLE, text(200), "the services"))
        .with(of("planned_on", TRAY.PLANNED_ON, date(), "the day it is for"))
        .with(of("state", TRAY.STATE, words(Tray.State.values()), "where it stands"))
        .with(of("mechanic", TRAY.MECHANIC, text(60), "who took it").optional())
        .with(of("handed_over_on", TRAY.HANDED_OVER_ON, date(), "when").optional())
        .with(of("version", TRAY.VERSION, whole(0, MOST), "number of changes"))
        .unique("number")
        .filledExactlyFor("mechanic", "state", "handed_over")
        .filledExactlyFor("handed_over_on", "state", "handed_over")
        .build();
  }

  private static ExchangeTable trayTasks() {
    return ExchangeTable.named("tray_tasks", TRAY_TASK)
        .with(of("id", TRAY_TASK.ID, id(), "number of the row"))
        .with(reference("tray_id", TRAY_TASK.TRAY_ID, "trays", "the tray"))
        .with(reference("task_id", TRAY_TASK.TASK_ID, "tasks", "the task it serves"))
        .unique("tray_id", "task_id")
        .build();
  }

  private static ExchangeTable trayLines() {
    return ExchangeTable.named("tray_lines", TRAY_LINE)
        .with(of("id", TRAY_LINE.ID, id(), "number of the row"))
        .with(reference("tray_id", TRAY_LINE.TRAY_ID, "trays", "the tray"))
        .with(reference("item_id", TRAY_LINE.ITEM_ID, "items", "what belongs on it"))
        .with(of("place", TRAY_LINE.PLACE, text(60), "where it goes").orEmptyText())
        .with(of("note", TRAY_LINE.NOTE, text(300), "what to watch for").orEmptyText())
        .with(of("wanted_pc_or_l", TRAY_LINE.WANTED_MICRO, scaled(6, 1, MOST_UL), "how much"))
        .with(of("laid_pc_or_l", TRAY_LINE.LAID_MICRO, scaled(6, 0, MOST_UL), "how much is laid"))
        .build();
  }

  private static ExchangeTable taskRecords() {
    return ExchangeTable.named("task_records", TASK_RECORD)
        .with(of("id", TASK_RECORD.ID, id(), "number of the row"))
        .with(reference("task_id", TASK_RECORD.TASK_ID, "tasks", "the task"))
        .with(of("done_on", TASK_RECORD.DONE_ON, date(), "day it was done"))
        .with(
            of(
                    "life_h_or_km",
                    TASK_RECORD.LIFE_TENTHS,
                    scaled(1, 0, MOST_TENTHS),
                    "what the task's meter stood at")
                .optional())
        .with(reference("tray_id", TASK_RECORD.TRAY_ID, "trays", "the tray").optional())
        .with(
            reference("withdraws", TASK_RECORD.WITHDRAWS, "task_records", "a wrong record")
                .optional())
        .with(of("reason", TASK_RECORD.REASON, text(200), "why").orEmptyText())
        .with(of("actor", TASK_RECORD.ACTOR, text(60), "who recorded it"))
        .with(of("recorded_at", TASK_RECORD.RECORDED_AT, instant(), "when"))
        .build();
  }

  private static ExchangeTable auditLines() {
    return ExchangeTable.named("audit_lines", AUDIT_LINE)
        .with(of("id", AUDIT_LINE.ID, id(), "number of the row"))
        .with(of("entity", AUDIT_LINE.ENTITY, text(40), "what was edited"))
        .with(of("entity_id", AUDIT_LINE.ENTITY_ID, id(), "which"))
        .with(of("action", AUDIT_LINE.ACTION, text(80), "what was done"))
        .with(of("before", AUDIT_LINE.BEFORE_TEXT, text(2000), "how it was").orEmptyText())
        .with(of("after", AUDIT_LINE.AFTER_TEXT, text(2000), "how it is").orEmptyText())
        .with(of("actor", AUDIT_LINE.ACTOR, text(60), "who"))
        .with(of("recorded_at", AUDIT_LINE.RECORDED_AT, instant(), "when"))
        .build();
  }

  private static Format<String> words(Enum<?>[] values) {
    return oneOf(Arrays.stream(values).map(Enum::name).toList());
  }

  /** What the value of a setting may be. */
  private static final class SettingRules {
    static boolean isKnown(Map<String, String> row) {
      return switch (row.get("name")) {
        case "currency" ->
            java.util.Currency.getAvailableCurrencies().stream()
                .anyMatch(currency -> currency.getCurrencyCode().equals(row.get("value")));
        case "time_zone" -> java.time.ZoneId.getAvailableZoneIds().contains(row.get("value"));
        default -> true;
      };
    }
  }
}
