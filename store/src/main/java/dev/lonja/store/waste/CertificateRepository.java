package dev.lonja.store.waste;

import static dev.lonja.store.schema.Tables.WASTE_CERTIFICATE;
import static dev.lonja.store.schema.Tables.WASTE_COLLECTION;

import dev.lonja.core.waste.CertificateId;
import dev.lonja.core.waste.CollectionId;
import dev.lonja.core.waste.ContainerId;
import dev.lonja.store.service.ReceiptRepository.Content;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.jooq.DSLContext;
import org.jooq.Record;

/** What proves where waste went. */
public final class CertificateRepository {

  private final DSLContext context;

  public CertificateRepository(DSLContext context) {
    this.context = context;
  }

  /**
   * A certificate without what it holds.
   *
   * @param withdrawn why it was kept in error
   */
  public record Certificate(
      CertificateId id,
      String mediaType,
      Optional<String> withdrawn,
      String actor,
      Instant recordedAt) {}

  /** By collection of a container, its certificates in the order in which they came. */
  public Map<CollectionId, List<Certificate>> of(ContainerId container) {
    return context
        .select(
            WASTE_CERTIFICATE.ID,
            WASTE_CERTIFICATE.COLLECTION_ID,
            WASTE_CERTIFICATE.MEDIA_TYPE,
            WASTE_CERTIFICATE.WITHDRAWN_WHY,
            WASTE_CERTIFICATE.ACTOR,
            WASTE_CERTIFICATE.RECORDED_AT)
        .from(WASTE_CERTIFICATE)
        .join(WASTE_COLLECTION)
        .on(WASTE_COLLECTION.ID.eq(WASTE_CERTIFICATE.COLLECTION_ID))
        .where(WASTE_COLLECTION.CONTAINER_ID.eq(container))
        .orderBy(WASTE_CERTIFICATE.ID)
        .fetchGroups(WASTE_CERTIFICATE.COLLECTION_ID, CertificateRepository::certificate);
  }

  private static Certificate certificate(Record row) {
    return new Certificate(
        row.get(WASTE_CERTIFICATE.ID),
        row.get(WASTE_CERTIFICATE.MEDIA_TYPE),
        Optional.ofNullable(row.get(WASTE_CERTIFICATE.WITHDRAWN_WHY)),
        row.get(WASTE_CERTIFICATE.ACTOR),
        row.get(WASTE_CERTIFICATE.RECORDED_AT));
  }

  /** What a certificate holds; empty if there is none such, or it was withdrawn. */
  public Optional<Content> content(CertificateId id) {
    return context
        .select(WASTE_CERTIFICATE.MEDIA_TYPE, WASTE_CERTIFICATE.CONTENT)
        .from(WASTE_CERTIFICATE)
        .where(WASTE_CERTIFICATE.ID.eq(id), WASTE_CERTIFICATE.CONTENT.isNotNull())
        .fetchOptional(row -> new Content(row.value1(), row.value2()));
  }

  /** Keeps one. */
  public void add(CollectionId collection, Content content, String actor, Instant at) {
    context
        .insertInto(WASTE_CERTIFICATE)
        .set(WASTE_CERTIFICATE.COLLECTION_ID, collection)
        .set(WASTE_CERTIFICATE.MEDIA_TYPE, content.mediaType())
        .set(WASTE_CERTIFICATE.CONTENT, content.bytes())
        .set(WASTE_CERTIFICATE.ACTOR, actor)
        .set(WASTE_CERTIFICATE.RECORDED_AT, at)
        .execute();
  }

  /** Lets go of what one holds; false if it was withdrawn before. */
  public boolean withdraw(CertificateId id, String why) {
    return context
            .update(WASTE_CERTIFICATE)
            .setNull(WASTE_CERTIFICATE.CONTENT)
            .set(WASTE_CERTIFICATE.WITHDRAWN_WHY, why)
            .where(WASTE_CERTIFICATE.ID.eq(id), WASTE_CERTIFICATE.WITHDRAWN_WHY.isNull())
            .execute()
        == 1;
  }
}
