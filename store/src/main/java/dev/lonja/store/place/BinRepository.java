package dev.lonja.store.place;

import static dev.lonja.store.schema.Tables.BIN;
import static dev.lonja.store.schema.Tables.ITEM;
import static dev.lonja.store.schema.Tables.ITEM_BIN;
import static dev.lonja.store.schema.Tables.MOVEMENT;
import static dev.lonja.store.schema.Tables.STOCK;
import static dev.lonja.store.schema.Tables.STOCK_COUNT;
import static dev.lonja.store.schema.Tables.TANK;

import dev.lonja.core.place.BinId;
import dev.lonja.core.quantity.Limits;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.jooq.DSLContext;
import org.jooq.impl.DSL;

/** How the bins of a store are called and walked. */
public final class BinRepository {

  /** So that a bin can be put between two others in a file. */
  private static final long APART = 10;

  private final DSLContext context;

  public BinRepository(DSLContext context) {
    this.context = context;
  }

  /** Bins that something is at home in, is to lie in, lies in or ever lay in. */
  public Set<BinId> used() {
    return context
        .select(ITEM.HOME_BIN_ID)
        .from(ITEM)
        .union(DSL.select(ITEM_BIN.BIN_ID).from(ITEM_BIN))
        .union(DSL.select(MOVEMENT.BIN_ID).from(MOVEMENT))
        .union(DSL.select(STOCK.BIN_ID).from(STOCK))
        .union(DSL.select(STOCK_COUNT.BIN_ID).from(STOCK_COUNT))
        .union(DSL.select(TANK.BIN_ID).from(TANK))
        .fetchSet(0, BinId.class);
  }

  /** Takes bins down that are not used. */
  public void takeDown(Set<BinId> bins) {
    context.deleteFrom(BIN).where(BIN.ID.in(bins)).execute();
  }

  /** Calls bins by other addresses; two may swap theirs. */
  public void rename(Map<BinId, String> addresses) {
    // no address begins with a blank, so that none of these is taken
    addresses
        .keySet()
        .forEach(
            bin ->
                context
                    .update(BIN)
                    .set(BIN.ADDRESS, DSL.concat(DSL.val(" "), BIN.ID.cast(String.class)))
                    .where(BIN.ID.eq(bin))
                    .execute());
    addresses.forEach(
        (bin, address) ->
            context.update(BIN).set(BIN.ADDRESS, address).where(BIN.ID.eq(bin)).execute());
  }

  /**
   * Sets the order of the walk.
   *
   * @param walk all bins
   */
  public void walk(List<BinId> walk) {
    // every place is taken once: all go beyond the others first, and then to their own
    Set<Long> taken = context.select(BIN.WALK_ORDER).from(BIN).fetchSet(BIN.WALK_ORDER);
    long free = Limits.WALK;
    for (BinId bin : walk) {
      while (taken.contains(free)) {
        free--;
      }
      context.update(BIN).set(BIN.WALK_ORDER, free).where(BIN.ID.eq(bin)).execute();
      free--;
    }
    for (int at = 0; at < walk.size(); at++) {
      context
          .update(BIN)
          .set(BIN.WALK_ORDER, APART * (at + 1L))
          .where(BIN.ID.eq(walk.get(at)))
          .execute();
    }
  }
}
