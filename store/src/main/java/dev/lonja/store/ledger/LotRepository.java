package dev.lonja.store.ledger;

import static dev.lonja.store.schema.Tables.LOT;

import dev.lonja.core.item.ItemId;
import dev.lonja.core.ledger.LotCondition;
import dev.lonja.core.ledger.LotId;
import dev.lonja.store.schema.tables.Lot;
import java.time.LocalDate;
import java.util.Collection;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.jooq.DSLContext;
import org.jooq.Field;
import org.jooq.Record;
import org.jooq.impl.DSL;

/**
 * Lots. One code may stand for several: what was set aside of it, what came with another date, and
 * containers that were opened.
 */
public final class LotRepository {

  private static final String OPENED = " open ";

  private final DSLContext context;

  public LotRepository(DSLContext context) {
    this.context = context;
  }

  /** Opens a lot for a receipt. */
  public LotId addLot(
      ItemId itemId, String code, LocalDate receivedOn, Optional<LocalDate> expiresOn) {
    return addLot(itemId, code, receivedOn, expiresOn, false);
  }

  /** Opens a lot that is set aside and may not be issued. */
  public LotId addQuarantinedLot(ItemId itemId, String code, LocalDate receivedOn) {
    return addLot(itemId, code, receivedOn, Optional.empty(), true);
  }

  private LotId addLot(
      ItemId itemId,
      String code,
      LocalDate receivedOn,
      Optional<LocalDate> expiresOn,
      boolean quarantined) {
    return context
        .insertInto(LOT)
        .set(LOT.ITEM_ID, itemId)
        .set(LOT.CODE, code)
        .set(LOT.RECEIVED_ON, receivedOn)
        .set(LOT.EXPIRES_ON, expiresOn.orElse(null))
        .set(LOT.QUARANTINED, quarantined ? 1L : 0L)
        .returning(LOT.ID)
        .fetchSingle(LOT.ID);
  }

  /** A lot for a container opened out of a sealed one; it counts from the sealed one's receipt. */
  public LotId addOpenLot(LotId sealed, LocalDate openedOn, Optional<LocalDate> expiresOn) {
    Record from = context.selectFrom(LOT).where(LOT.ID.eq(sealed)).fetchSingle();
    String code = from.get(LOT.CODE) + OPENED;
    Field<Integer> count = DSL.count();
    int before =
        context
            .select(count)
            .from(LOT)
            .where(LOT.ITEM_ID.eq(from.get(LOT.ITEM_ID)), LOT.CODE.startsWith(code))
            .fetchSingle(count);
    return context
        .insertInto(LOT)
        .set(LOT.ITEM_ID, from.get(LOT.ITEM_ID))
        .set(LOT.CODE, code + (before + 1))
        .set(LOT.RECEIVED_ON, from.get(LOT.RECEIVED_ON))
        .set(LOT.EXPIRES_ON, expiresOn.orElse(null))
        .set(LOT.OPENED_ON, openedOn)
        .returning(LOT.ID)
        .fetchSingle(LOT.ID);
  }

  /** The last day on which a lot is good, whether any of it is left or not. */
  public Optional<LocalDate> expiryOf(LotId id) {
    return context
        .select(LOT.EXPIRES_ON)
        .from(LOT)
        .where(LOT.ID.eq(id))
        .fetchOptional(LOT.EXPIRES_ON);
  }

  /** The lots of an item that are open containers, empty ones too. */
  public Set<LotId> openLots(ItemId itemId) {
    return context
        .select(LOT.ID)
        .from(LOT)
        .where(LOT.ITEM_ID.eq(itemId), LOT.OPENED_ON.isNotNull())
        .fetchSet(LOT.ID);
  }

  /** The last received of the sealed lots of a code that are new and not set aside. */
  public Optional<NamedLot> lotByCode(ItemId itemId, String code) {
    return context
        .select(LOT.ID, LOT.EXPIRES_ON)
        .from(LOT)
        .where(LOT.ITEM_ID.eq(itemId), LOT.CODE.eq(code))
        .and(LOT.QUARANTINED.eq(0L))
        .and(LOT.CONDITION.eq(LotCondition.NEW.name()))
        .and(LOT.OPENED_ON.isNull())
        .orderBy(LOT.RECEIVED_ON.desc(), LOT.ID.desc())
        .limit(1)
        .fetchOptional(row -> new NamedLot(row.value1(), Optional.ofNullable(row.value2())));
  }

  /** The new lots that what was received into one may lie in: set aside, and opened ones too. */
  public Set<LotId> lotsOfReceipt(LotId id) {
    Lot same = LOT.as("same");
    return context
        .select(same.ID)
        .from(LOT)
        .join(same)
        .on(
            same.ITEM_ID.eq(LOT.ITEM_ID),
            same.CONDITION.eq(LOT.CONDITION),
            same.CODE.eq(LOT.CODE).or(same.CODE.startsWith(LOT.CODE.concat(OPENED))))
        .where(LOT.ID.eq(id))
        .fetchSet(same.ID);
  }

