package dev.lonja.store.place;

import static dev.lonja.store.schema.Tables.ITEM;
import static dev.lonja.store.schema.Tables.TRANSFER;
import static dev.lonja.store.schema.Tables.TRANSFER_LINE;

import dev.lonja.core.item.ItemId;
import dev.lonja.core.place.Place;
import dev.lonja.core.quantity.Measure;
import dev.lonja.core.quantity.Quantity;
import dev.lonja.core.transfer.TransferId;
import dev.lonja.core.transfer.TransferLine;
import dev.lonja.core.transfer.TransferState;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.jooq.Condition;
import org.jooq.DSLContext;
import org.jooq.Field;
import org.jooq.Record;
import org.jooq.impl.DSL;

/** What goes from one place of the store to another. */
public final class TransferRepository {

  private final DSLContext context;

  public TransferRepository(DSLContext context) {
    this.context = context;
  }

  /**
   * A transfer as it is kept.
   *
   * @param sent once it is on its way
   * @param endedAt once nothing of it is open
   * @param version counts its changes
   * @param lines in order of asking
   */
  public record Stored(
      TransferId id,
      Place from,
      Place to,
      TransferState state,
      String askedBy,
      Instant askedAt,
      Optional<Departure> sent,
      Optional<Instant> endedAt,
      long version,
      List<TransferLine> lines) {

    /** As movements refer to it. */
    public String number() {
      return "TF-" + id;
    }

    /** The line of an item; empty if it is none of it. */
    public Optional<TransferLine> line(ItemId item) {
      return lines.stream().filter(line -> line.itemId().equals(item)).findFirst();
    }
  }

  /** Who sent it, and when. */
  public record Departure(String by, Instant at) {}

  /** Asked for or on the way, the oldest first. */
  public List<Stored> open() {
    return stored(
        TRANSFER.STATE.in(TransferState.ASKED.name(), TransferState.SENT.name()),
        Integer.MAX_VALUE);
  }

  /** Those that ended, the latest first. */
  public List<Stored> ended(int most) {
    return stored(TRANSFER.ENDED_AT.isNotNull(), most);
  }

  public Optional<Stored> byId(TransferId id) {
    return stored(TRANSFER.ID.eq(id), 1).stream().findFirst();
  }

  /** What one place asks another for and has not left yet. */
  public Optional<Stored> asked(Place from, Place to) {
    return open().stream()
        .filter(one -> one.state() == TransferState.ASKED)
        .filter(one -> one.from().equals(from) && one.to().equals(to))
        .findFirst();
  }

  private List<Stored> stored(Condition which, int most) {
    Map<TransferId, List<TransferLine>> lines =
        context
            .select(TRANSFER_LINE.fields())
            .select(ITEM.MEASURE)
            .from(TRANSFER_LINE)
            .join(ITEM)
            .on(ITEM.ID.eq(TRANSFER_LINE.ITEM_ID))
            .where(
                TRANSFER_LINE.TRANSFER_ID.in(DSL.select(TRANSFER.ID).from(TRANSFER).where(which)))
            .orderBy(TRANSFER_LINE.ID)
            .fetchGroups(TRANSFER_LINE.TRANSFER_ID, TransferRepository::line);
    return context
        .select(TRANSFER.fields())
        .from(TRANSFER)
        .where(which)
        .orderBy(TRANSFER.ENDED_AT.desc(), TRANSFER.ID)
        .limit(most)
        .fetch(row -> stored(row, lines.getOrDefault(row.get(TRANSFER.ID), List.of())));
  }

  private static Stored stored(Record row, List<TransferLine> lines) {
    return new Stored(
        row.get(TRANSFER.ID),
        Place.of(row.get(TRANSFER.FROM_SATELLITE_ID)),
        Place.of(row.get(TRANSFER.TO_SATELLITE_ID)),
        TransferState.valueOf(row.get(TRANSFER.STATE)),
        row.get(TRANSFER.ASKED_BY),
        row.get(TRANSFER.ASKED_AT),
        Optional.ofNullable(row.get(TRANSFER.SENT_AT))
            .map(at -> new Departure(row.get(TRANSFER.SENT_BY), at)),
        Optional.ofNullable(row.get(TRANSFER.ENDED_AT)),
        row.get(TRANSFER.VERSION),
        lines);
  }

  private static TransferLine line(Record row) {
    Measure measure = Measure.ofSymbol(row.get(ITEM.MEASURE));
    return new TransferLine(
        row.get(TRANSFER_LINE.ITEM_ID),
        new Quantity(measure, row.get(TRANSFER_LINE.WANTED_MICRO)),
        new Quantity(measure, row.get(TRANSFER_LINE.PICKED_MICRO)),
        new Quantity(measure, row.get(TRANSFER_LINE.CAME_MICRO)),
        new Quantity(measure, row.get(TRANSFER_LINE.STAYED_MICRO)),
        new Quantity(measure, row.get(TRANSFER_LINE.LOST_MICRO)));
  }

  /** Begins one in which nothing is asked for yet. */
  public TransferId add(Place from, Place to, String actor, Instant at) {
    return context
        .insertInto(TRANSFER)
        .set(TRANSFER.FROM_SATELLITE_ID, from.satellite().orElse(null))
        .set(TRANSFER.TO_SATELLITE_ID, to.satellite().orElse(null))
        .set(TRANSFER.STATE, TransferState.ASKED.name())
        .set(TRANSFER.ASKED_BY, actor)
        .set(TRANSFER.ASKED_AT, at)
        .returning(TRANSFER.ID)
        .fetchSingle(TRANSFER.ID);
  }

  /** Keeps a line as it is now; one of an item that was not asked for yet is added. */
  public void keep(TransferId id, TransferLine line) {
    context
        .insertInto(TRANSFER_LINE)
        .set(TRANSFER_LINE.TRANSFER_ID, id)
        .set(TRANSFER_LINE.ITEM_ID, line.itemId())
        .set(amounts(line))
        .onConflict(TRANSFER_LINE.TRANSFER_ID, TRANSFER_LINE.ITEM_ID)
        .doUpdate()
        .set(amounts(line))
        .execute();
    changed(id, Map.of());
  }

  private static Map<Field<Long>, Long> amounts(TransferLine line) {
    return Map.of(
        TRANSFER_LINE.WANTED_MICRO, line.wanted().millionths(),
        TRANSFER_LINE.PICKED_MICRO, line.picked().millionths(),
        TRANSFER_LINE.CAME_MICRO, line.came().millionths(),
        TRANSFER_LINE.STAYED_MICRO, line.stayed().millionths(),
        TRANSFER_LINE.LOST_MICRO, line.lost().millionths());
  }

  /** It leaves. */
  public void send(TransferId id, String actor, Instant at) {
    changed(
        id,
        Map.of(
            TRANSFER.STATE, TransferState.SENT.name(),
            TRANSFER.SENT_BY, actor,
            TRANSFER.SENT_AT, at));
  }

  /**
   * Nothing of it is open any more.
   *
   * @param how closed or dropped
   */
  public void end(TransferId id, TransferState how, Instant at) {
    changed(id, Map.of(TRANSFER.STATE, how.name(), TRANSFER.ENDED_AT, at));
  }

  private void changed(TransferId id, Map<? extends Field<?>, ?> values) {
    context
        .update(TRANSFER)
        .set(TRANSFER.VERSION, TRANSFER.VERSION.plus(1))
        .set(values)
        .where(TRANSFER.ID.eq(id))
        .execute();
  }
}
