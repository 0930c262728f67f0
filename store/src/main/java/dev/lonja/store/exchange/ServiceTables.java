package dev.lonja.store.exchange;

import static dev.lonja.store.exchange.Column.number;
import static dev.lonja.store.exchange.Column.of;
import static dev.lonja.store.exchange.Column.reference;
import static dev.lonja.store.exchange.ExchangeTables.LITRES_UL;
import static dev.lonja.store.exchange.ExchangeTables.RUN_TENTHS;
import static dev.lonja.store.exchange.ExchangeTables.TORQUE_MNM;
import static dev.lonja.store.exchange.Format.date;
import static dev.lonja.store.exchange.Format.inspectedValue;
import static dev.lonja.store.exchange.Format.monthDay;
import static dev.lonja.store.exchange.Format.oneOf;
import static dev.lonja.store.exchange.Format.scaled;
import static dev.lonja.store.exchange.Format.text;
import static dev.lonja.store.exchange.Format.whole;
import static dev.lonja.store.exchange.Format.words;
import static dev.lonja.store.exchange.Format.yesNo;
import static dev.lonja.store.schema.Tables.DEVIATION;
import static dev.lonja.store.schema.Tables.FLUID_INTERVAL;
import static dev.lonja.store.schema.Tables.SERVICE;
import static dev.lonja.store.schema.Tables.TASK;

import dev.lonja.core.fleet.FillCondition;
import dev.lonja.core.inspection.ValueKind;
import dev.lonja.core.quantity.Limits;
import dev.lonja.core.service.Deviation;
import dev.lonja.core.text.Lengths;
import java.util.List;
import java.util.Map;
import java.util.stream.Stream;

/** What is done to machines, and how units deviate. */
final class ServiceTables {

  static final List<ExchangeTable> ALL =
      List.of(services(), tasks(), fluidIntervals(), deviations());

  private ServiceTables() {}

  private static ExchangeTable services() {
    return ExchangeTable.named("services", SERVICE)
        .with(number("id", SERVICE.ID, "number of the row"))
        .with(reference("variant_id", SERVICE.VARIANT_ID, "variants", "the variant"))
        .with(of("name", SERVICE.NAME, text(Lengths.NAME), "name"))
        .with(
            of("quoted_minor", SERVICE.QUOTED_MINOR, whole(1, 10_000_000_000L), "asked elsewhere")
                .optional())
        .with(of("quoted_by", SERVICE.QUOTED_BY, text(Lengths.NAME), "who asks that").optional())
        .with(of("quoted_on", SERVICE.QUOTED_ON, date(), "since when").optional())
        .together("quoted_minor", "quoted_by")
        .together("quoted_minor", "quoted_on")
        .unique("variant_id", "name")
        .build();
  }

