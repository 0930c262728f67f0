package dev.lonja.store.order;

import static dev.lonja.store.schema.Tables.ORDER_ANSWER;
import static dev.lonja.store.schema.Tables.OUTGOING;

import dev.lonja.core.cases.Cases;
import dev.lonja.core.order.OrderId;
import dev.lonja.core.order.OrderLineId;
import dev.lonja.core.order.Said;
import dev.lonja.core.quantity.UnitPrice;
import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import org.jooq.DSLContext;
import org.jooq.InsertSetMoreStep;
import org.jooq.Record;

/** What goes out to the systems of suppliers, and what they answered, as it came. */
public final class MailRepository {

  /** How what was said is written into a row. */
  private interface Writing {
    void on(InsertSetMoreStep<?> row);
  }

  private static final Cases<Said, Writing> WRITE =
      Cases.<Said, Writing>over(Said.class)
          .when(
              Said.Confirmed.class,
              said ->
                  row -> {
                    row.set(ORDER_ANSWER.KIND, Kind.CONFIRMED.name())
                        .set(ORDER_ANSWER.QUANTITY_MICRO, said.quantity().millionths())
                        .set(ORDER_ANSWER.ARRIVES_ON, said.arrives())
                        .set(ORDER_ANSWER.WORDS, "");
                    said.price()
                        .map(UnitPrice::tenThousandthsOfMinor)
                        .ifPresent(price -> row.set(ORDER_ANSWER.PRICE_E4, price));
                  })
          .when(
              Said.Shipped.class,
              said ->
                  row ->
                      row.set(ORDER_ANSWER.KIND, Kind.SHIPPED.name())
                          .set(ORDER_ANSWER.QUANTITY_MICRO, said.quantity().millionths())
                          .set(ORDER_ANSWER.ARRIVES_ON, said.arrives())
                          .set(ORDER_ANSWER.WORDS, ""))
          .when(
              Said.Superseded.class,
              said ->
                  row ->
                      row.set(ORDER_ANSWER.KIND, Kind.SUPERSEDED.name())
                          .set(ORDER_ANSWER.WORDS, said.number()))
          .when(
              Said.Cancelled.class,
              said ->
                  row ->
                      row.set(ORDER_ANSWER.KIND, Kind.CANCELLED.name())
                          .set(ORDER_ANSWER.WORDS, said.why()))
          .all();

  private final DSLContext context;

  public MailRepository(DSLContext context) {
    this.context = context;
  }

  /** Something that is to be handed to a supplier's system. */
  public record Outgoing(long id, OrderId order, String message) {}

  /**
   * What was said, as it is kept.
   *
   * @param said its kind, quantity in millionths, price in ten-thousandths of a minor unit, day and
   *     words, where there are any
   */
  public record Answer(
      Optional<OrderId> order,
      Optional<OrderLineId> line,
      Facts said,
      boolean tooLate,
      String actor,
      Instant at) {}

  /** What was said in figures. */
  public record Facts(
      Kind kind,
      Optional<Long> quantityMicro,
      Optional<Long> priceE4,
      Optional<LocalDate> arrives,
      String words) {}

  /** Kinds of answers. */
  public enum Kind {
    CONFIRMED,
    SHIPPED,
    SUPERSEDED,
    CANCELLED,
    NOT_USED
  }

  /** Puts an order into the outbox. */
  public void putOut(OrderId order, String message, Instant at) {
    context
        .insertInto(OUTGOING)
        .set(OUTGOING.ORDER_ID, order)
        .set(OUTGOING.MESSAGE, message)
        .set(OUTGOING.MADE_AT, at)
        .execute();
  }

  /** What has not been handed out, the oldest first. */
  public List<Outgoing> waiting() {
    return context
        .selectFrom(OUTGOING)
        .where(OUTGOING.HANDED_AT.isNull())
        .orderBy(OUTGOING.ID)
        .fetch(
            row ->
                new Outgoing(
                    row.get(OUTGOING.ID), row.get(OUTGOING.ORDER_ID), row.get(OUTGOING.MESSAGE)));
  }

