package dev.lonja.store.item;

import static dev.lonja.store.schema.Tables.BIN;
import static dev.lonja.store.schema.Tables.ITEM;
import static dev.lonja.store.schema.Tables.PRODUCT;

import dev.lonja.core.item.Family;
import dev.lonja.core.item.Item;
import dev.lonja.core.item.Product;
import dev.lonja.core.part.PartKey;
import dev.lonja.core.quantity.Measure;
import dev.lonja.core.quantity.Volume;
import java.util.List;
import java.util.Optional;
import org.jooq.Condition;
import org.jooq.DSLContext;
import org.jooq.Record;
import org.jooq.SelectOnConditionStep;
import org.jooq.impl.DSL;

/** What has a label on the shelf. */
public final class ItemRepository {

  private final DSLContext context;

  public ItemRepository(DSLContext context) {
    this.context = context;
  }

  /** All items in order of make and number. */
  public List<Item> all() {
    return where(DSL.noCondition());
  }

  public Optional<Item> byId(long id) {
    return items().where(ITEM.ID.eq(id)).fetchOptional(ItemRepository::item);
  }

  /** All items whose number has this key; several makes may share one. */
  public List<Item> byKey(PartKey key) {
    return where(ITEM.NUMBER_KEY.eq(key.text()));
  }

  /** Items whose key begins with this one, the key itself left out. */
  public List<Item> byKeyPrefix(PartKey prefix, int most) {
    Condition begins =
        ITEM.NUMBER_KEY
            .gt(prefix.text())
            .and(ITEM.NUMBER_KEY.lt(prefix.text() + Character.toString(Character.MAX_CODE_POINT)));
    return items()
        .where(begins)
        .orderBy(ITEM.NUMBER_KEY, ITEM.MAKE)
        .limit(most)
        .fetch(ItemRepository::item);
  }

  /** Items at home in this bin. */
  public List<Item> atHomeIn(long binId) {
    return where(ITEM.HOME_BIN_ID.eq(binId));
  }

  public Optional<Item.Bin> binByAddress(String address) {
    return context
        .selectFrom(BIN)
        .where(BIN.ADDRESS.equalIgnoreCase(address))
        .fetchOptional(ItemRepository::bin);
  }

  /**
   * Writes description and home bin if the item still has the version it was read with.
   *
   * @return false if someone else changed it in between; nothing is written then
   */
  public boolean update(long id, long readVersion, String description, long homeBinId) {
    return context
            .update(ITEM)
            .set(ITEM.DESCRIPTION, description)
            .set(ITEM.HOME_BIN_ID, homeBinId)
            .set(ITEM.VERSION, readVersion + 1)
            .where(ITEM.ID.eq(id), ITEM.VERSION.eq(readVersion))
            .execute()
        == 1;
  }

  private List<Item> where(Condition condition) {
    return items().where(condition).orderBy(ITEM.MAKE, ITEM.NUMBER).fetch(ItemRepository::item);
  }

  private SelectOnConditionStep<Record> items() {
    return context
        .select()
        .from(ITEM)
        .join(BIN)
        .on(BIN.ID.eq(ITEM.HOME_BIN_ID))
        .leftJoin(PRODUCT)
        .on(PRODUCT.ID.eq(ITEM.PRODUCT_ID));
  }

  private static Item item(Record row) {
    return new Item(
        row.get(ITEM.ID),
        row.get(ITEM.MAKE),
        row.get(ITEM.NUMBER),
        row.get(ITEM.DESCRIPTION),
        Family.valueOf(row.get(ITEM.FAMILY)),
        Measure.ofSymbol(row.get(ITEM.MEASURE)),
        Optional.ofNullable(row.get(ITEM.PRODUCT_ID)).map(id -> product(row)),
        Optional.ofNullable(row.get(ITEM.PACK_UL)).map(Volume::new),
        Optional.ofNullable(row.get(ITEM.FILTER_VOLUME_UL)).map(Volume::new),
        bin(row),
        row.get(ITEM.VERSION));
  }

  private static Product product(Record row) {
    return new Product(
        row.get(PRODUCT.ID),
        row.get(PRODUCT.MAKE),
        row.get(PRODUCT.NAME),
        Product.Kind.valueOf(row.get(PRODUCT.KIND)),
        row.get(PRODUCT.GRADE),
        row.get(PRODUCT.CLASSES));
  }

  private static Item.Bin bin(Record row) {
    return new Item.Bin(
        row.get(BIN.ID), row.get(BIN.ADDRESS), Math.toIntExact(row.get(BIN.WALK_ORDER)));
  }
}
