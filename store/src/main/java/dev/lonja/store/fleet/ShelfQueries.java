package dev.lonja.store.fleet;

import static dev.lonja.store.schema.Tables.ITEM;
import static dev.lonja.store.schema.Tables.PART;
import static dev.lonja.store.schema.Tables.PART_PROPERTY;
import static dev.lonja.store.schema.Tables.PRODUCT;

import dev.lonja.core.grade.FluidKind;
import dev.lonja.core.item.ItemId;
import dev.lonja.core.machine.Mixes;
import dev.lonja.core.machine.ShelfFacts;
import dev.lonja.core.mixture.FreezeTable;
import dev.lonja.core.mixture.Glycol;
import dev.lonja.core.mixture.MixPolicy;
import dev.lonja.core.mixture.Strength;
import dev.lonja.core.part.Family;
import dev.lonja.core.part.Property;
import dev.lonja.core.pour.FillPolicy;
import dev.lonja.store.fluid.ProductRows;
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

  private static final FixedQuery MIXED =
      FixedQuery.of(
          DSL.select(ITEM.ID, PRODUCT.MIX_SHARE_E4, PRODUCT.GLYCOL, PRODUCT.FREEZE_POINTS)
              .from(ITEM)
              .join(PRODUCT)
              .on(PRODUCT.ID.eq(ITEM.PRODUCT_ID))
              .where(
                  PRODUCT.KIND.in(
                      DSL.inline(FluidKind.COOLANT.name()),
                      DSL.inline(FluidKind.WASHER_FLUID.name()))));

  private ShelfQueries() {}

  private static Condition is(Property<?> property) {
    return PART_PROPERTY.PROPERTY.eq(DSL.inline(property.name()));
  }

  /**
   * All of it.
   *
   * @param fills how a fill is reckoned and poured
   * @param general freeze points by glycol
   * @param mixing how the store mixes where a book says nothing
   */
  public static ShelfFacts read(
      DSLContext context, FillPolicy fills, Map<Glycol, FreezeTable> general, MixPolicy mixing) {
    Map<ItemId, Optional<Strength>> strengths = new HashMap<>();
    MIXED
        .with(context)
        .fetch()
        .forEach(row -> strengths.put(row.get(ITEM.ID), ProductRows.strength(row)));
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
        spinOns,
        new Mixes(strengths, general, mixing));
  }
}
