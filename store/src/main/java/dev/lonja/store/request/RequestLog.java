package dev.lonja.store.request;

import static dev.lonja.store.schema.Tables.REQUEST;

import dev.lonja.store.query.FixedInsert;
import dev.lonja.store.query.FixedQuery;
import java.nio.charset.StandardCharsets;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.time.Instant;
import java.util.HexFormat;
import java.util.Optional;
import org.jooq.DSLContext;
import org.jooq.impl.DSL;

/** Remembers each request's key, a digest of what the client sent, and what was answered. */
public final class RequestLog {

  /** A request that was carried out. */
  public record Entry(String contentHash, String answer) {}

  /**
   * When a request was carried out.
   *
   * @param happenedAt when what it says was done, if it was sent later; never after {@code
   *     recordedAt}
   */
  public record Times(Optional<Instant> happenedAt, Instant recordedAt) {
    /** Sent as it happened. */
    public static Times at(Instant now) {
      return new Times(Optional.empty(), now);
    }
  }

  private static final FixedQuery FIND =
      FixedQuery.of(
          DSL.select(REQUEST.CONTENT_HASH, REQUEST.ANSWER)
              .from(REQUEST)
              .where(REQUEST.REQUEST_KEY.eq(FixedQuery.given(REQUEST.REQUEST_KEY))));

  private static final FixedInsert<String> ADD =
      FixedInsert.into(
          REQUEST,
          REQUEST.REQUEST_KEY,
          REQUEST.REQUEST_KEY,
          REQUEST.CONTENT_HASH,
          REQUEST.ANSWER,
          REQUEST.ACTOR,
          REQUEST.HAPPENED_AT,
          REQUEST.RECORDED_AT);

  private final DSLContext context;

  public RequestLog(DSLContext context) {
    this.context = context;
  }

  public Optional<Entry> find(String key) {
    return FIND.with(context, key)
        .fetchOptional(row -> new Entry(row.get(REQUEST.CONTENT_HASH), row.get(REQUEST.ANSWER)));
  }

  public void add(String key, Entry entry, String actor, Times times) {
    ADD.insert(
        context,
        key,
        entry.contentHash(),
        entry.answer(),
        actor,
        times.happenedAt().orElse(null),
        times.recordedAt());
  }

  /** SHA-256 of the content in hexadecimal. */
  public static String hash(String content) {
    return hash(content.getBytes(StandardCharsets.UTF_8));
  }

  /** The SHA-256 of a file's bytes, in hexadecimal. */
  public static String hash(byte[] content) {
    try {
      return HexFormat.of().formatHex(MessageDigest.getInstance("SHA-256").digest(content));
    } catch (NoSuchAlgorithmException e) {
      throw new IllegalStateException("every Java platform has SHA-256", e);
    }
  }
}
