package dev.lonja.store.exchange;

import static dev.lonja.store.exchange.Column.number;
import static dev.lonja.store.exchange.Column.of;
import static dev.lonja.store.exchange.Column.reference;
import static dev.lonja.store.exchange.ExchangeTables.LITRES_UL;
import static dev.lonja.store.exchange.ExchangeTables.METER_TENTHS;
import static dev.lonja.store.exchange.Format.date;
import static dev.lonja.store.exchange.Format.inspectedValue;
import static dev.lonja.store.exchange.Format.instant;
import static dev.lonja.store.exchange.Format.scaled;
import static dev.lonja.store.exchange.Format.symbol;
import static dev.lonja.store.exchange.Format.text;
import static dev.lonja.store.exchange.Format.words;
import static dev.lonja.store.schema.Tables.FILL;
import static dev.lonja.store.schema.Tables.INSPECTION;
import static dev.lonja.store.schema.Tables.RECEIPT;
import static dev.lonja.store.schema.Tables.TASK_MOVE;
import static dev.lonja.store.schema.Tables.TASK_RECORD;

import dev.lonja.core.fleet.FillCondition;
import dev.lonja.core.inspection.InspectionOutcome;
import dev.lonja.core.inspection.ValueKind;
import dev.lonja.core.pour.FillLevel;
import dev.lonja.core.text.Lengths;
import java.util.List;
import java.util.Map;

/** What was done to machines, what was found and poured, and what was put off. */
final class RecordTables {

  static final String PHOTO = "image/jpeg";
  static final String DOCUMENT = "application/pdf";

  static final List<ExchangeTable> ALL =
      List.of(taskRecords(), receipts(), inspections(), fills(), taskMoves());

  private RecordTables() {}

  private static ExchangeTable taskRecords() {
    return ExchangeTable.named("task_records", TASK_RECORD)
        .with(number("id", TASK_RECORD.ID, "number of the row"))
        .with(reference("unit_id", TASK_RECORD.UNIT_ID, "units", "the unit"))
        .with(reference("task_id", TASK_RECORD.TASK_ID, "tasks", "the task"))
        .with(of("done_on", TASK_RECORD.DONE_ON, date(), "day it was done"))
        .with(
            of(
                    "life_h_or_km",
                    TASK_RECORD.LIFE_TENTHS,
                    scaled(1, 0, METER_TENTHS),
                    "what the task's meter stood at")
                .optional())
        .with(reference("tray_id", TASK_RECORD.TRAY_ID, "trays", "the tray").optional())
        .with(
            reference("withdraws", TASK_RECORD.WITHDRAWS, "task_records", "a wrong record")
                .optional())
        .with(of("reason", TASK_RECORD.REASON, text(Lengths.REASON), "why").orEmptyText())
        .with(of("actor", TASK_RECORD.ACTOR, text(Lengths.NAME), "who recorded it"))
        .with(of("recorded_at", TASK_RECORD.RECORDED_AT, instant(), "when"))
        .unique("withdraws")
        .build();
  }

  private static ExchangeTable inspections() {
    return ExchangeTable.named("inspections", INSPECTION)
        .with(number("id", INSPECTION.ID, "number of the row, in order of entry"))
        .with(reference("record_id", INSPECTION.RECORD_ID, "task_records", "the inspection"))
        .with(
            of("outcome", INSPECTION.OUTCOME, words(InspectionOutcome.values()), "what was found"))
        .with(
            of("value_kind", INSPECTION.VALUE_KIND, words(ValueKind.values()), "what was measured")
                .optional())
        .with(of("value", INSPECTION.VALUE, inspectedValue(), "as it was met").optional())
        .with(
            of("value_after", INSPECTION.VALUE_AFTER, inspectedValue(), "as it was left")
                .optional())
        .together("value_kind", "value")
        .rule(
            new RowRule(
                "value_after",
                "empty where value is",
                row -> row.get("value_after").isEmpty() || !row.get("value").isEmpty()))
        .with(of("note", INSPECTION.NOTE, text(Lengths.REASON), "in words").orEmptyText())
        .with(of("actor", INSPECTION.ACTOR, text(Lengths.NAME), "who noted it"))
        .with(of("recorded_at", INSPECTION.RECORDED_AT, instant(), "when"))
        .build();
  }

