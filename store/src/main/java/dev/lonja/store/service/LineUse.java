package dev.lonja.store.service;

import static dev.lonja.store.schema.Tables.MOVEMENT;
import static dev.lonja.store.schema.Tables.POSITION;
import static dev.lonja.store.schema.Tables.TRAY;
import static dev.lonja.store.schema.Tables.TRAY_LINE;
import static dev.lonja.store.schema.Tables.UNIT;

import dev.lonja.core.fleet.Position;
import dev.lonja.store.query.FixedQuery;
import java.math.BigDecimal;
import java.util.List;
import org.jooq.DSLContext;
import org.jooq.Field;
import org.jooq.impl.DSL;

/**
 * Whether what a tray brought in case was used. An item that stands on several lines of one tray
 * counts as used on each as soon as one of its pieces was.
 *
 * @param classId the class of the machine
 */
record LineUse(long classId, Position.Kind kind, boolean used) {

  private static final String BACK = "BACK";

  private static final Field<BigDecimal> LEFT = DSL.sum(MOVEMENT.QUANTITY_MICRO);

  private static final FixedQuery IN_CASE =
      FixedQuery.of(
          DSL.select(UNIT.CLASS_ID, POSITION.KIND, LEFT)
              .from(TRAY_LINE)
              .join(TRAY)
              .on(TRAY.ID.eq(TRAY_LINE.TRAY_ID), TRAY.STATE.eq(DSL.inline(BACK)))
              .join(UNIT)
              .on(UNIT.ID.eq(TRAY.UNIT_ID))
              .join(POSITION)
              .on(POSITION.ID.eq(TRAY_LINE.POSITION_ID))
              .join(MOVEMENT)
              .on(MOVEMENT.REFERENCE.eq(TRAY.NUMBER), MOVEMENT.ITEM_ID.eq(TRAY_LINE.ITEM_ID))
              .where(
                  POSITION.KIND.in(
                      DSL.inline(Position.Kind.INSURANCE.name()),
                      DSL.inline(Position.Kind.DRAIN_SEAL.name())),
                  TRAY_LINE.REASON.in(DSL.inline("INSURANCE"), DSL.inline("ON_INSPECTION")))
              .groupBy(TRAY_LINE.ID, UNIT.CLASS_ID, POSITION.KIND));

  static List<LineUse> inCase(DSLContext context) {
    return IN_CASE
        .with(context)
        .fetch(
            row ->
                new LineUse(
                    row.get(UNIT.CLASS_ID),
                    Position.Kind.valueOf(row.get(POSITION.KIND)),
                    row.get(LEFT).signum() < 0));
  }
}
