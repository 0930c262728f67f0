package dev.lonja.store.exchange;

import static dev.lonja.store.exchange.Column.number;
import static dev.lonja.store.exchange.Column.of;
import static dev.lonja.store.exchange.Column.reference;
import static dev.lonja.store.exchange.ExchangeTables.MOST;
import static dev.lonja.store.exchange.ExchangeTables.QUANTITY_MICRO;
import static dev.lonja.store.exchange.Format.date;
import static dev.lonja.store.exchange.Format.instant;
import static dev.lonja.store.exchange.Format.oneOf;
import static dev.lonja.store.exchange.Format.scaled;
import static dev.lonja.store.exchange.Format.text;
import static dev.lonja.store.exchange.Format.whole;
import static dev.lonja.store.exchange.Format.words;
import static dev.lonja.store.exchange.Format.yesNo;
import static dev.lonja.store.schema.Tables.FINDING;
import static dev.lonja.store.schema.Tables.KIT_TASK;
import static dev.lonja.store.schema.Tables.TRAY;
import static dev.lonja.store.schema.Tables.TRAY_LINE;
import static dev.lonja.store.schema.Tables.TRAY_TASK;
import static dev.lonja.store.schema.Tables.WANTED_PART;

import dev.lonja.core.fleet.FillCondition;
import dev.lonja.core.ledger.LotCondition;
import dev.lonja.core.quantity.Limits;
import dev.lonja.core.text.Lengths;
import dev.lonja.core.tray.TrayPurpose;
import dev.lonja.core.wanted.Finding;
import dev.lonja.store.tray.Tray;
import java.util.List;
import java.util.stream.Stream;

/** What is laid out for jobs, what they found, and what is wanted by itself. */
final class TrayTables {

  private static final List<String> REASONS =
      List.of(
          "FILL",
          "FLUSH",
          "PART",
          "NEW_SEAL",
          "NEW_PLUG",
          "ON_INSPECTION",
          "INSURANCE",
          "KIT",
          "NOT_IN_BOX",
          "WANTED",
          "BY_HAND");

  /** Reasons whose position may have a note. */
  private static final List<String> NOTED =
      List.of("part", "new_seal", "new_plug", "on_inspection", "insurance", "by_hand");

  static final List<ExchangeTable> ALL =
      List.of(
          trays(),
          trayTasks(),
          FluidTables.signOffs(),
          trayLines(),
          kitTasks(),
          findings(),
          wantedParts());

  private TrayTables() {}

  private static ExchangeTable kitTasks() {
    return ExchangeTable.named("kit_tasks", KIT_TASK)
        .with(number("id", KIT_TASK.ID, "number of the row"))
        .with(reference("line_id", KIT_TASK.LINE_ID, "tray_lines", "the kit's line"))
        .with(
            reference("task_id", KIT_TASK.TASK_ID, "tasks", "a task of which it covers something"))
        .unique("line_id", "task_id")
        .build();
  }

  private static ExchangeTable trays() {
    return ExchangeTable.named("trays", TRAY)
        .with(number("id", TRAY.ID, "number of the row"))
        .with(of("number", TRAY.NUMBER, text(Lengths.CODE), "number on the tray's label"))
        .with(reference("unit_id", TRAY.UNIT_ID, "units", "the unit it is for").optional())
        .with(PlaceTables.at("satellite_id", TRAY.SATELLITE_ID, "where it is laid"))
        .with(of("purpose", TRAY.PURPOSE, words(TrayPurpose.values()), "what it is laid for"))
        .with(of("title", TRAY.TITLE, text(Lengths.REASON), "the services"))
        .with(of("planned_on", TRAY.PLANNED_ON, date(), "the day it is for"))
        .with(of("state", TRAY.STATE, words(Tray.State.values()), "where it stands"))
        .with(of("mechanic", TRAY.MECHANIC, text(Lengths.NAME), "who took it").optional())
        .with(of("handed_over_on", TRAY.HANDED_OVER_ON, date(), "when").optional())
        .with(of("back_on", TRAY.BACK_ON, date(), "when the job was taken back").optional())
        .with(of("version", TRAY.VERSION, whole(0, MOST), "number of changes"))
        .unique("number")
        .filledExactlyFor("mechanic", "state", "handed_over", "back")
        .filledExactlyFor("handed_over_on", "state", "handed_over", "back")
        .filledExactlyFor("back_on", "state", "back")
        .rule(
            new RowRule(
                "unit_id",
                "filled unless purpose is supplies",
                row -> row.get("unit_id").isEmpty() == row.get("purpose").equals("supplies")))
        .rule(
            new RowRule(
                "back_on",
                "handed_over_on or a day after it",
                row ->
                    row.get("back_on").isEmpty()
                        || row.get("back_on").compareTo(row.get("handed_over_on")) >= 0))
        .build();
  }

