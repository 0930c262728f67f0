package dev.lonja.store.item;

import static dev.lonja.store.schema.Tables.BARCODE;
import static dev.lonja.store.schema.Tables.BIN;
import static dev.lonja.store.schema.Tables.COMPARTMENT;
import static dev.lonja.store.schema.Tables.DEVIATION;
import static dev.lonja.store.schema.Tables.FILL;
import static dev.lonja.store.schema.Tables.ITEM;
import static dev.lonja.store.schema.Tables.LOT;
import static dev.lonja.store.schema.Tables.MOVEMENT;
import static dev.lonja.store.schema.Tables.PART;
import static dev.lonja.store.schema.Tables.POSITION;
import static dev.lonja.store.schema.Tables.PRODUCT;
import static dev.lonja.store.schema.Tables.TRAY_LINE;

import dev.lonja.core.fluid.ProductId;
import dev.lonja.core.item.Criticality;
import dev.lonja.core.item.Item;
import dev.lonja.core.item.ItemId;
import dev.lonja.core.part.Family;
import dev.lonja.core.part.PartId;
import dev.lonja.core.part.PartKey;
import dev.lonja.core.place.BinId;
import dev.lonja.core.place.Place;
import dev.lonja.core.quantity.Measure;
import dev.lonja.core.quantity.Quantity;
import dev.lonja.core.quantity.Volume;
import dev.lonja.store.fluid.ProductRows;
import dev.lonja.store.query.Bound;
import dev.lonja.store.query.FixedQuery;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Collection;
import java.util.EnumSet;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import org.jooq.Condition;
import org.jooq.DSLContext;
import org.jooq.Record;
import org.jooq.Select;
import org.jooq.SelectFieldOrAsterisk;
import org.jooq.SelectOnConditionStep;
import org.jooq.impl.DSL;

/** What has a label on the shelf. */
public final class ItemRepository {

  /** Room on the walk for bins that are put up between others later. */
  private static final int BINS_APART = 10;

  private static final FixedQuery BY_ID =
      FixedQuery.of(items().where(ITEM.ID.eq(FixedQuery.given(ITEM.ID))));
  private static final FixedQuery MEASURE =
      FixedQuery.of(
          DSL.select(ITEM.MEASURE).from(ITEM).where(ITEM.ID.eq(FixedQuery.given(ITEM.ID))));
  private static final FixedQuery BY_IDS = FixedQuery.of(inOrder(Bound.oneOfGiven(ITEM.ID)));
  private static final FixedQuery BY_KEY =
      FixedQuery.of(inOrder(PART.NUMBER_KEY.eq(FixedQuery.given(PART.NUMBER_KEY))));
  private static final FixedQuery BY_BARCODE =
      FixedQuery.of(
          inOrder(
              ITEM.ID.in(
                  DSL.select(BARCODE.ITEM_ID)
                      .from(BARCODE)
                      .where(BARCODE.CODE.eq(FixedQuery.given(BARCODE.CODE))))));
  private static final FixedQuery BY_PARTS = FixedQuery.of(inOrder(Bound.oneOfGiven(ITEM.PART_ID)));

  private final DSLContext context;

  public ItemRepository(DSLContext context) {
    this.context = context;
  }

  /** All items in order of make and number, those that are not kept any more included. */
  public List<Item> all() {
    return where(DSL.noCondition());
  }

  public Optional<Item> byId(ItemId id) {
    return BY_ID.with(context, id).fetchOptional(ItemRepository::item);
  }

  /** What an item is counted in; empty if there is no such item. */
  public Optional<Measure> measure(ItemId id) {
    return MEASURE.with(context, id).fetchOptional(row -> Measure.ofSymbol(row.get(ITEM.MEASURE)));
  }

  /** Several items in one statement; unknown ones are absent. */
  public Map<ItemId, Item> byIds(Collection<ItemId> ids) {
    Map<ItemId, Item> items = new HashMap<>();
    if (!ids.isEmpty()) {
      BY_IDS
          .with(context, Bound.numbers(ids))
          .forEach(row -> items.put(row.get(ITEM.ID), item(row)));
    }
    return items;
  }

  /** The items of these parts, by part; parts that are not stocked are absent. */
  public Map<PartId, Item> byParts(Collection<PartId> partIds) {
    Map<PartId, Item> items = new HashMap<>();
    BY_PARTS
        .with(context, Bound.numbers(partIds))
        .forEach(row -> items.put(row.get(ITEM.PART_ID), item(row)));
    return items;
  }

  /** Those of some items whose number another item bears as well, of another make. */
  public Set<ItemId> sharingTheirNumber(Collection<Item> items) {
    Map<String, Long> bearers = new HashMap<>();
    List<String> keys = items.stream().map(item -> item.key().text()).distinct().toList();
    where(Bound.oneOfKeys(PART.NUMBER_KEY, keys))
        .forEach(item -> bearers.merge(item.key().text(), 1L, Long::sum));
    return items.stream()
        .filter(item -> bearers.get(item.key().text()) > 1)
        .map(Item::id)
        .collect(Collectors.toSet());
  }