  /** True if an order still waits in the outbox. */
  public boolean waits(OrderId order) {
    return context.fetchExists(OUTGOING, OUTGOING.ORDER_ID.eq(order), OUTGOING.HANDED_AT.isNull());
  }

  /** It was handed out. */
  public void handed(Outgoing outgoing, Instant at) {
    context
        .update(OUTGOING)
        .set(OUTGOING.HANDED_AT, at)
        .set(OUTGOING.TRIES, OUTGOING.TRIES.plus(1))
        .where(OUTGOING.ID.eq(outgoing.id()))
        .execute();
  }

  /** It could not be handed out, and is tried again. */
  public void tried(Outgoing outgoing) {
    context
        .update(OUTGOING)
        .set(OUTGOING.TRIES, OUTGOING.TRIES.plus(1))
        .where(OUTGOING.ID.eq(outgoing.id()))
        .execute();
  }

  /** True if a message was taken in before. */
  public boolean isKnown(String message) {
    return context.fetchExists(ORDER_ANSWER, ORDER_ANSWER.MESSAGE.eq(message));
  }

  /** Keeps what was said of a line. */
  public void keep(
      OrderId order, String message, Said said, boolean tooLate, String actor, Instant at) {
    var row =
        context
            .insertInto(ORDER_ANSWER)
            .set(ORDER_ANSWER.ORDER_ID, order)
            .set(ORDER_ANSWER.ORDER_LINE_ID, said.line())
            .set(ORDER_ANSWER.MESSAGE, message)
            .set(ORDER_ANSWER.TOO_LATE, tooLate ? 1L : 0L)
            .set(ORDER_ANSWER.ACTOR, actor)
            .set(ORDER_ANSWER.RECORDED_AT, at);
    WRITE.apply(said).on(row);
    row.execute();
  }

  /** Keeps that an answer could not be used, and why. */
  public void keepUnused(
      Optional<OrderId> order, String message, String why, String actor, Instant at) {
    context
        .insertInto(ORDER_ANSWER)
        .set(ORDER_ANSWER.ORDER_ID, order.orElse(null))
        .set(ORDER_ANSWER.MESSAGE, message)
        .set(ORDER_ANSWER.KIND, Kind.NOT_USED.name())
        .set(ORDER_ANSWER.WORDS, why)
        .set(ORDER_ANSWER.TOO_LATE, 0L)
        .set(ORDER_ANSWER.ACTOR, actor)
        .set(ORDER_ANSWER.RECORDED_AT, at)
        .execute();
  }

  /** What was said of an order, the oldest first. */
  public List<Answer> of(OrderId order) {
    return context
        .selectFrom(ORDER_ANSWER)
        .where(ORDER_ANSWER.ORDER_ID.eq(order))
        .orderBy(ORDER_ANSWER.ID)
        .fetch(MailRepository::answer);
  }

  /** What could not be used, the latest first. */
  public List<Answer> unused(int most) {
    return context
        .selectFrom(ORDER_ANSWER)
        .where(ORDER_ANSWER.KIND.eq(Kind.NOT_USED.name()))
        .orderBy(ORDER_ANSWER.ID.desc())
        .limit(most)
        .fetch(MailRepository::answer);
  }

  private static Answer answer(Record row) {
    return new Answer(
        Optional.ofNullable(row.get(ORDER_ANSWER.ORDER_ID)),
        Optional.ofNullable(row.get(ORDER_ANSWER.ORDER_LINE_ID)),
        new Facts(
            Kind.valueOf(row.get(ORDER_ANSWER.KIND)),
            Optional.ofNullable(row.get(ORDER_ANSWER.QUANTITY_MICRO)),
            Optional.ofNullable(row.get(ORDER_ANSWER.PRICE_E4)),
            Optional.ofNullable(row.get(ORDER_ANSWER.ARRIVES_ON)),
            row.get(ORDER_ANSWER.WORDS)),
        row.get(ORDER_ANSWER.TOO_LATE) == 1,
        row.get(ORDER_ANSWER.ACTOR),
        row.get(ORDER_ANSWER.RECORDED_AT));
  }
}
