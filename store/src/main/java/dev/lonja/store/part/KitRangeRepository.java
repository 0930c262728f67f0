package dev.lonja.store.part;

import static dev.lonja.store.schema.Tables.KIT_RANGE;

import dev.lonja.core.part.PartId;
import dev.lonja.core.quantity.Power;
import dev.lonja.core.take.KitRange;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.jooq.DSLContext;
import org.jooq.Record;

/** Which machines kits are made for. */
public final class KitRangeRepository {

  private final DSLContext context;

  public KitRangeRepository(DSLContext context) {
    this.context = context;
  }

  /** By kit, in order of entry; kits of which none is stated are absent. */
  public Map<PartId, List<KitRange>> all() {
    return context
        .selectFrom(KIT_RANGE)
        .orderBy(KIT_RANGE.ID)
        .fetchGroups(KIT_RANGE.PART_ID, KitRangeRepository::range);
  }

  /** Of one kit, in order of entry. */
  public List<KitRange> of(PartId kit) {
    return context
        .selectFrom(KIT_RANGE)
        .where(KIT_RANGE.PART_ID.eq(kit))
        .orderBy(KIT_RANGE.ID)
        .fetch(KitRangeRepository::range);
  }

  /** Writes the ranges of a kit in place of those it had. */
  public void set(PartId kit, List<KitRange> ranges) {
    context.deleteFrom(KIT_RANGE).where(KIT_RANGE.PART_ID.eq(kit)).execute();
    for (KitRange range : ranges) {
      context
          .insertInto(KIT_RANGE)
          .set(KIT_RANGE.PART_ID, kit)
          .set(KIT_RANGE.MAKE, range.make())
          .set(KIT_RANGE.MODEL, range.model())
          .set(KIT_RANGE.ENGINE, range.engine())
          .set(KIT_RANGE.LEAST_W, range.least().map(Power::watts).orElse(null))
          .set(KIT_RANGE.MOST_W, range.most().map(Power::watts).orElse(null))
          .execute();
    }
  }

  private static KitRange range(Record row) {
    return new KitRange(
        row.get(KIT_RANGE.MAKE),
        row.get(KIT_RANGE.MODEL),
        row.get(KIT_RANGE.ENGINE),
        Optional.ofNullable(row.get(KIT_RANGE.LEAST_W)).map(Power::new),
        Optional.ofNullable(row.get(KIT_RANGE.MOST_W)).map(Power::new));
  }
}
