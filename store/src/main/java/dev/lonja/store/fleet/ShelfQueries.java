package dev.lonja.store.fleet;

import static dev.lonja.store.schema.Tables.ITEM;
import static dev.lonja.store.schema.Tables.PART;
import static dev.lonja.store.schema.Tables.PART_PROPERTY;

import dev.lonja.core.item.ItemId;
import dev.lonja.core.machine.ShelfFacts;
import dev.lonja.core.part.Family;
import dev.lonja.core.part.Property;
import dev.lonja.core.pour.FillPolicy;
import dev.lonja.store.part.BoxRepository;
import dev.lonja.store.query.FixedQuery;
import java.util.HashMap;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.jooq.Condition;
import org.jooq.DSLContext;
import org.jooq.impl.DSL;

/** Reads what the store knows of the things that machines take. */
public final class ShelfQueries {

  private static final FixedQuery REUSABLE =
      FixedQuery.of(
          DSL.select(ITEM.ID)
              .from(ITEM)
              .join(PART_PROPERTY)
              .on(PART_PROPERTY.PART_ID.eq(ITEM.PART_ID), is(Property.REUSABLE))
              .where(PART_PROPERTY.VALUE.eq(DSL.inline(Property.REUSABLE.print(true)))));

  private static final FixedQuery SPIN_ONS =
      FixedQuery.of(
          DSL.select(ITEM.ID, PART_PROPERTY.VALUE)
              .from(ITEM)
              .join(PART)
              .on(PART.ID.eq(ITEM.PART_ID))
              .leftJoin(PART_PROPERTY)
              .on(PART_PROPERTY.PART_ID.eq(PART.ID), is(Property.TURNS))
              .where(PART.FAMILY.eq(DSL.inline(Family.SPIN_ON_FILTER.name()))));

  private ShelfQueries() {}

  private static Condition is(Property<?> property) {
    return PART_PROPERTY.PROPERTY.eq(DSL.inline(property.name()));
  }

  /**
   * All of it.
   *
   * @param fills how a fill is reckoned and poured
   */
  public static ShelfFacts read(DSLContext context, FillPolicy fills) {
    Map<ItemId, Optional<String>> spinOns = new HashMap<>();
    SPIN_ONS
        .with(context)
        .fetch()
        .forEach(
            row ->
                spinOns.put(row.get(ITEM.ID), Optional.ofNullable(row.get(PART_PROPERTY.VALUE))));
    return new ShelfFacts(
        new BoxRepository(context).ofStockedItems(),
        fills,
        Set.copyOf(REUSABLE.with(context).fetch(ITEM.ID)),
        spinOns);
  }
}
