package dev.lonja.store.part;

import static dev.lonja.store.schema.Tables.PART;
import static dev.lonja.store.schema.Tables.PART_PROPERTY;

import dev.lonja.core.find.NumberIndex;
import dev.lonja.core.part.Family;
import dev.lonja.core.part.Part;
import dev.lonja.core.part.PartId;
import dev.lonja.core.part.PartKey;
import dev.lonja.core.part.Properties;
import dev.lonja.store.query.Bound;
import dev.lonja.store.query.FixedQuery;
import java.util.Collection;
import java.util.HashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.jooq.Condition;
import org.jooq.DSLContext;
import org.jooq.Record;
import org.jooq.impl.DSL;

/** Every part number that the store knows, stocked or not. */
public final class PartRepository implements NumberIndex {

  private static final String PLAIN_LETTERS = "0123456789ABCDEFGHIJKLMNOPQRSTUVWXYZ";

  private static final FixedQuery BY_IDS =
      FixedQuery.of(
          DSL.select(PART.ID, PART.MAKE, PART.NUMBER, PART.FAMILY)
              .from(PART)
              .where(Bound.oneOfGiven(PART.ID))
              .orderBy(PART.NUMBER_KEY, PART.MAKE, PART.NUMBER));

  private static final FixedQuery PROPERTIES =
      FixedQuery.of(
          DSL.select(PART_PROPERTY.PART_ID, PART_PROPERTY.PROPERTY, PART_PROPERTY.VALUE)
              .from(PART_PROPERTY)
              .where(Bound.oneOfGiven(PART_PROPERTY.PART_ID))
              .orderBy(PART_PROPERTY.ID));

  private final DSLContext context;

  public PartRepository(DSLContext context) {
    this.context = context;
  }

  public Optional<Part> byId(PartId id) {
    return byIds(List.of(id)).stream().findFirst();
  }

  public List<Part> byIds(Collection<PartId> ids) {
    return ids.isEmpty()
        ? List.of()
        : parts(List.copyOf(BY_IDS.with(context, Bound.numbers(ids)).fetch()));
  }

  /** The part of this make and number as printed. */
  public Optional<Part> byNumber(String make, String number) {
    return where(PART.MAKE.eq(make).and(PART.NUMBER.eq(number)), 1).stream().findFirst();
  }

  /** All parts with this key, in order of make; several makes may share one. */
  @Override
  public List<Part> byKey(PartKey key, int most) {
    return where(PART.NUMBER_KEY.eq(key.text()), most);
  }

  /** Parts whose key begins with this one, the key itself left out. */
  @Override
  public List<Part> byKeyPrefix(PartKey prefix, int most) {
    String end = prefix.text() + Character.toString(Character.MAX_CODE_POINT);
    return where(PART.NUMBER_KEY.gt(prefix.text()).and(PART.NUMBER_KEY.lt(end)), most);
  }

  /** Parts that an oily label makes look like this, the key itself left out. */
  @Override
  public List<Part> byNearKey(PartKey key, int most) {
    return where(PART.NEAR_KEY.eq(key.near()).and(PART.NUMBER_KEY.ne(key.text())), most);
  }

  /**
   * Parts whose key is one edit away from this one and has at least {@code leastLength} characters.
   * Keys of plain letters are looked up, one for each possible edit; the few others are looked
   * through.
   */
  @Override
  public List<Part> oneEditFrom(PartKey key, int leastLength, int most) {
    Set<String> edits = edits(key.text());
    edits.removeIf(edit -> edit.length() < leastLength);
    for (String rare :
        context
            .select(PART.NUMBER_KEY)
            .from(PART)
            .where("number_key GLOB '*[^0-9A-Z]*'")
            .fetch(PART.NUMBER_KEY)) {
      boolean longEnough = rare.length() >= leastLength;
      if (longEnough && new PartKey(rare).isOneEditFrom(key)) {
        edits.add(rare);
      }
    }
    return where(Bound.oneOfKeys(PART.NUMBER_KEY, edits), most);
  }

