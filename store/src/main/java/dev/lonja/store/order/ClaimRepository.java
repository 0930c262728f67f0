package dev.lonja.store.order;

import static dev.lonja.store.schema.Tables.CLAIM;
import static dev.lonja.store.schema.Tables.ITEM;
import static dev.lonja.store.schema.Tables.ORDER_LINE;

import dev.lonja.core.order.Claim;
import dev.lonja.core.order.ClaimId;
import dev.lonja.core.order.OrderId;
import dev.lonja.core.order.OrderLineId;
import dev.lonja.core.quantity.Measure;
import dev.lonja.core.quantity.Quantity;
import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import org.jooq.Condition;
import org.jooq.DSLContext;
import org.jooq.Record;

/** What was wrong with deliveries. */
public final class ClaimRepository {

  private final DSLContext context;

  public ClaimRepository(DSLContext context) {
    this.context = context;
  }

  /** A claim with the order it is of. */
  public record OfOrder(OrderId order, Claim claim) {}

  /** Opens a claim. */
  public ClaimId add(
      OrderLineId line,
      Claim.Kind kind,
      Quantity quantity,
      String words,
      LocalDate today,
      String actor,
      Instant at) {
    return context
        .insertInto(CLAIM)
        .set(CLAIM.ORDER_LINE_ID, line)
        .set(CLAIM.KIND, kind.name())
        .set(CLAIM.QUANTITY_MICRO, quantity.millionths())
        .set(CLAIM.WORDS, words)
        .set(CLAIM.OPENED_ON, today)
        .set(CLAIM.ACTOR, actor)
        .set(CLAIM.RECORDED_AT, at)
        .returning(CLAIM.ID)
        .fetchSingle(CLAIM.ID);
  }

  /** Settles a claim; false if it is settled already or there is none. */
  public boolean settle(ClaimId id, Claim.End end) {
    return context
            .update(CLAIM)
            .set(CLAIM.OUTCOME, end.outcome().name())
            .set(CLAIM.SETTLED_ON, end.on())
            .set(CLAIM.SETTLED_WHY, end.why())
            .where(CLAIM.ID.eq(id), CLAIM.OUTCOME.isNull())
            .execute()
        == 1;
  }

  /** The claims of an order, the oldest first. */
  public List<OfOrder> of(OrderId order) {
    return claims(ORDER_LINE.ORDER_ID.eq(order));
  }

  /** Those that are open, the oldest first. */
  public List<OfOrder> open() {
    return claims(CLAIM.OUTCOME.isNull());
  }

  private List<OfOrder> claims(Condition which) {
    return context
        .select(CLAIM.fields())
        .select(ORDER_LINE.ORDER_ID, ITEM.MEASURE)
        .from(CLAIM)
        .join(ORDER_LINE)
        .on(ORDER_LINE.ID.eq(CLAIM.ORDER_LINE_ID))
        .join(ITEM)
        .on(ITEM.ID.eq(ORDER_LINE.ITEM_ID))
        .where(which)
        .orderBy(CLAIM.ID)
        .fetch(row -> new OfOrder(row.get(ORDER_LINE.ORDER_ID), claim(row)));
  }

  private static Claim claim(Record row) {
    return new Claim(
        row.get(CLAIM.ID),
        row.get(CLAIM.ORDER_LINE_ID),
        Claim.Kind.valueOf(row.get(CLAIM.KIND)),
        new Quantity(Measure.ofSymbol(row.get(ITEM.MEASURE)), row.get(CLAIM.QUANTITY_MICRO)),
        row.get(CLAIM.WORDS),
        row.get(CLAIM.OPENED_ON),
        Optional.ofNullable(row.get(CLAIM.OUTCOME))
            .map(
                outcome ->
                    new Claim.End(
                        Claim.Outcome.valueOf(outcome),
                        row.get(CLAIM.SETTLED_ON),
                        row.get(CLAIM.SETTLED_WHY))));
  }
}
