package dev.lonja.store.fleet;

import static dev.lonja.store.schema.Tables.COMPARTMENT;
import static dev.lonja.store.schema.Tables.DEVIATION;
import static dev.lonja.store.schema.Tables.POSITION;
import static dev.lonja.store.schema.Tables.UNIT;

import dev.lonja.core.item.ItemId;
import dev.lonja.store.query.FixedQuery;
import java.time.LocalDate;
import java.util.List;
import java.util.Set;
import org.jooq.Condition;
import org.jooq.DSLContext;
import org.jooq.Record1;
import org.jooq.Select;
import org.jooq.impl.DSL;

/**
 * Which machines in service name which items: their variant prefers it somewhere, or they deviate
 * to it.
 */
public final class ItemUsers {

  private static final FixedQuery UNITS = units();

  private final DSLContext context;

  public ItemUsers(DSLContext context) {
    this.context = context;
  }

  /** The codes of the units in service on a day that name an item, in order. */
  public List<String> units(ItemId itemId, LocalDate day) {
    return UNITS.with(context, day, itemId, itemId, itemId, itemId).fetch(UNIT.CODE);
  }

  /** Given first the day, then the item for compartments, positions and deviations. */
  private static FixedQuery units() {
    Condition variantTakesIt =
        UNIT.VARIANT_ID.in(
            DSL.select(COMPARTMENT.VARIANT_ID)
                .from(COMPARTMENT)
                .where(
                    COMPARTMENT
                        .ITEM_ID
                        .eq(FixedQuery.given(COMPARTMENT.ITEM_ID))
                        .or(
                            COMPARTMENT.FLUSH_ITEM_ID.eq(
                                FixedQuery.given(COMPARTMENT.FLUSH_ITEM_ID))))
                .union(
                    DSL.select(POSITION.VARIANT_ID)
                        .from(POSITION)
                        .where(POSITION.ITEM_ID.eq(FixedQuery.given(POSITION.ITEM_ID)))));
    Condition deviatesToIt =
        UNIT.ID.in(
            DSL.select(DEVIATION.UNIT_ID)
                .from(DEVIATION)
                .where(DEVIATION.ITEM_ID.eq(FixedQuery.given(DEVIATION.ITEM_ID))));
    return FixedQuery.of(
        DSL.select(UNIT.CODE)
            .from(UNIT)
            .where(
                FleetRepository.serves(FixedQuery.given(UNIT.RETIRED_ON)),
                variantTakesIt.or(deviatesToIt))
            .orderBy(UNIT.CODE));
  }

  /** The items that any unit in service on a day names. */
  public Set<ItemId> items(LocalDate day) {
    Condition serves = FleetRepository.serves(DSL.val(day, UNIT.RETIRED_ON));
    Select<Record1<Long>> variants = DSL.select(UNIT.VARIANT_ID).from(UNIT).where(serves);
    return context
        .select(COMPARTMENT.ITEM_ID)
        .from(COMPARTMENT)
        .where(COMPARTMENT.ITEM_ID.isNotNull(), COMPARTMENT.VARIANT_ID.in(variants))
        .union(
            DSL.select(COMPARTMENT.FLUSH_ITEM_ID)
                .from(COMPARTMENT)
                .where(COMPARTMENT.FLUSH_ITEM_ID.isNotNull(), COMPARTMENT.VARIANT_ID.in(variants)))
        .union(
            DSL.select(POSITION.ITEM_ID)
                .from(POSITION)
                .where(POSITION.ITEM_ID.isNotNull(), POSITION.VARIANT_ID.in(variants)))
        .union(
            DSL.select(DEVIATION.ITEM_ID)
                .from(DEVIATION)
                .join(UNIT)
                .on(UNIT.ID.eq(DEVIATION.UNIT_ID))
                .where(DEVIATION.ITEM_ID.isNotNull(), serves))
        .fetchSet(COMPARTMENT.ITEM_ID);
  }
}