  private static Set<String> edits(String key) {
    Set<String> edits = new LinkedHashSet<>();
    for (int i = 0; i <= key.length(); i++) {
      String before = key.substring(0, i);
      String after = key.substring(i);
      for (char letter : PLAIN_LETTERS.toCharArray()) {
        edits.add(before + letter + after);
        if (!after.isEmpty()) {
          edits.add(before + letter + after.substring(1));
        }
      }
      if (!after.isEmpty()) {
        edits.add(before + after.substring(1));
      }
      if (after.length() >= 2) {
        edits.add(before + after.charAt(1) + after.charAt(0) + after.substring(2));
      }
    }
    edits.remove(key);
    return edits;
  }

  /** Parts of a make, whatever its letters' case. */
  public List<Part> byMake(String make, int most) {
    // the index on make compares as the column's collation there says
    return where(DSL.condition("make = {0} COLLATE NOCASE", DSL.val(make)), most);
  }

  public List<Part> byFamily(Family family) {
    return where(PART.FAMILY.eq(family.name()), Integer.MAX_VALUE);
  }

  /** Adds a part of which nothing is recorded yet. */
  public PartId add(String make, String number, Optional<Family> family) {
    PartKey key = PartKey.of(number).orElseThrow();
    return context
        .insertInto(PART)
        .set(PART.MAKE, make)
        .set(PART.NUMBER, number)
        .set(PART.NUMBER_KEY, key.text())
        .set(PART.NEAR_KEY, key.near())
        .set(PART.FAMILY, family.map(Family::name).orElse(null))
        .returning(PART.ID)
        .fetchSingle(PART.ID);
  }

  /** Writes what is recorded of a part in place of what was. */
  public void record(PartId partId, Optional<Family> family, Properties properties) {
    context
        .update(PART)
        .set(PART.FAMILY, family.map(Family::name).orElse(null))
        .where(PART.ID.eq(partId))
        .execute();
    context.deleteFrom(PART_PROPERTY).where(PART_PROPERTY.PART_ID.eq(partId)).execute();
    properties.forEach(
        (property, value) ->
            context
                .insertInto(PART_PROPERTY)
                .set(PART_PROPERTY.PART_ID, partId)
                .set(PART_PROPERTY.PROPERTY, property.name())
                .set(PART_PROPERTY.VALUE, value)
                .execute());
  }

  /** Gives a part another make or number. */
  public void rename(PartId partId, String make, String number) {
    PartKey key = PartKey.of(number).orElseThrow();
    context
        .update(PART)
        .set(PART.MAKE, make)
        .set(PART.NUMBER, number)
        .set(PART.NUMBER_KEY, key.text())
        .set(PART.NEAR_KEY, key.near())
        .where(PART.ID.eq(partId))
        .execute();
  }

  private List<Part> where(Condition condition, int most) {
    return parts(
        List.copyOf(
            context
                .select(PART.ID, PART.MAKE, PART.NUMBER, PART.FAMILY)
                .from(PART)
                .where(condition)
                .orderBy(PART.NUMBER_KEY, PART.MAKE, PART.NUMBER)
                .limit(most)
                .fetch()));
  }

  private List<Part> parts(List<Record> rows) {
    Map<PartId, Properties> properties =
        properties(rows.stream().map(row -> row.get(PART.ID)).toList());
    return rows.stream()
        .map(
            row ->
                new Part(
                    row.get(PART.ID),
                    row.get(PART.MAKE),
                    row.get(PART.NUMBER),
                    Optional.ofNullable(row.get(PART.FAMILY)).map(Family::valueOf),
                    properties.getOrDefault(row.get(PART.ID), Properties.NONE)))
        .toList();
  }

  private Map<PartId, Properties> properties(List<PartId> partIds) {
    Map<PartId, Properties> properties = new HashMap<>();
    if (!partIds.isEmpty()) {
      PROPERTIES
          .with(context, Bound.numbers(partIds))
          .forEach(
              row ->
                  properties.merge(
                      row.get(PART_PROPERTY.PART_ID),
                      Properties.NONE.withWritten(
                          row.get(PART_PROPERTY.PROPERTY), row.get(PART_PROPERTY.VALUE)),
                      (known, more) ->
                          known.withWritten(
                              row.get(PART_PROPERTY.PROPERTY), row.get(PART_PROPERTY.VALUE))));
    }
    return properties;
  }
}