  private static ExchangeTable trayTasks() {
    return ExchangeTable.named("tray_tasks", TRAY_TASK)
        .with(number("id", TRAY_TASK.ID, "number of the row"))
        .with(reference("tray_id", TRAY_TASK.TRAY_ID, "trays", "the tray"))
        .with(reference("task_id", TRAY_TASK.TASK_ID, "tasks", "the task it serves"))
        .with(
            of(
                    "outcome",
                    TRAY_TASK.OUTCOME,
                    oneOf(List.of("DONE", "NOT_DONE")),
                    "what became of it")
                .optional())
        .with(of("why", TRAY_TASK.WHY, text(Lengths.REASON), "why it was not done").orEmptyText())
        .with(of("again_on", TRAY_TASK.AGAIN_ON, date(), "when it is asked for again").optional())
        .filledExactlyFor("why", "outcome", "not_done")
        .rule(
            new RowRule(
                "again_on",
                "filled only where outcome is not_done",
                row -> row.get("again_on").isEmpty() || row.get("outcome").equals("not_done")))
        .unique("tray_id", "task_id")
        .build();
  }

  private static ExchangeTable trayLines() {
    return ExchangeTable.named("tray_lines", TRAY_LINE)
        .with(number("id", TRAY_LINE.ID, "number of the row"))
        .with(reference("tray_id", TRAY_LINE.TRAY_ID, "trays", "the tray"))
        .with(reference("item_id", TRAY_LINE.ITEM_ID, "items", "what belongs on it"))
        .with(of("place", TRAY_LINE.PLACE, text(Lengths.NAME), "where it goes").orEmptyText())
        .with(of("reason", TRAY_LINE.REASON, oneOf(REASONS), "why it is there"))
        .with(
            of(
                "lot_condition",
                TRAY_LINE.LOT_CONDITION,
                words(LotCondition.NEW, LotCondition.USED_GOOD),
                "in which condition it is taken"))
        .with(of("note", TRAY_LINE.NOTE, text(Lengths.REASON), "what to watch for").orEmptyText())
        .with(
            of("condition", TRAY_LINE.CONDITION, words(FillCondition.values()), "how it is filled")
                .optional())
        .with(
            of(
                    "first_pour_l",
                    TRAY_LINE.FIRST_POUR_UL,
                    scaled(6, 0, QUANTITY_MICRO),
                    "to pour at first")
                .optional())
        .with(
            of(
                    "reserve_l",
                    TRAY_LINE.RESERVE_UL,
                    scaled(6, 0, QUANTITY_MICRO),
                    "kept for after running")
                .optional())
        .with(
            of(
                    "pre_fill_l",
                    TRAY_LINE.PRE_FILL_UL,
                    scaled(6, 0, QUANTITY_MICRO),
                    "poured into the new filter beforehand")
                .optional())
        .with(
            of(
                    "mix_share",
                    TRAY_LINE.MIX_SHARE_E4,
                    scaled(4, 1, 10_000),
                    "part of concentrate in a fill that is mixed")
                .optional())
        .with(
            of("mix_water_l", TRAY_LINE.MIX_WATER_UL, scaled(6, 0, QUANTITY_MICRO), "water to add")
                .optional())
        .with(
            of("mix_freezes_at_c", TRAY_LINE.MIX_TENTHS_C, scaled(1, -1_000, 0), "then").optional())
        .with(
            of("mix_general", TRAY_LINE.MIX_GENERAL, yesNo(), "true: not from its label")
                .optional())
        .with(
            of(
                    "kit_lines",
                    TRAY_LINE.KIT_LINES,
                    whole(1, Limits.KIT_LINES),
                    "how many lines the kit covers")
                .optional())
        .with(
            reference("box_of_id", TRAY_LINE.BOX_OF_ID, "items", "in whose box it came").optional())
        .with(
            of("wanted_pc_or_l", TRAY_LINE.WANTED_MICRO, scaled(6, 1, QUANTITY_MICRO), "how much"))
        .with(
            of(
                "laid_pc_or_l",
                TRAY_LINE.LAID_MICRO,
                scaled(6, 0, QUANTITY_MICRO),
                "how much is laid"))
        .with(
            reference("position_id", TRAY_LINE.POSITION_ID, "positions", "the position it is for")
                .optional())
        .with(
            reference("compartment_id", TRAY_LINE.COMPARTMENT_ID, "compartments", "or the fluid")
                .optional())
        .with(reference("sign_off_id", TRAY_LINE.SIGN_OFF_ID, "sign_offs", "who signed").optional())
        .with(
            reference("instead_of_id", TRAY_LINE.INSTEAD_OF_ID, "items", "what was asked for")
                .optional())
        .with(
            of("instead_why", TRAY_LINE.INSTEAD_WHY, text(Lengths.REASON), "why this one")
                .orEmptyText())
        .with(reference("task_id", TRAY_LINE.TASK_ID, "tasks", "the task that asks").optional())
        .with(
            of("left_out_why", TRAY_LINE.LEFT_OUT_WHY, text(Lengths.REASON), "why it was left out")
                .optional())
        .filledExactlyFor("condition", "reason", "fill")
        .filledExactlyFor("first_pour_l", "reason", "fill")
        .filledExactlyFor("reserve_l", "reason", "fill")
        .filledExactlyFor("pre_fill_l", "reason", "fill")
        .filledExactlyFor("kit_lines", "reason", "kit")
        .filledExactlyFor("box_of_id", "reason", "not_in_box")
        .rule(
            new RowRule(
                "note",
                "filled only where reason is one of " + String.join(", ", NOTED),
                row -> row.get("note").isEmpty() || NOTED.contains(row.get("reason"))))
        .rule(
            new RowRule(
                "instead_why",
                "filled only where instead_of_id is",
                row -> row.get("instead_why").isEmpty() || !row.get("instead_of_id").isEmpty()))
        .build();
  }

