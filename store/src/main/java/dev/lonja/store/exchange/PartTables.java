package dev.lonja.store.exchange;

import static dev.lonja.store.exchange.Column.number;
import static dev.lonja.store.exchange.Column.of;
import static dev.lonja.store.exchange.Column.reference;
import static dev.lonja.store.exchange.ExchangeTables.POWER_W;
import static dev.lonja.store.exchange.Format.date;
import static dev.lonja.store.exchange.Format.instant;
import static dev.lonja.store.exchange.Format.scaled;
import static dev.lonja.store.exchange.Format.symbol;
import static dev.lonja.store.exchange.Format.text;
import static dev.lonja.store.exchange.Format.whole;
import static dev.lonja.store.exchange.Format.words;
import static dev.lonja.store.schema.Tables.BOX_CONTENT;
import static dev.lonja.store.schema.Tables.KIT_RANGE;
import static dev.lonja.store.schema.Tables.PART;
import static dev.lonja.store.schema.Tables.PART_PROPERTY;
import static dev.lonja.store.schema.Tables.RUBBER_FLUID;
import static dev.lonja.store.schema.Tables.STATEMENT;
import static dev.lonja.store.schema.Tables.WITHDRAWAL;

import dev.lonja.core.crossref.RubberTable;
import dev.lonja.core.crossref.Source;
import dev.lonja.core.crossref.StatementKind;
import dev.lonja.core.part.Family;
import dev.lonja.core.part.PartKey;
import dev.lonja.core.part.Property;
import dev.lonja.core.quantity.Limits;
import dev.lonja.core.text.Lengths;
import java.math.BigDecimal;
import java.util.List;
import java.util.Map;
import java.util.stream.Stream;

/** Parts, what is recorded of them, and what is said of which may stand for which. */
final class PartTables {

  static final List<ExchangeTable> ALL =
      List.of(
          parts(),
          partProperties(),
          boxContents(),
          kitRanges(),
          statements(),
          withdrawals(),
          rubberFluids());

  private PartTables() {}

  private static ExchangeTable parts() {
    return ExchangeTable.named("parts", PART)
        .with(number("id", PART.ID, "number of the row"))
        .with(of("make", PART.MAKE, text(Lengths.NAME), "whose number it is"))
        .with(of("number", PART.NUMBER, Format.partNumber(), "part number as printed"))
        .with(of("family", PART.FAMILY, words(Family.values()), "kind of thing").optional())
        .unique("make", "number")
        .derive(PART.NUMBER_KEY, row -> key(row).text())
        .derive(PART.NEAR_KEY, row -> key(row).near())
        .build();
  }

  private static PartKey key(Map<String, String> row) {
    return PartKey.of(row.get("number")).orElseThrow();
  }

  private static ExchangeTable partProperties() {
    return ExchangeTable.named("part_properties", PART_PROPERTY)
        .with(number("id", PART_PROPERTY.ID, "number of the row"))
        .with(reference("part_id", PART_PROPERTY.PART_ID, "parts", "the part"))
        .with(
            of(
                "property",
                PART_PROPERTY.PROPERTY,
                symbol(Property.all().stream().map(Property::name).toArray(String[]::new)),
                "what is recorded"))
        .with(of("value", PART_PROPERTY.VALUE, text(Lengths.NAME), "its value"))
        .unique("part_id", "property")
        .rule(
            new RowRule(
                "value",
                "what the property may be, written plainly: millimetres, bar, micrometres",
                PartTables::isPlainlyWritten))
        .build();
  }

  /** True if the value is allowed and stands as an export would write it. */
  private static boolean isPlainlyWritten(Map<String, String> row) {
    return Property.named(row.get("property"))
        .filter(property -> isPlainlyWritten(property, row.get("value")))
        .isPresent();
  }

  private static <T> boolean isPlainlyWritten(Property<T> property, String value) {
    return property.parse(value).map(property::print).filter(value::equals).isPresent();
  }

  private static ExchangeTable boxContents() {
    return ExchangeTable.named("box_contents", BOX_CONTENT)
        .with(number("id", BOX_CONTENT.ID, "number of the row"))
        .with(reference("part_id", BOX_CONTENT.PART_ID, "parts", "the box or kit"))
        .with(reference("content_part_id", BOX_CONTENT.CONTENT_PART_ID, "parts", "what is in it"))
        .with(of("quantity", BOX_CONTENT.QUANTITY, whole(1, Limits.PIECES), "how many"))
        .unique("part_id", "content_part_id")
        .rule(
            new RowRule(
                "content_part_id",
                "another part than the box",
                row -> !row.get("part_id").equals(row.get("content_part_id"))))
        .build();
  }