  private static ExchangeTable tasks() {
    return ExchangeTable.named("tasks", TASK)
        .with(number("id", TASK.ID, "number of the row"))
        .with(reference("service_id", TASK.SERVICE_ID, "services", "the service"))
        .with(of("name", TASK.NAME, text(Lengths.NAME), "name"))
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
        .with(
            of("meter", TASK.METER_NAME, text(Lengths.SHORT), "name of the meter it counts by")
                .optional())
        .with(
            of("interval_h_or_km", TASK.INTERVAL_TENTHS, scaled(1, 1, RUN_TENTHS), "interval")
                .optional())
        .with(
            of("interval_months", TASK.INTERVAL_MONTHS, whole(1, Limits.MONTHS), "interval")
                .optional())
        .with(
            of(
                    "first_interval_h_or_km",
                    TASK.FIRST_INTERVAL_TENTHS,
                    scaled(1, 1, RUN_TENTHS),
                    "running-in interval")
                .optional())
        .with(
            of(
                    "first_interval_months",
                    TASK.FIRST_INTERVAL_MONTHS,
                    whole(1, Limits.MONTHS),
                    "running-in interval")
                .optional())
        .with(of("severity", TASK.SEVERITY_E4, scaled(4, 1_000, 10_000), "shortens the meter span"))
        .with(
            of("severity_reason", TASK.SEVERITY_REASON, text(Lengths.DESCRIPTION), "why")
                .orEmptyText())
        .with(
            reference("with_task_id", TASK.WITH_TASK_ID, "tasks", "done with this one").optional())
        .with(
            of("every_nth", TASK.EVERY_NTH, whole(2, Limits.NTH), "at every nth time of it")
                .optional())
        .with(
            of("season_start", TASK.SEASON_START, monthDay(), "day of the year it comes before")
                .optional())
        .with(of("before_lay_up", TASK.BEFORE_LAY_UP, yesNo(), "done before each lay-up"))
        .with(of("after_lay_up", TASK.AFTER_LAY_UP, yesNo(), "done after each lay-up"))
        .with(
            of("lead_days", TASK.LEAD_DAYS, whole(0, Limits.LEAD_DAYS), "how many days before")
                .optional())
        .with(of("steps", TASK.STEPS, text(Lengths.REASON), "what to mind").orEmptyText())
        .with(
            of(
                    "hazards",
                    TASK.HAZARDS,
                    text(Lengths.REASON),
                    "codes of hazard texts, \", \" between them")
                .orEmptyText())
        .with(
            of("value_kind", TASK.VALUE_KIND, words(ValueKind.values()), "what is measured")
                .optional())
        .with(of("value_low", TASK.VALUE_LOW, inspectedValue(), "sound from here").optional())
        .with(of("value_high", TASK.VALUE_HIGH, inspectedValue(), "sound up to here").optional())
        .unique("service_id", "name")
        .rule(
            new RowRule(
                "compartment_id",
                "filled for change_fluid, for replace empty, for inspect where position_id is empty",
                ServiceTables::hasItsSubject))
        .rule(
            new RowRule(
                "value_kind",
                "filled for inspect only, exactly where value_low or value_high is, and low is not"
                    + " above high",
                ServiceTables::limitsAgree))
        .together("meter", "interval_h_or_km")
        .rule(
            new RowRule(
                "severity_reason",
                "filled where severity is below 1",
                row -> row.get("severity").equals("1") || !row.get("severity_reason").isBlank()))
        .together("with_task_id", "every_nth")
        .leads("with_task_id")
        .rule(
            new RowRule(
                "lead_days",
                "filled exactly where season_start is or before_lay_up is true",
                row -> row.get("lead_days").isEmpty() != isSeasonal(row)))
        .rule(
            new RowRule(
                "interval_months",
                "filled where interval_h_or_km, with_task_id and season_start are empty and"
                    + " before_lay_up and after_lay_up are false; no two of the five",
                row -> timings(row) == 1))
        .rule(
            new RowRule(
                "first_interval_h_or_km",
                "empty where interval_h_or_km is",
                row ->
                    row.get("first_interval_h_or_km").isEmpty()
                        || !row.get("interval_h_or_km").isEmpty()))
        .build();
  }

  private static boolean hasItsSubject(Map<String, String> row) {
    boolean compartment = !row.get("compartment_id").isEmpty();
    boolean position = !row.get("position_id").isEmpty();
    return compartment != position
        && switch (row.get("action")) {
          case "change_fluid" -> compartment;
          case "replace" -> position;
          default -> true;
        };
  }

  private static boolean limitsAgree(Map<String, String> row) {
    String low = row.get("value_low");
    String high = row.get("value_high");
    boolean hasKind = !row.get("value_kind").isEmpty();
    boolean inOrder =
        low.isEmpty() || high.isEmpty() || Long.parseLong(low) <= Long.parseLong(high);
    return hasKind != (low.isEmpty() && high.isEmpty())
        && (!hasKind || row.get("action").equals("inspect"))
        && inOrder;
  }

  private static boolean isSeasonal(Map<String, String> row) {
    return !row.get("season_start").isEmpty() || row.get("before_lay_up").equals("true");
  }