  /** By lot, the code that is printed on it. */
  public Map<LotId, String> codes(Collection<LotId> ids) {
    return context
        .select(LOT.ID, LOT.CODE)
        .from(LOT)
        .where(LOT.ID.in(ids))
        .fetchMap(LOT.ID, LOT.CODE);
  }

  /** A lot with the day through which it is good. */
  public record NamedLot(LotId id, Optional<LocalDate> expiresOn) {}

  /** A lot of the same code and days that is set aside, or that is not; opened if there is none. */
  public LotId lotLike(LotId id, boolean quarantined) {
    Record like = context.selectFrom(LOT).where(LOT.ID.eq(id)).fetchSingle();
    like.set(LOT.QUARANTINED, quarantined ? 1L : 0L);
    return known(like);
  }

  /** A lot of the same code and days in another condition; opened if there is none. */
  public LotId lotLike(LotId id, LotCondition condition) {
    Record like = context.selectFrom(LOT).where(LOT.ID.eq(id)).fetchSingle();
    like.set(LOT.CONDITION, condition.name());
    return known(like);
  }

  /** The lot of new ones that came last and is not set aside, whether any of it is left or not. */
  public Optional<LotId> latestNew(ItemId itemId) {
    return context
        .select(LOT.ID)
        .from(LOT)
        .where(
            LOT.ITEM_ID.eq(itemId),
            LOT.CONDITION.eq(LotCondition.NEW.name()),
            LOT.QUARANTINED.eq(0L))
        .orderBy(LOT.RECEIVED_ON.desc(), LOT.ID.desc())
        .limit(1)
        .fetchOptional(LOT.ID);
  }

  /** In which condition a lot is; an unknown lot is broken data and throws. */
  public LotCondition conditionOf(LotId id) {
    return context
        .select(LOT.CONDITION)
        .from(LOT)
        .where(LOT.ID.eq(id))
        .fetchSingle(row -> LotCondition.valueOf(row.value1()));
  }

  /** The lot of parts that came off a machine under a code; opened if there is none. */
  public LotId salvaged(ItemId itemId, String code, LocalDate day, LotCondition condition) {
    Record lot = context.newRecord(LOT);
    lot.set(LOT.ITEM_ID, itemId);
    lot.set(LOT.CODE, code);
    lot.set(LOT.RECEIVED_ON, day);
    lot.set(LOT.QUARANTINED, 0L);
    lot.set(LOT.CONDITION, condition.name());
    return known(lot);
  }

  /** The sealed lot of a code and a date, set aside or not; opened if there is none. */
  public LotId sealed(
      ItemId itemId,
      String code,
      LocalDate receivedOn,
      Optional<LocalDate> expiresOn,
      boolean quarantined) {
    Record lot = context.newRecord(LOT);
    lot.set(LOT.ITEM_ID, itemId);
    lot.set(LOT.CODE, code);
    lot.set(LOT.RECEIVED_ON, receivedOn);
    lot.set(LOT.EXPIRES_ON, expiresOn.orElse(null));
    lot.set(LOT.QUARANTINED, quarantined ? 1L : 0L);
    lot.set(LOT.CONDITION, LotCondition.NEW.name());
    return known(lot);
  }

  private LotId known(Record lot) {
    return context
        .select(LOT.ID)
        .from(LOT)
        .where(
            LOT.ITEM_ID.eq(lot.get(LOT.ITEM_ID)),
            LOT.CODE.eq(lot.get(LOT.CODE)),
            LOT.QUARANTINED.eq(lot.get(LOT.QUARANTINED)),
            LOT.CONDITION.eq(lot.get(LOT.CONDITION)),
            LOT.EXPIRES_ON.isNotDistinctFrom(lot.get(LOT.EXPIRES_ON)),
            LOT.OPENED_ON.isNotDistinctFrom(lot.get(LOT.OPENED_ON)))
        .fetchOptional(LOT.ID)
        .orElseGet(
            () ->
                context
                    .insertInto(LOT)
                    .set(LOT.ITEM_ID, lot.get(LOT.ITEM_ID))
                    .set(LOT.CODE, lot.get(LOT.CODE))
                    .set(LOT.RECEIVED_ON, lot.get(LOT.RECEIVED_ON))
                    .set(LOT.EXPIRES_ON, lot.get(LOT.EXPIRES_ON))
                    .set(LOT.QUARANTINED, lot.get(LOT.QUARANTINED))
                    .set(LOT.CONDITION, lot.get(LOT.CONDITION))
                    .set(LOT.OPENED_ON, lot.get(LOT.OPENED_ON))
                    .returning(LOT.ID)
                    .fetchSingle(LOT.ID));
  }
}