  private static ExchangeTable findings() {
    return ExchangeTable.named("findings", FINDING)
        .with(number("id", FINDING.ID, "number of the row"))
        .with(reference("unit_id", FINDING.UNIT_ID, "units", "the unit"))
        .with(of("words", FINDING.WORDS, text(Lengths.REASON), "what was found"))
        .with(of("found_on", FINDING.FOUND_ON, date(), "when"))
        .with(reference("tray_id", FINDING.TRAY_ID, "trays", "the job that found it").optional())
        .with(of("state", FINDING.STATE, words(Finding.State.values()), "what became of it"))
        .with(
            of("why", FINDING.WHY, text(Lengths.REASON), "what is watched, or why it is closed")
                .orEmptyText())
        .with(of("actor", FINDING.ACTOR, text(Lengths.NAME), "who noted it"))
        .with(of("recorded_at", FINDING.RECORDED_AT, instant(), "when that was"))
        .filledExactlyFor("why", "state", "watched", "closed")
        .build();
  }

  private static ExchangeTable wantedParts() {
    return ExchangeTable.named("wanted_parts", WANTED_PART)
        .with(number("id", WANTED_PART.ID, "number of the row"))
        .with(reference("unit_id", WANTED_PART.UNIT_ID, "units", "the unit it is for").optional())
        .with(reference("item_id", WANTED_PART.ITEM_ID, "items", "what is wanted"))
        .with(
            of(
                "quantity_pc_or_l",
                WANTED_PART.QUANTITY_MICRO,
                scaled(6, 1, QUANTITY_MICRO),
                "how much"))
        .with(of("place", WANTED_PART.PLACE, text(Lengths.NAME), "where it goes").orEmptyText())
        .with(
            reference("position_id", WANTED_PART.POSITION_ID, "positions", "the position it is for")
                .optional())
        .with(
            reference("compartment_id", WANTED_PART.COMPARTMENT_ID, "compartments", "or the fluid")
                .optional())
        .with(of("needed_on", WANTED_PART.NEEDED_ON, date(), "when; none is at once").optional())
        .with(
            reference("finding_id", WANTED_PART.FINDING_ID, "findings", "what it puts right")
                .optional())
        .with(
            reference(
                    "left_out_line_id",
                    WANTED_PART.LEFT_OUT_LINE_ID,
                    "tray_lines",
                    "the line that went out without it")
                .optional())
        .with(
            of("asked_why", WANTED_PART.ASKED_WHY, text(Lengths.REASON), "why somebody asked")
                .optional())
        .with(
            reference("task_id", WANTED_PART.TASK_ID, "tasks", "the task that lacked it")
                .optional())
        .with(
            reference("line_id", WANTED_PART.LINE_ID, "tray_lines", "the line that brings it")
                .optional())
        .with(
            of("dropped_why", WANTED_PART.DROPPED_WHY, text(Lengths.REASON), "why no longer")
                .optional())
        .with(of("actor", WANTED_PART.ACTOR, text(Lengths.NAME), "who wants it"))
        .with(of("recorded_at", WANTED_PART.RECORDED_AT, instant(), "since when"))
        .unique("left_out_line_id")
        .unique("line_id")
        .rule(
            new RowRule(
                "finding_id",
                "one of finding_id, left_out_line_id and asked_why is filled",
                row ->
                    Stream.of("finding_id", "left_out_line_id", "asked_why")
                            .filter(column -> !row.get(column).isEmpty())
                            .count()
                        == 1))
        .rule(
            new RowRule(
                "task_id",
                "filled only where left_out_line_id is",
                row -> row.get("task_id").isEmpty() || !row.get("left_out_line_id").isEmpty()))
        .rule(
            new RowRule(
                "dropped_why",
                "filled only where line_id is not",
                row -> row.get("dropped_why").isEmpty() || row.get("line_id").isEmpty()))
        .build();
  }
}