  /** All items whose number has this key; several makes may share one. */
  public List<Item> byKey(PartKey key) {
    return BY_KEY.with(context, key.text()).fetch(ItemRepository::item);
  }

  /** The item with this barcode, as scanned. */
  public Optional<Item> byBarcode(String code) {
    return BY_BARCODE.with(context, code).fetchOptional(ItemRepository::item);
  }

  /** Items at home in this bin. */
  public List<Item> atHomeIn(BinId binId) {
    return where(ITEM.HOME_BIN_ID.eq(binId));
  }

  public List<Item> ofFamily(Family family) {
    return where(PART.FAMILY.eq(family.name()));
  }

  /**
   * Items in whose make, number, description or fluid every one of these words stands, whatever its
   * letters' case.
   */
  public List<Item> withWords(List<String> words, int most) {
    org.jooq.Field<String> text =
        DSL.concat(
            PART.MAKE,
            DSL.val(" "),
            PART.NUMBER,
            DSL.val(" "),
            ITEM.DESCRIPTION,
            DSL.val(" "),
            DSL.coalesce(
                DSL.concat(
                    PRODUCT.NAME, DSL.val(" "), PRODUCT.GRADE, DSL.val(" "), PRODUCT.CLASSES),
                DSL.val("")));
    Condition all = DSL.noCondition();
    for (String word : words) {
      all = all.and(DSL.position(DSL.lower(text), word.toLowerCase(Locale.ROOT)).gt(0));
    }
    return context
        .fetch(
            items()
                .where(all, ITEM.RETIRED_ON.isNull())
                .orderBy(PART.MAKE, PART.NUMBER)
                .limit(most))
        .map(ItemRepository::item);
  }

  public Optional<Item.Bin> binByAddress(String address) {
    return context
        .selectFrom(BIN)
        .where(BIN.ADDRESS.equalIgnoreCase(address))
        .fetchOptional(ItemRepository::bin);
  }

  /** All bins in walking order. */
  public List<Item.Bin> bins() {
    return context.selectFrom(BIN).orderBy(BIN.WALK_ORDER).fetch(ItemRepository::bin);
  }

  /** Puts up a bin at the end of the walk. */
  public void addBin(String address) {
    org.jooq.Field<Long> last = DSL.coalesce(DSL.max(BIN.WALK_ORDER), 0L);
    long walkOrder = context.select(last).from(BIN).fetchSingle(last) + BINS_APART;
    context.insertInto(BIN).set(BIN.ADDRESS, address).set(BIN.WALK_ORDER, walkOrder).execute();
  }

  /**
   * What an edit writes.
   *
   * @param product only for a fluid, and then with a pack
   */
  public record Facts(
      String description,
      Measure measure,
      Optional<ProductId> product,
      Optional<Quantity> pack,
      Optional<Volume> filterVolume,
      BinId homeBinId,
      Item.Keeping keeping) {}

  /** Adds an item of a part. */
  public ItemId add(PartId partId, Facts facts) {
    return context
        .insertInto(ITEM)
        .set(row(facts))
        .set(ITEM.PART_ID, partId)
        .set(ITEM.MEASURE, facts.measure().symbol())
        .returning(ITEM.ID)
        .fetchSingle(ITEM.ID);
  }

  /**
   * Writes an edit if the item still has the version it was read with.
   *
   * @return false if someone else changed it in between; nothing is written then
   */
  public boolean update(ItemId id, long readVersion, Facts facts) {
    return context
            .update(ITEM)
            .set(row(facts))
            .set(ITEM.VERSION, readVersion + 1)
            .where(ITEM.ID.eq(id), ITEM.VERSION.eq(readVersion))
            .execute()
        == 1;
  }

  private static Map<org.jooq.Field<?>, Object> row(Facts facts) {
    Map<org.jooq.Field<?>, Object> row = new HashMap<>();
    row.put(ITEM.DESCRIPTION, facts.description());
    row.put(ITEM.PRODUCT_ID, facts.product().orElse(null));
    row.put(ITEM.PACK_MICRO, facts.pack().map(Quantity::millionths).orElse(null));
    row.put(ITEM.FILTER_VOLUME_UL, facts.filterVolume().map(Volume::microlitres).orElse(null));
    row.put(ITEM.HOME_BIN_ID, facts.homeBinId());
    row.put(
        ITEM.SHELF_LIFE_DAYS, facts.keeping().shelfLifeDays().map(Integer::longValue).orElse(null));
    row.put(
        ITEM.OPEN_LIFE_DAYS, facts.keeping().openLifeDays().map(Integer::longValue).orElse(null));
    row.put(ITEM.RUNNING_OUT, facts.keeping().runningOut() ? 1L : 0L);
    row.put(ITEM.CRITICALITY, facts.keeping().criticality().name());
    row.put(ITEM.RETIRED_ON, facts.keeping().retiredOn().orElse(null));
    return row;
  }