  /** In how many ways it is said when the task comes. */
  private static long timings(Map<String, String> row) {
    boolean interval =
        !row.get("interval_h_or_km").isEmpty() || !row.get("interval_months").isEmpty();
    boolean withAnother = !row.get("with_task_id").isEmpty();
    boolean season = !row.get("season_start").isEmpty();
    boolean layUp = row.get("before_lay_up").equals("true");
    boolean afterwards = row.get("after_lay_up").equals("true");
    return Stream.of(interval, withAnother, season, layUp, afterwards).filter(way -> way).count();
  }

  private static ExchangeTable fluidIntervals() {
    return ExchangeTable.named("fluid_intervals", FLUID_INTERVAL)
        .with(number("id", FLUID_INTERVAL.ID, "number of the row, in order of preference"))
        .with(reference("task_id", FLUID_INTERVAL.TASK_ID, "tasks", "the change of fluid"))
        .with(
            of("fluid_class", FLUID_INTERVAL.FLUID_CLASS, text(Lengths.SHORT), "while this is in"))
        .with(
            of(
                    "interval_h_or_km",
                    FLUID_INTERVAL.INTERVAL_TENTHS,
                    scaled(1, 1, RUN_TENTHS),
                    "interval then")
                .optional())
        .with(
            of(
                    "interval_months",
                    FLUID_INTERVAL.INTERVAL_MONTHS,
                    whole(1, Limits.MONTHS),
                    "interval then")
                .optional())
        .unique("task_id", "fluid_class")
        .rule(
            new RowRule(
                "interval_months",
                "filled where interval_h_or_km is empty",
                row ->
                    !row.get("interval_months").isEmpty()
                        || !row.get("interval_h_or_km").isEmpty()))
        .build();
  }

  private static ExchangeTable deviations() {
    return ExchangeTable.named("deviations", DEVIATION)
        .with(number("id", DEVIATION.ID, "number of the row"))
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
        .with(of("volume_l", DEVIATION.VOLUME_UL, scaled(6, 1, LITRES_UL), "capacity").optional())
        .with(
            of("high_l", DEVIATION.HIGH_UL, scaled(6, 1, LITRES_UL), "the high end of a range")
                .optional())
        .with(reference("item_id", DEVIATION.ITEM_ID, "items", "preferred here").optional())
        .with(
            of("torque_low_nm", DEVIATION.TORQUE_LOW_MNM, scaled(3, 1, TORQUE_MNM), "from")
                .optional())
        .with(
            of("torque_high_nm", DEVIATION.TORQUE_HIGH_MNM, scaled(3, 1, TORQUE_MNM), "to")
                .optional())
        .with(
            of(
                    "interval_h_or_km",
                    DEVIATION.INTERVAL_TENTHS,
                    scaled(1, 1, RUN_TENTHS),
                    "interval here")
                .optional())
        .with(
            of(
                    "interval_months",
                    DEVIATION.INTERVAL_MONTHS,
                    whole(1, Limits.MONTHS),
                    "interval here")
                .optional())
        .with(of("source", DEVIATION.SOURCE, words(Deviation.Source.values()), "stated or learned"))
        .with(of("reason", DEVIATION.REASON, text(Lengths.REASON), "why").orEmptyText())
        .with(of("since_on", DEVIATION.SINCE_ON, date(), "from when"))
        .with(of("actor", DEVIATION.ACTOR, text(Lengths.NAME), "who put it in force"))
        .filledExactlyFor("condition", "change", "capacity")
        .filledExactlyFor("volume_l", "change", "capacity")
        .above("high_l", "volume_l")
        .filledExactlyFor("item_id", "change", "item")
        .filledExactlyFor("torque_low_nm", "change", "torque")
        .filledExactlyFor("torque_high_nm", "change", "torque")
        .rule(
            new RowRule(
                "reason",
                "why; empty only for what was learned",
                row -> row.get("source").equals("learned") || !row.get("reason").isEmpty()))
        .build();
  }
}
