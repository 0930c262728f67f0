package dev.lonja.store.ledger;

import static dev.lonja.store.schema.Tables.ITEM;
import static dev.lonja.store.schema.Tables.LOT;
import static dev.lonja.store.schema.Tables.MOVEMENT;

import dev.lonja.core.ledger.LotCondition;
import dev.lonja.core.ledger.LotId;
import dev.lonja.core.ledger.LotInBin;
import dev.lonja.core.ledger.MovementKind;
import dev.lonja.core.ledger.PastMovement;
import dev.lonja.core.ledger.StockKey;
import dev.lonja.core.quantity.Measure;
import dev.lonja.core.quantity.Money;
import dev.lonja.core.quantity.Quantity;
import dev.lonja.store.schema.tables.Movement;
import java.util.Collection;
import java.util.Currency;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.jooq.Condition;
import org.jooq.DSLContext;
import org.jooq.Field;
import org.jooq.impl.DSL;

/** Movements that stand in the ledger, with what later ones took back or changed of them. */
public final class PastMovements {

  private static final List<String> MOVES =
      List.of(
          MovementKind.TRANSFER.name(),
          MovementKind.REGRADED.name(),
          MovementKind.RECONDITIONED.name());

  /** By which pieces leave the store, or the condition they were in. */
  private static final List<String> LEAVING =
      Stream.of(
              MovementKind.ISSUE,
              MovementKind.RECONDITIONED,
              MovementKind.REGRADED,
              MovementKind.ADJUSTMENT,
              MovementKind.COUNT,
              MovementKind.KIT_BROKEN,
              MovementKind.KIT_MADE,
              MovementKind.POUR,
              MovementKind.SCRAP)
          .map(Enum::name)
          .toList();

  private final DSLContext context;
  private final Currency currency;

  public PastMovements(DSLContext context, Currency currency) {
    this.context = context;
    this.currency = currency;
  }

  /**
   * The lines that are undone together, with what later ones took back of them: the movement alone,
   * or both halves of one that moves stock from one place or condition to another.
   */
  public List<PastMovement> undoneTogether(long movementId) {
    Movement half = MOVEMENT.as("half");
    Condition sameMove =
        MOVEMENT
            .KIND
            .in(MOVES)
            .and(
                MOVEMENT.REQUEST_KEY.eq(
                    context
                        .select(half.REQUEST_KEY)
                        .from(half)
                        .where(half.ID.eq(movementId))
                        .and(half.KIND.in(MOVES))));
    return pastWhere(MOVEMENT.ID.eq(movementId).or(sameMove));
  }

  /** The issues booked under a reference, by item and condition, with what came back of each. */
  public Map<StockKey, List<PastMovement>> issuesOf(String reference) {
    return pastWhere(
            MOVEMENT.REFERENCE.eq(reference).and(MOVEMENT.KIND.eq(MovementKind.ISSUE.name())))
        .stream()
        .collect(Collectors.groupingBy(PastMovement::key, TreeMap::new, Collectors.toList()));
  }

  /** What was salvaged under a reference and nothing has taken back since. */
  public List<PastMovement> salvagedOf(String reference) {
    return pastWhere(
            MOVEMENT.REFERENCE.eq(reference).and(MOVEMENT.KIND.eq(MovementKind.SALVAGE.name())))
        .stream()
        .filter(line -> line.answeredQuantity().isZero())
        .toList();
  }

  /** One movement, which has to be there. */
  public PastMovement byId(long movementId) {
    return pastWhere(MOVEMENT.ID.eq(movementId)).get(0);
  }

  /** What left these lots for good. */
  public List<PastMovement> goneFrom(Collection<LotId> lots) {
    return pastWhere(
        MOVEMENT
            .LOT_ID
            .in(lots)
            .and(MOVEMENT.QUANTITY_MICRO.lt(0L))
            .and(MOVEMENT.KIND.in(LEAVING)));
  }

  private List<PastMovement> pastWhere(Condition condition) {
    Movement answer = MOVEMENT.as("answer");
    Field<Long> quantity = answered(answer, answer.QUANTITY_MICRO, "answered_quantity");
    Field<Long> value = answered(answer, answer.VALUE_MINOR, "answered_value");
    return context
        .select(MOVEMENT.asterisk(), ITEM.MEASURE, LOT.CONDITION, quantity, value)
        .from(MOVEMENT)
        .join(LOT)
        .on(LOT.ID.eq(MOVEMENT.LOT_ID))
        .join(ITEM)
        .on(ITEM.ID.eq(MOVEMENT.ITEM_ID))
        .where(condition)
        .orderBy(MOVEMENT.ID)
        .fetch(
            row -> {
              Measure measure = Measure.ofSymbol(row.get(ITEM.MEASURE));
              return new PastMovement(
                  row.get(MOVEMENT.ID),
                  MovementKind.valueOf(row.get(MOVEMENT.KIND)),
                  new LotInBin(
                      row.get(MOVEMENT.ITEM_ID),
                      row.get(MOVEMENT.LOT_ID),
                      row.get(MOVEMENT.BIN_ID)),
                  LotCondition.valueOf(row.get(LOT.CONDITION)),
                  new Quantity(measure, row.get(MOVEMENT.QUANTITY_MICRO)),
                  new Money(row.get(MOVEMENT.VALUE_MINOR), currency),
                  new Quantity(measure, row.get(quantity)),
                  new Money(row.get(value), currency));
            });
  }

  private Field<Long> answered(Movement answer, Field<Long> what, String name) {
    return DSL.field(
            context
                .select(DSL.coalesce(DSL.sum(what), 0).cast(Long.class))
                .from(answer)
                .where(answer.REFERS_TO.eq(MOVEMENT.ID)))
        .as(name);
  }
}
