package dev.lonja.store.request;

import static dev.lonja.store.schema.Tables.REQUEST;

import java.nio.charset.StandardCharsets;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.time.Instant;
import java.util.HexFormat;
import java.util.Optional;
import org.jooq.DSLContext;

/** Remembers each request's key, a digest of what the client sent, and what was answered. */
public final class RequestLog {

  /** A request that was carried out. */
  public record Entry(String contentHash, String answer) {}

  private final DSLContext context;

  public RequestLog(DSLContext context) {
    this.context = context;
  }

  public Optional<Entry> find(String key) {
    return context
        .selectFrom(REQUEST)
        .where(REQUEST.REQUEST_KEY.eq(key))
        .fetchOptional(row -> new Entry(row.get(REQUEST.CONTENT_HASH), row.get(REQUEST.ANSWER)));
  }

  public void add(String key, Entry entry, String actor, Instant at) {
    context
        .insertInto(REQUEST)
        .set(REQUEST.REQUEST_KEY, key)
        .set(REQUEST.CONTENT_HASH, entry.contentHash())
        .set(REQUEST.ANSWER, entry.answer())
        .set(REQUEST.ACTOR, actor)
        .set(REQUEST.RECORDED_AT, at)
        .execute();
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
