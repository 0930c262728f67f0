package dev.lonja.store.tray;

import static dev.lonja.store.schema.Tables.BIN;
import static dev.lonja.store.schema.Tables.ITEM;
import static dev.lonja.store.schema.Tables.TRAY;
import static dev.lonja.store.schema.Tables.TRAY_LINE;
import static dev.lonja.store.schema.Tables.TRAY_TASK;
import static dev.lonja.store.schema.Tables.UNIT;

import dev.lonja.store.query.FixedQuery;
import java.util.function.Supplier;
import org.jooq.Condition;
import org.jooq.impl.DSL;

/**
 * The three queries that trays are read by, each given the same values.
 *
 * @param tasks the tasks of each tray, in the order in which they were put on it
 * @param lines the lines of each tray, with what their items are measured in, their place on the
 *     walk and the policies behind them
 */
record TrayQueries(FixedQuery tasks, FixedQuery lines, FixedQuery trays) {

  /**
   * The queries of the trays that meet a condition.
   *
   * @param which makes the condition anew for each query
   */
  static TrayQueries of(Supplier<Condition> which) {
    return new TrayQueries(tasks(which.get()), lines(which.get()), trays(which.get()));
  }

  private static FixedQuery tasks(Condition which) {
    return FixedQuery.of(
        DSL.select(TRAY_TASK.fields())
            .from(TRAY_TASK)
            .join(TRAY)
            .on(TRAY.ID.eq(TRAY_TASK.TRAY_ID))
            .where(which)
            .orderBy(TRAY_TASK.ID));
  }

  private static FixedQuery lines(Condition which) {
    return FixedQuery.of(
        DSL.select(TRAY_LINE.fields())
            .select(ITEM.MEASURE, BIN.WALK_ORDER, LineWays.TOGETHER, KitTasks.TOGETHER)
            .from(TRAY_LINE)
            .join(TRAY)
            .on(TRAY.ID.eq(TRAY_LINE.TRAY_ID))
            .join(ITEM)
            .on(ITEM.ID.eq(TRAY_LINE.ITEM_ID))
            .join(BIN)
            .on(BIN.ID.eq(ITEM.HOME_BIN_ID))
            .where(which)
            .orderBy(TRAY_LINE.ID));
  }

  private static FixedQuery trays(Condition which) {
    return FixedQuery.of(
        DSL.select(TRAY.fields())
            .select(UNIT.CODE)
            .from(TRAY)
            .leftJoin(UNIT)
            .on(UNIT.ID.eq(TRAY.UNIT_ID))
            .where(which)
            .orderBy(TRAY.PLANNED_ON, TRAY.NUMBER));
  }
}
