package dev.lonja.store.exchange;

import static dev.lonja.store.exchange.Column.of;
import static dev.lonja.store.exchange.Column.reference;
import static dev.lonja.store.exchange.ExchangeTables.MOST_TENTHS;
import static dev.lonja.store.exchange.ExchangeTables.MOST_UL;
import static dev.lonja.store.exchange.Format.date;
import static dev.lonja.store.exchange.Format.id;
import static dev.lonja.store.exchange.Format.instant;
import static dev.lonja.store.exchange.Format.oneOf;
import static dev.lonja.store.exchange.Format.scaled;
import static dev.lonja.store.exchange.Format.text;
import static dev.lonja.store.exchange.Format.whole;
import static dev.lonja.store.exchange.Format.words;
import static dev.lonja.store.schema.Tables.DEVIATION;
import static dev.lonja.store.schema.Tables.SERVICE;
import static dev.lonja.store.schema.Tables.TASK;
import static dev.lonja.store.schema.Tables.TASK_RECORD;

import dev.lonja.core.fleet.FillCondition;
import dev.lonja.core.service.Deviation;
import java.util.List;

/** What is done to machines, when it was done, and how units deviate. */
final class ServiceTables {

  /** Without the records, which refer to trays and come after them. */
  static final List<ExchangeTable> ALL = List.of(services(), tasks(), deviations());

  private ServiceTables() {}

  private static ExchangeTable services() {
    return ExchangeTable.named("services", SERVICE)
        .with(of("id", SERVICE.ID, id(), "number of the row"))
        .with(reference("variant_id", SERVICE.VARIANT_ID, "variants", "the variant"))
        .with(of("name", SERVICE.NAME, text(60), "name"))
        .unique("variant_id", "name")
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
        .with(of("meter", TASK.METER_NAME, text(40), "name of the meter it counts by").optional())
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
        .with(of("severity_reason", TASK.SEVERITY_REASON, text(120), "why").orEmptyText())
        .unique("service_id", "name")
        .filledExactlyFor("compartment_id", "action", "change_fluid")
        .filledExactlyFor("position_id", "action", "replace", "inspect")
        .together("meter", "interval_h_or_km")
        .rule(
            new RowRule(
                "severity_reason",
                "filled where severity is below 1",
                row -> row.get("severity").equals("1") || !row.get("severity_reason").isBlank()))
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

  private static ExchangeTable deviations() {
    return ExchangeTable.named("deviations", DEVIATION)
        .with(of("id", DEVIATION.ID, id(), "number of the row"))
        .with(reference("unit_id", DEVIATION.UNIT_ID, "units", "the unit that differs"))
        .with(
            reference("compartment_id", DEVIATION.COMPARTMENT_ID, "compartments", "in this")
                .optional())
        .with(reference("position_id", DEVIATION.POSITION_ID, "positions", "in this").optional())
        .with(reference("task_id", DEVIATION.TASK_ID, "tasks", "in this").optional())
        .with(
            of(
                "change",
                DEVIATION.CHANGE,
                oneOf(List.of("ABSENT", "ITEM", "CAPACITY", "TORQUE", "INTERVAL")),
                "what differs"))
        .with(
            of("condition", DEVIATION.CONDITION, words(FillCondition.values()), "of a capacity")
                .optional())
        .with(of("volume_l", DEVIATION.VOLUME_UL, scaled(6, 1, MOST_UL), "capacity").optional())
        .with(reference("item_id", DEVIATION.ITEM_ID, "items", "preferred here").optional())
        .with(
            of("torque_low_nm", DEVIATION.TORQUE_LOW_MNM, scaled(3, 1, 100_000_000), "from")
                .optional())
        .with(
            of("torque_high_nm", DEVIATION.TORQUE_HIGH_MNM, scaled(3, 1, 100_000_000), "to")
                .optional())
        .with(
            of(
                    "interval_h_or_km",
                    DEVIATION.INTERVAL_TENTHS,
                    scaled(1, 1, MOST_TENTHS),
                    "interval here")
                .optional())
        .with(
            of("interval_months", DEVIATION.INTERVAL_MONTHS, whole(1, 240), "interval here")
                .optional())
        .with(of("source", DEVIATION.SOURCE, words(Deviation.Source.values()), "stated or learned"))
        .with(of("reason", DEVIATION.REASON, text(200), "why"))
        .with(of("since_on", DEVIATION.SINCE_ON, date(), "from when"))
        .with(of("actor", DEVIATION.ACTOR, text(60), "who put it in force"))
        .filledExactlyFor("condition", "change", "capacity")
        .filledExactlyFor("volume_l", "change", "capacity")
        .filledExactlyFor("item_id", "change", "item")
        .filledExactlyFor("torque_low_nm", "change", "torque")
        .filledExactlyFor("torque_high_nm", "change", "torque")
        .build();
  }

  static ExchangeTable taskRecords() {
    return ExchangeTable.named("task_records", TASK_RECORD)
        .with(of("id", TASK_RECORD.ID, id(), "number of the row"))
        .with(reference("unit_id", TASK_RECORD.UNIT_ID, "units", "the unit"))
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
}
