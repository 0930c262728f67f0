package dev.lonja.store.ledger;

import static dev.lonja.store.schema.Tables.BIN;
import static dev.lonja.store.schema.Tables.ITEM;
import static dev.lonja.store.schema.Tables.LOT;
import static dev.lonja.store.schema.Tables.STOCK;

import dev.lonja.core.place.BinId;
import java.util.List;
import java.util.Map;
import org.jooq.Condition;
import org.jooq.DSLContext;
import org.jooq.impl.DSL;

/** What lies in the bins. */
public final class BinContents {

  private final DSLContext context;

  public BinContents(DSLContext context) {
    this.context = context;
  }

  /** By bin, the lots that lie there; an empty bin is absent. */
  public Map<BinId, List<LotFacts>> all() {
    return lots(DSL.noCondition());
  }

  /** The lots that lie in one bin, by item and in order of receipt. */
  public List<LotFacts> of(BinId bin) {
    return lots(STOCK.BIN_ID.eq(bin)).getOrDefault(bin, List.of());
  }

  private Map<BinId, List<LotFacts>> lots(Condition which) {
    return context
        .select(LedgerRepository.LOT_FACTS)
        .from(STOCK)
        .join(LOT)
        .on(LOT.ID.eq(STOCK.LOT_ID))
        .join(ITEM)
        .on(ITEM.ID.eq(STOCK.ITEM_ID))
        .join(BIN)
        .on(BIN.ID.eq(STOCK.BIN_ID))
        .where(STOCK.QUANTITY_MICRO.gt(0L), which)
        .orderBy(STOCK.ITEM_ID, LOT.RECEIVED_ON, STOCK.LOT_ID)
        .fetchGroups(STOCK.BIN_ID, LedgerRepository::lotFacts);
  }
}
