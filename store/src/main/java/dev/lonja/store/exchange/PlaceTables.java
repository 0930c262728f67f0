package dev.lonja.store.exchange;

import static dev.lonja.store.exchange.Column.number;
import static dev.lonja.store.exchange.Column.of;
import static dev.lonja.store.exchange.Column.reference;
import static dev.lonja.store.exchange.ExchangeTables.MOST;
import static dev.lonja.store.exchange.ExchangeTables.QUANTITY_MICRO;
import static dev.lonja.store.exchange.Format.instant;
import static dev.lonja.store.exchange.Format.scaled;
import static dev.lonja.store.exchange.Format.text;
import static dev.lonja.store.exchange.Format.whole;
import static dev.lonja.store.exchange.Format.words;
import static dev.lonja.store.schema.Tables.PERSON_PLACE;
import static dev.lonja.store.schema.Tables.SATELLITE;
import static dev.lonja.store.schema.Tables.TRANSFER;
import static dev.lonja.store.schema.Tables.TRANSFER_LINE;

import dev.lonja.core.person.PersonName;
import dev.lonja.core.place.SatelliteId;
import dev.lonja.core.text.Lengths;
import dev.lonja.core.transfer.TransferState;
import java.math.BigDecimal;
import java.util.List;
import org.jooq.TableField;

/** The places of a store, and what goes from one to another. */
final class PlaceTables {

  static final List<ExchangeTable> PLACES = List.of(satellites(), personPlaces());

  static final List<ExchangeTable> TRANSFERS = List.of(transfers(), lines());

  private static final String LINE_SUM = "stayed_pc_or_l and lost_pc_or_l no more than picked";

  private PlaceTables() {}

  /** At which place something is; nothing for the main store. */
  static Column<SatelliteId> at(String name, TableField<?, SatelliteId> field, String says) {
    return reference(name, field, "satellites", says + "; empty for the main store").optional();
  }

  private static ExchangeTable satellites() {
    return ExchangeTable.named("satellites", SATELLITE)
        .with(number("id", SATELLITE.ID, "number of the row"))
        .with(of("name", SATELLITE.NAME, text(Lengths.NAME), "what it is called"))
        .unique("name")
        .build();
  }

  private static ExchangeTable personPlaces() {
    return ExchangeTable.named("person_places", PERSON_PLACE)
        .with(number("id", PERSON_PLACE.ID, "number of the row"))
        .with(reference("person_id", PERSON_PLACE.PERSON_ID, "people", "who"))
        .with(at("satellite_id", PERSON_PLACE.SATELLITE_ID, "where this person may work"))
        .unique("person_id", "satellite_id")
        .build();
  }

  private static ExchangeTable transfers() {
    return ExchangeTable.named("transfers", TRANSFER)
        .with(number("id", TRANSFER.ID, "number of the row"))
        .with(at("from_satellite_id", TRANSFER.FROM_SATELLITE_ID, "which place gives"))
        .with(at("to_satellite_id", TRANSFER.TO_SATELLITE_ID, "which place asks"))
        .with(of("state", TRANSFER.STATE, words(TransferState.values()), "where it stands"))
        .with(of("asked_by", TRANSFER.ASKED_BY, text(PersonName.LONGEST), "who asked"))
        .with(of("asked_at", TRANSFER.ASKED_AT, instant(), "when"))
        .with(of("sent_by", TRANSFER.SENT_BY, text(PersonName.LONGEST), "who sent it").optional())
        .with(of("sent_at", TRANSFER.SENT_AT, instant(), "when").optional())
        .with(of("ended_at", TRANSFER.ENDED_AT, instant(), "when all had come").optional())
        .with(of("version", TRANSFER.VERSION, whole(0, MOST), "number of changes"))
        .filledExactlyFor("sent_by", "state", "sent", "closed")
        .filledExactlyFor("sent_at", "state", "sent", "closed")
        .filledExactlyFor("ended_at", "state", "closed", "dropped")
        .rule(
            new RowRule(
                "to_satellite_id",
                "another than from_satellite_id",
                row -> !row.get("from_satellite_id").equals(row.get("to_satellite_id"))))
        .build();
  }

  private static ExchangeTable lines() {
    return ExchangeTable.named("transfer_lines", TRANSFER_LINE)
        .with(number("id", TRANSFER_LINE.ID, "number of the row"))
        .with(reference("transfer_id", TRANSFER_LINE.TRANSFER_ID, "transfers", "the transfer"))
        .with(reference("item_id", TRANSFER_LINE.ITEM_ID, "items", "what is asked for"))
        .with(quantity("wanted_pc_or_l", TRANSFER_LINE.WANTED_MICRO, 1, "how much of it"))
        .with(quantity("picked_pc_or_l", TRANSFER_LINE.PICKED_MICRO, 0, "taken from the shelf"))
        .with(quantity("came_pc_or_l", TRANSFER_LINE.CAME_MICRO, 0, "came to where it goes"))
        .with(quantity("stayed_pc_or_l", TRANSFER_LINE.STAYED_MICRO, 0, "had never left"))
        .with(quantity("lost_pc_or_l", TRANSFER_LINE.LOST_MICRO, 0, "lost on the way"))
        .unique("transfer_id", "item_id")
        .rule(
            new RowRule(
                "lost_pc_or_l",
                LINE_SUM,
                row ->
                    new BigDecimal(row.get("stayed_pc_or_l"))
                            .add(new BigDecimal(row.get("lost_pc_or_l")))
                            .compareTo(new BigDecimal(row.get("picked_pc_or_l")))
                        <= 0))
        .build();
  }

  private static Column<Long> quantity(
      String name, TableField<?, Long> field, long least, String says) {
    return of(name, field, scaled(6, least, QUANTITY_MICRO), says);
  }
}
