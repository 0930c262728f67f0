package dev.lonja.store.person;

import static dev.lonja.store.schema.Tables.KNOWN_DEVICE;

import dev.lonja.core.person.PersonId;
import java.time.Instant;
import java.util.List;
import org.jooq.DSLContext;

/** The devices on which people have signed in; the latest twenty of each person. */
public final class DeviceRepository {

  private static final int MOST = 20;

  private final DSLContext context;

  public DeviceRepository(DSLContext context) {
    this.context = context;
  }

  public boolean isOf(String tokenHash, PersonId person) {
    return context.fetchExists(
        KNOWN_DEVICE, KNOWN_DEVICE.TOKEN_HASH.eq(tokenHash).and(KNOWN_DEVICE.PERSON_ID.eq(person)));
  }

  /** Adds a device; the oldest beyond twenty is forgotten. */
  public void add(String tokenHash, PersonId person, Instant at) {
    context
        .insertInto(KNOWN_DEVICE)
        .set(KNOWN_DEVICE.TOKEN_HASH, tokenHash)
        .set(KNOWN_DEVICE.PERSON_ID, person)
        .set(KNOWN_DEVICE.ADDED_AT, at)
        .execute();
    List<Long> kept =
        context
            .select(KNOWN_DEVICE.ID)
            .from(KNOWN_DEVICE)
            .where(KNOWN_DEVICE.PERSON_ID.eq(person))
            .orderBy(KNOWN_DEVICE.ID.desc())
            .limit(MOST)
            .fetch(KNOWN_DEVICE.ID);
    context
        .deleteFrom(KNOWN_DEVICE)
        .where(KNOWN_DEVICE.PERSON_ID.eq(person), KNOWN_DEVICE.ID.notIn(kept))
        .execute();
  }

  /** Forgets all devices of someone. */
  public void forget(PersonId person) {
    context.deleteFrom(KNOWN_DEVICE).where(KNOWN_DEVICE.PERSON_ID.eq(person)).execute();
  }
}