  private static ExchangeTable receipts() {
    return ExchangeTable.named("receipts", RECEIPT)
        .with(number("id", RECEIPT.ID, "number of the row"))
        .with(reference("unit_id", RECEIPT.UNIT_ID, "units", "the unit"))
        .with(of("done_on", RECEIPT.DONE_ON, date(), "day of the work that it proves"))
        .with(of("note", RECEIPT.NOTE, text(Lengths.REASON), "what it is"))
        .with(of("media_type", RECEIPT.MEDIA_TYPE, symbol(PHOTO, DOCUMENT), "its type"))
        .with(of("content_base64", RECEIPT.CONTENT, Format.receipt(), "the receipt").optional())
        .with(
            of(
                    "withdrawn_why",
                    RECEIPT.WITHDRAWN_WHY,
                    text(Lengths.REASON),
                    "why it counts no more")
                .optional())
        .with(of("actor", RECEIPT.ACTOR, text(Lengths.NAME), "who kept it"))
        .with(of("recorded_at", RECEIPT.RECORDED_AT, instant(), "when"))
        .rule(
            new RowRule(
                "content_base64",
                "filled exactly where withdrawn_why is not, with what media_type says",
                RecordTables::holdsWhatItSays))
        .build();
  }

  /** A photo or document, or why there is none any more. */
  static boolean holdsWhatItSays(Map<String, String> row) {
    String content = row.get("content_base64");
    if (!row.get("withdrawn_why").isEmpty()) {
      return content.isEmpty();
    }
    // a document begins with %PDF-
    return !content.isEmpty()
        && content.startsWith("JVBERi0") == row.get("media_type").equals(DOCUMENT);
  }

  private static ExchangeTable fills() {
    return ExchangeTable.named("fills", FILL)
        .with(number("id", FILL.ID, "number of the row, in order of entry"))
        .with(reference("unit_id", FILL.UNIT_ID, "units", "the unit"))
        .with(reference("compartment_id", FILL.COMPARTMENT_ID, "compartments", "what was filled"))
        .with(reference("item_id", FILL.ITEM_ID, "items", "with what"))
        .with(of("condition", FILL.CONDITION, words(FillCondition.values()), "in which state"))
        .with(of("volume_l", FILL.VOLUME_UL, scaled(6, 1, LITRES_UL), "litres poured"))
        .with(
            of("drained_l", FILL.DRAINED_UL, scaled(6, 0, LITRES_UL), "litres that ran out before")
                .optional())
        .with(of("level", FILL.LEVEL, words(FillLevel.values()), "how it stood then").optional())
        .with(of("filled_on", FILL.FILLED_ON, date(), "day of the fill"))
        .with(reference("tray_id", FILL.TRAY_ID, "trays", "the tray").optional())
        .with(reference("withdraws", FILL.WITHDRAWS, "fills", "a wrong line").optional())
        .with(of("note", FILL.NOTE, text(Lengths.REASON), "in words").orEmptyText())
        .with(of("actor", FILL.ACTOR, text(Lengths.NAME), "who noted it"))
        .with(of("recorded_at", FILL.RECORDED_AT, instant(), "when"))
        .unique("withdraws")
        .build();
  }

  private static ExchangeTable taskMoves() {
    return ExchangeTable.named("task_moves", TASK_MOVE)
        .with(number("id", TASK_MOVE.ID, "number of the row, in order of entry"))
        .with(reference("unit_id", TASK_MOVE.UNIT_ID, "units", "the unit"))
        .with(reference("task_id", TASK_MOVE.TASK_ID, "tasks", "the task"))
        .with(of("moved_on", TASK_MOVE.MOVED_ON, date(), "the day; none moves it back").optional())
        .with(of("reason", TASK_MOVE.REASON, text(Lengths.REASON), "why").orEmptyText())
        .with(of("actor", TASK_MOVE.ACTOR, text(Lengths.NAME), "who moved it"))
        .with(of("recorded_at", TASK_MOVE.RECORDED_AT, instant(), "when"))
        .rule(
            new RowRule(
                "reason",
                "filled where moved_on is",
                row -> row.get("moved_on").isEmpty() || !row.get("reason").isBlank()))
        .build();
  }
}