  private static ExchangeTable kitRanges() {
    return ExchangeTable.named("kit_ranges", KIT_RANGE)
        .with(number("id", KIT_RANGE.ID, "number of the row"))
        .with(reference("part_id", KIT_RANGE.PART_ID, "parts", "the kit"))
        .with(of("make", KIT_RANGE.MAKE, text(Lengths.NAME), "the machine's make").orEmptyText())
        .with(of("model", KIT_RANGE.MODEL, text(Lengths.NAME), "its model").orEmptyText())
        .with(of("engine", KIT_RANGE.ENGINE, text(Lengths.NAME), "its engine's code").orEmptyText())
        .with(of("least_kw", KIT_RANGE.LEAST_W, POWER_W, "the lowest power").optional())
        .with(of("most_kw", KIT_RANGE.MOST_W, POWER_W, "the highest power").optional())
        .rule(
            new RowRule(
                "make",
                "something, unless another column states something",
                row ->
                    Stream.of("make", "model", "engine", "least_kw", "most_kw")
                        .anyMatch(column -> !row.get(column).isEmpty())))
        .rule(
            new RowRule(
                "most_kw",
                "the lowest power or more",
                row ->
                    row.get("least_kw").isEmpty()
                        || row.get("most_kw").isEmpty()
                        || new BigDecimal(row.get("most_kw"))
                                .compareTo(new BigDecimal(row.get("least_kw")))
                            >= 0))
        .build();
  }

  private static ExchangeTable statements() {
    return ExchangeTable.named("statements", STATEMENT)
        .with(number("id", STATEMENT.ID, "number of the row, in order of entry"))
        .with(reference("subject_id", STATEMENT.SUBJECT_ID, "parts", "the part spoken of"))
        .with(of("kind", STATEMENT.KIND, words(StatementKind.values()), "what is said"))
        .with(reference("object_id", STATEMENT.OBJECT_ID, "parts", "of which other part"))
        .with(of("source", STATEMENT.SOURCE, words(Source.values()), "on whose word"))
        .with(of("said_on", STATEMENT.SAID_ON, date(), "day of the source"))
        .with(of("confidence", STATEMENT.CONFIDENCE_E4, scaled(4, 1, 10_000), "how far trusted"))
        .with(of("note", STATEMENT.NOTE, text(Lengths.REASON), "in words").orEmptyText())
        .with(of("actor", STATEMENT.ACTOR, text(Lengths.NAME), "who entered it"))
        .with(of("recorded_at", STATEMENT.RECORDED_AT, instant(), "when"))
        .rule(
            new RowRule(
                "object_id",
                "another part than the subject",
                row -> !row.get("subject_id").equals(row.get("object_id"))))
        .rule(
            new RowRule(
                "note",
                "the reason, where kind is never",
                row -> !row.get("kind").equals("never") || !row.get("note").isBlank()))
        .build();
  }

  private static ExchangeTable withdrawals() {
    return ExchangeTable.named("withdrawals", WITHDRAWAL)
        .with(number("id", WITHDRAWAL.ID, "number of the row"))
        .with(reference("statement_id", WITHDRAWAL.STATEMENT_ID, "statements", "what is ended"))
        .with(of("reason", WITHDRAWAL.REASON, text(Lengths.REASON), "why"))
        .with(of("actor", WITHDRAWAL.ACTOR, text(Lengths.NAME), "who withdrew it"))
        .with(of("recorded_at", WITHDRAWAL.RECORDED_AT, instant(), "when"))
        .unique("statement_id")
        .build();
  }

  private static ExchangeTable rubberFluids() {
    return ExchangeTable.named("rubber_fluids", RUBBER_FLUID)
        .with(number("id", RUBBER_FLUID.ID, "number of the row"))
        .with(
            of(
                "rubber",
                RUBBER_FLUID.RUBBER,
                symbol(Property.RUBBER.choices().toArray(String[]::new)),
                "the rubber"))
        .with(
            of(
                "fluid",
                RUBBER_FLUID.FLUID,
                symbol(RubberTable.FLUIDS.toArray(String[]::new)),
                "the fluid"))
        .with(
            of(
                    "guidance",
                    RUBBER_FLUID.GUIDANCE,
                    words(RubberTable.Guidance.values()),
                    "what this store says")
                .optional())
        .unique("rubber", "fluid")
        .build();
  }
}
