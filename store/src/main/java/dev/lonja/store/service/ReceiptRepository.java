package dev.lonja.store.service;

import static dev.lonja.store.schema.Tables.RECEIPT;

import dev.lonja.core.fleet.UnitId;
import dev.lonja.core.service.ReceiptId;
import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import org.jooq.DSLContext;
import org.jooq.Record;

/** What proves work on machines. */
public final class ReceiptRepository {

  private final DSLContext context;

  public ReceiptRepository(DSLContext context) {
    this.context = context;
  }

  /**
   * A receipt without what it holds.
   *
   * @param doneOn the day of the work that it proves
   * @param withdrawn why it was kept in error
   */
  public record Receipt(
      ReceiptId id,
      LocalDate doneOn,
      String note,
      String mediaType,
      Optional<String> withdrawn,
      String actor) {}

  /** What a receipt holds. */
  public record Content(String mediaType, byte[] bytes) {}

  /** The receipts of a unit, those of the latest work first. */
  public List<Receipt> of(UnitId unitId) {
    return context
        .select(
            RECEIPT.ID,
            RECEIPT.DONE_ON,
            RECEIPT.NOTE,
            RECEIPT.MEDIA_TYPE,
            RECEIPT.WITHDRAWN_WHY,
            RECEIPT.ACTOR)
        .from(RECEIPT)
        .where(RECEIPT.UNIT_ID.eq(unitId))
        .orderBy(RECEIPT.DONE_ON.desc(), RECEIPT.ID.desc())
        .fetch(ReceiptRepository::receipt);
  }

  private static Receipt receipt(Record row) {
    return new Receipt(
        row.get(RECEIPT.ID),
        row.get(RECEIPT.DONE_ON),
        row.get(RECEIPT.NOTE),
        row.get(RECEIPT.MEDIA_TYPE),
        Optional.ofNullable(row.get(RECEIPT.WITHDRAWN_WHY)),
        row.get(RECEIPT.ACTOR));
  }

  /** What a receipt of a unit holds; empty if there is none such, or it was withdrawn. */
  public Optional<Content> content(UnitId unitId, ReceiptId id) {
    return context
        .select(RECEIPT.MEDIA_TYPE, RECEIPT.CONTENT)
        .from(RECEIPT)
        .where(RECEIPT.UNIT_ID.eq(unitId), RECEIPT.ID.eq(id), RECEIPT.CONTENT.isNotNull())
        .fetchOptional(row -> new Content(row.value1(), row.value2()));
  }

  /** Keeps a receipt. */
  public void add(
      UnitId unitId, LocalDate doneOn, String note, Content content, String actor, Instant at) {
    context
        .insertInto(RECEIPT)
        .set(RECEIPT.UNIT_ID, unitId)
        .set(RECEIPT.DONE_ON, doneOn)
        .set(RECEIPT.NOTE, note)
        .set(RECEIPT.MEDIA_TYPE, content.mediaType())
        .set(RECEIPT.CONTENT, content.bytes())
        .set(RECEIPT.ACTOR, actor)
        .set(RECEIPT.RECORDED_AT, at)
        .execute();
  }

  /** Lets go of what a receipt holds; false if it was withdrawn before. */
  public boolean withdraw(UnitId unitId, ReceiptId id, String why) {
    return context
            .update(RECEIPT)
            .setNull(RECEIPT.CONTENT)
            .set(RECEIPT.WITHDRAWN_WHY, why)
            .where(RECEIPT.UNIT_ID.eq(unitId), RECEIPT.ID.eq(id), RECEIPT.WITHDRAWN_WHY.isNull())
            .execute()
        == 1;
  }
}
