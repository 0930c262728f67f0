package dev.lonja.store.exchange;

import static dev.lonja.store.exchange.Column.number;
import static dev.lonja.store.exchange.Column.of;
import static dev.lonja.store.exchange.Column.reference;
import static dev.lonja.store.exchange.ExchangeTables.METER_TENTHS;
import static dev.lonja.store.exchange.Format.date;
import static dev.lonja.store.exchange.Format.instant;
import static dev.lonja.store.exchange.Format.scaled;
import static dev.lonja.store.exchange.Format.symbol;
import static dev.lonja.store.exchange.Format.text;
import static dev.lonja.store.exchange.Format.words;
import static dev.lonja.store.exchange.Format.yesNo;
import static dev.lonja.store.schema.Tables.METER;
import static dev.lonja.store.schema.Tables.METER_REPLACEMENT;
import static dev.lonja.store.schema.Tables.READING;
import static dev.lonja.store.schema.Tables.READING_RULING;

import dev.lonja.core.quantity.Limits;
import dev.lonja.core.text.Lengths;
import dev.lonja.store.fleet.ReadingRepository;
import java.util.List;

/** Meters, what was read of them, and what people decided about it. */
final class MeterTables {

  static final List<ExchangeTable> ALL = List.of(meters(), readings(), rulings(), replacements());

  private MeterTables() {}

  private static ExchangeTable meters() {
    return ExchangeTable.named("meters", METER)
        .with(number("id", METER.ID, "number of the row"))
        .with(reference("unit_id", METER.UNIT_ID, "units", "the unit it sits on"))
        .with(of("name", METER.NAME, text(Lengths.SHORT), "what it counts"))
        .with(of("unit", METER.MEASURE, symbol("h", "km"), "hours or kilometres"))
        .with(
            of(
                "start_h_or_km",
                METER.START_TENTHS,
                scaled(1, 0, METER_TENTHS),
                "value at the start of service"))
        .with(
            of(
                    "declared_per_day",
                    METER.DECLARED_RATE_NANO,
                    scaled(9, 0, 1_000_000_000L * Limits.RATE),
                    "use a day, for want of readings")
                .optional())
        .unique("unit_id", "name")
        .build();
  }

  private static ExchangeTable readings() {
    return ExchangeTable.named("readings", READING)
        .with(number("id", READING.ID, "number of the row"))
        .with(reference("meter_id", READING.METER_ID, "meters", "the meter read"))
        .with(of("read_on", READING.READ_ON, date(), "day of the reading"))
        .with(of("read_at", READING.READ_AT, instant(), "instant, if known").optional())
        .with(
            of("value_h_or_km", READING.VALUE_TENTHS, scaled(1, 0, METER_TENTHS), "what it showed"))
        .with(of("source", READING.SOURCE, words(ReadingRepository.Source.values()), "how it came"))
        .with(reference("corrects", READING.CORRECTS, "readings", "a wrong reading").optional())
        .with(of("actor", READING.ACTOR, text(Lengths.NAME), "who entered it"))
        .with(of("recorded_at", READING.RECORDED_AT, instant(), "when it was entered"))
        .build();
  }

  private static ExchangeTable rulings() {
    return ExchangeTable.named("reading_rulings", READING_RULING)
        .with(number("id", READING_RULING.ID, "number of the row, in order of entry"))
        .with(reference("reading_id", READING_RULING.READING_ID, "readings", "the reading"))
        .with(of("accepted", READING_RULING.ACCEPTED, yesNo(), "whether it is to count"))
        .with(of("reason", READING_RULING.REASON, text(Lengths.REASON), "why"))
        .with(of("actor", READING_RULING.ACTOR, text(Lengths.NAME), "who decided"))
        .with(of("recorded_at", READING_RULING.RECORDED_AT, instant(), "when"))
        .build();
  }

  private static ExchangeTable replacements() {
    return ExchangeTable.named("meter_replacements", METER_REPLACEMENT)
        .with(number("id", METER_REPLACEMENT.ID, "number of the row"))
        .with(
            reference(
                "end_reading_id",
                METER_REPLACEMENT.END_READING_ID,
                "readings",
                "last of the old meter"))
        .with(
            of(
                "start_h_or_km",
                METER_REPLACEMENT.START_TENTHS,
                scaled(1, 0, METER_TENTHS),
                "what the new meter stood at"))
        .with(
            reference(
                    "withdraws",
                    METER_REPLACEMENT.WITHDRAWS,
                    "meter_replacements",
                    "one noted in error")
                .optional())
        .with(of("reason", METER_REPLACEMENT.REASON, text(Lengths.REASON), "why"))
        .with(of("actor", METER_REPLACEMENT.ACTOR, text(Lengths.NAME), "who noted it"))
        .with(of("recorded_at", METER_REPLACEMENT.RECORDED_AT, instant(), "when"))
        .build();
  }
}
