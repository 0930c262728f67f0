package dev.lonja.store.item;

import static dev.lonja.store.schema.Tables.BARCODE;
import static dev.lonja.store.schema.Tables.BIN;
import static dev.lonja.store.schema.Tables.ITEM;
import static dev.lonja.store.schema.Tables.ITEM_BIN;
import static dev.lonja.store.schema.Tables.PICTURE;
import static dev.lonja.store.schema.Tables.SUPPLY;

import dev.lonja.core.item.ItemBin;
import dev.lonja.core.item.ItemId;
import dev.lonja.core.quantity.Measure;
import dev.lonja.core.quantity.Quantity;
import dev.lonja.store.query.FixedQuery;
import java.util.Collection;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.jooq.DSLContext;
import org.jooq.Record;
import org.jooq.impl.DSL;

/** What goes with an item: its barcodes, its bins, its picture. */
public final class KeepingRepository {

  private static final FixedQuery BINS =
      FixedQuery.of(
          DSL.select(BIN.ID, BIN.ADDRESS, ITEM.MEASURE, ITEM_BIN.LEAST_MICRO, ITEM_BIN.MOST_MICRO)
              .from(ITEM_BIN)
              .join(BIN)
              .on(BIN.ID.eq(ITEM_BIN.BIN_ID))
              .join(ITEM)
              .on(ITEM.ID.eq(ITEM_BIN.ITEM_ID))
              .where(ITEM_BIN.ITEM_ID.eq(FixedQuery.given(ITEM_BIN.ITEM_ID)))
              .orderBy(BIN.WALK_ORDER));

  private final DSLContext context;

  /** A picture of an item as a browser shows it. */
  public record Picture(String mediaType, byte[] content) {}

  public KeepingRepository(DSLContext context) {
    this.context = context;
  }

  public List<String> barcodes(ItemId itemId) {
    return context
        .selectFrom(BARCODE)
        .where(BARCODE.ITEM_ID.eq(itemId))
        .orderBy(BARCODE.ID)
        .fetch(BARCODE.CODE);
  }

  /** What a scanner reads of each of these; items without a barcode are absent. */
  public Map<ItemId, List<String>> barcodes(Collection<ItemId> items) {
    return context
        .selectFrom(BARCODE)
        .where(BARCODE.ITEM_ID.in(items))
        .orderBy(BARCODE.ID)
        .fetchGroups(BARCODE.ITEM_ID, BARCODE.CODE);
  }

  /** The item that has this barcode already. */
  public Optional<ItemId> itemWithBarcode(String code) {
    return context.selectFrom(BARCODE).where(BARCODE.CODE.eq(code)).fetchOptional(BARCODE.ITEM_ID);
  }

  public void setBarcodes(ItemId itemId, List<String> codes) {
    context.deleteFrom(BARCODE).where(BARCODE.ITEM_ID.eq(itemId)).execute();
    for (String code : codes) {
      context.insertInto(BARCODE).set(BARCODE.ITEM_ID, itemId).set(BARCODE.CODE, code).execute();
    }
  }

  /** The bins of an item in walking order, with how much each should hold. */
  public List<ItemBin> bins(ItemId itemId) {
    return BINS.with(context, itemId).fetch(KeepingRepository::bin);
  }

  /** The bins of all items in walking order; an item without any is absent. */
  public Map<ItemId, List<ItemBin>> bins() {
    return context
        .select()
        .from(ITEM_BIN)
        .join(BIN)
        .on(BIN.ID.eq(ITEM_BIN.BIN_ID))
        .join(ITEM)
        .on(ITEM.ID.eq(ITEM_BIN.ITEM_ID))
        .orderBy(ITEM_BIN.ITEM_ID, BIN.WALK_ORDER)
        .fetchGroups(ITEM_BIN.ITEM_ID, KeepingRepository::bin);
  }

  private static ItemBin bin(Record row) {
    Measure measure = Measure.ofSymbol(row.get(ITEM.MEASURE));
    return new ItemBin(
        row.get(BIN.ID),
        row.get(BIN.ADDRESS),
        new Quantity(measure, row.get(ITEM_BIN.LEAST_MICRO)),
        new Quantity(measure, row.get(ITEM_BIN.MOST_MICRO)));
  }

  public void setBins(ItemId itemId, List<ItemBin> bins) {
    context.deleteFrom(ITEM_BIN).where(ITEM_BIN.ITEM_ID.eq(itemId)).execute();
    for (ItemBin bin : bins) {
      context
          .insertInto(ITEM_BIN)
          .set(ITEM_BIN.ITEM_ID, itemId)
          .set(ITEM_BIN.BIN_ID, bin.binId())
          .set(ITEM_BIN.LEAST_MICRO, bin.least().millionths())
          .set(ITEM_BIN.MOST_MICRO, bin.most().millionths())
          .execute();
    }
  }

  public Optional<Picture> picture(ItemId itemId) {
    return context
        .selectFrom(PICTURE)
        .where(PICTURE.ITEM_ID.eq(itemId))
        .fetchOptional(row -> new Picture(row.get(PICTURE.MEDIA_TYPE), row.get(PICTURE.CONTENT)));
  }

  public boolean hasPicture(ItemId itemId) {
    return context.fetchExists(PICTURE, PICTURE.ITEM_ID.eq(itemId));
  }

  /** Puts a picture in place of the one that was. */
  public void setPicture(ItemId itemId, Picture picture) {
    dropPicture(itemId);
    context
        .insertInto(PICTURE)
        .set(PICTURE.ITEM_ID, itemId)
        .set(PICTURE.MEDIA_TYPE, picture.mediaType())
        .set(PICTURE.CONTENT, picture.content())
        .execute();
  }

  public void dropPicture(ItemId itemId) {
    context.deleteFrom(PICTURE).where(PICTURE.ITEM_ID.eq(itemId)).execute();
  }

  /** Drops all that goes with an item that is about to be deleted. */
  void forget(ItemId itemId) {
    setBarcodes(itemId, List.of());
    setBins(itemId, List.of());
    context.deleteFrom(SUPPLY).where(SUPPLY.ITEM_ID.eq(itemId)).execute();
    dropPicture(itemId);
  }
}