  /** Keeps an item no more, or again; false if it has another version by now. */
  public boolean retire(ItemId id, long readVersion, Optional<LocalDate> on) {
    return context
            .update(ITEM)
            .set(ITEM.RETIRED_ON, on.orElse(null))
            .set(ITEM.VERSION, readVersion + 1)
            .where(ITEM.ID.eq(id), ITEM.VERSION.eq(readVersion))
            .execute()
        == 1;
  }

  /** True if the ledger knows the item; then it can be retired but not deleted. */
  public boolean hasMovements(ItemId id) {
    return context.fetchExists(MOVEMENT, MOVEMENT.ITEM_ID.eq(id));
  }

  /** What keeps an item from being deleted. */
  public enum Use {
    MOVEMENTS,
    TRAYS,
    MACHINES,
    FILLS
  }

  /** Everything that keeps an item from being deleted. */
  public Set<Use> uses(ItemId id) {
    Set<Use> uses = EnumSet.noneOf(Use.class);
    if (hasMovements(id)) {
      uses.add(Use.MOVEMENTS);
    }
    if (context.fetchExists(
        TRAY_LINE,
        TRAY_LINE
            .ITEM_ID
            .eq(id)
            .or(TRAY_LINE.INSTEAD_OF_ID.eq(id))
            .or(TRAY_LINE.BOX_OF_ID.eq(id)))) {
      uses.add(Use.TRAYS);
    }
    if (context.fetchExists(POSITION, POSITION.ITEM_ID.eq(id))
        || context.fetchExists(
            COMPARTMENT, COMPARTMENT.ITEM_ID.eq(id).or(COMPARTMENT.FLUSH_ITEM_ID.eq(id)))
        || context.fetchExists(DEVIATION, DEVIATION.ITEM_ID.eq(id))) {
      uses.add(Use.MACHINES);
    }
    if (context.fetchExists(FILL, FILL.ITEM_ID.eq(id))) {
      uses.add(Use.FILLS);
    }
    return uses;
  }

  /** Deletes an item that nothing refers to; what is known of its part stays. */
  public void delete(ItemId id) {
    new KeepingRepository(context).forget(id);
    context.deleteFrom(LOT).where(LOT.ITEM_ID.eq(id)).execute();
    context.deleteFrom(ITEM).where(ITEM.ID.eq(id)).execute();
  }

  private List<Item> where(Condition condition) {
    return context.fetch(inOrder(condition)).map(ItemRepository::item);
  }

  private static Select<Record> inOrder(Condition condition) {
    return items().where(condition).orderBy(PART.MAKE, PART.NUMBER);
  }

  private static SelectOnConditionStep<Record> items() {
    List<SelectFieldOrAsterisk> fields = new ArrayList<>();
    fields.addAll(List.of(ITEM.fields()));
    fields.addAll(List.of(PART.MAKE, PART.NUMBER, PART.FAMILY));
    fields.addAll(List.of(BIN.fields()));
    fields.addAll(List.of(PRODUCT.fields()));
    fields.add(ProductRows.APPROVALS);
    return DSL.select(fields)
        .from(ITEM)
        .join(PART)
        .on(PART.ID.eq(ITEM.PART_ID))
        .join(BIN)
        .on(BIN.ID.eq(ITEM.HOME_BIN_ID))
        .leftJoin(PRODUCT)
        .on(PRODUCT.ID.eq(ITEM.PRODUCT_ID));
  }

  private static Item item(Record row) {
    return new Item(
        row.get(ITEM.ID),
        row.get(ITEM.PART_ID),
        row.get(PART.MAKE),
        row.get(PART.NUMBER),
        row.get(ITEM.DESCRIPTION),
        Family.valueOf(row.get(PART.FAMILY)),
        Measure.ofSymbol(row.get(ITEM.MEASURE)),
        Optional.ofNullable(row.get(ITEM.PRODUCT_ID)).map(id -> ProductRows.product(row)),
        Optional.ofNullable(row.get(ITEM.PACK_MICRO))
            .map(micro -> new Quantity(Measure.ofSymbol(row.get(ITEM.MEASURE)), micro)),
        Optional.ofNullable(row.get(ITEM.FILTER_VOLUME_UL)).map(Volume::new),
        bin(row),
        new Item.Keeping(
            Optional.ofNullable(row.get(ITEM.SHELF_LIFE_DAYS)).map(Math::toIntExact),
            Optional.ofNullable(row.get(ITEM.OPEN_LIFE_DAYS)).map(Math::toIntExact),
            row.get(ITEM.RUNNING_OUT) == 1,
            Optional.ofNullable(row.get(ITEM.RETIRED_ON)),
            Criticality.valueOf(row.get(ITEM.CRITICALITY))),
        row.get(ITEM.VERSION));
  }

  private static Item.Bin bin(Record row) {
    return new Item.Bin(
        row.get(BIN.ID),
        row.get(BIN.ADDRESS),
        Math.toIntExact(row.get(BIN.WALK_ORDER)),
        Place.of(row.get(BIN.SATELLITE_ID)));
  }
}
