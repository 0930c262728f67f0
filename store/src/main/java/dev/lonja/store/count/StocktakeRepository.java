package dev.lonja.store.count;

import static dev.lonja.store.schema.Tables.STOCKTAKE;

import dev.lonja.core.count.Stocktake;
import dev.lonja.core.count.StocktakeId;
import dev.lonja.store.query.FixedQuery;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import org.jooq.DSLContext;
import org.jooq.Record;
import org.jooq.impl.DSL;

/** Counts of all bins, one open at a time. */
public final class StocktakeRepository {

  private static final FixedQuery OPEN =
      FixedQuery.of(DSL.select(STOCKTAKE.fields()).from(STOCKTAKE).where(STOCKTAKE.HOW.isNull()));

  private final DSLContext context;

  public StocktakeRepository(DSLContext context) {
    this.context = context;
  }

  /** The one that is open. */
  public Optional<Stocktake> open() {
    return OPEN.with(context).fetchOptional(StocktakeRepository::stocktake);
  }

  /** All of them, the latest first. */
  public List<Stocktake> all() {
    return context
        .selectFrom(STOCKTAKE)
        .orderBy(STOCKTAKE.ID.desc())
        .fetch(StocktakeRepository::stocktake);
  }

  private static Stocktake stocktake(Record row) {
    return new Stocktake(
        row.get(STOCKTAKE.ID),
        row.get(STOCKTAKE.BEGUN_BY),
        row.get(STOCKTAKE.BEGUN_AT),
        Optional.ofNullable(row.get(STOCKTAKE.HOW))
            .map(
                how ->
                    new Stocktake.End(
                        Stocktake.How.valueOf(how),
                        row.get(STOCKTAKE.ENDED_BY),
                        row.get(STOCKTAKE.ENDED_AT))));
  }

  public StocktakeId begin(String actor, Instant at) {
    return context
        .insertInto(STOCKTAKE)
        .set(STOCKTAKE.BEGUN_BY, actor)
        .set(STOCKTAKE.BEGUN_AT, at)
        .returning(STOCKTAKE.ID)
        .fetchSingle(STOCKTAKE.ID);
  }

  public void end(StocktakeId id, Stocktake.End end) {
    context
        .update(STOCKTAKE)
        .set(STOCKTAKE.HOW, end.how().name())
        .set(STOCKTAKE.ENDED_BY, end.by())
        .set(STOCKTAKE.ENDED_AT, end.at())
        .where(STOCKTAKE.ID.eq(id))
        .execute();
  }
}
