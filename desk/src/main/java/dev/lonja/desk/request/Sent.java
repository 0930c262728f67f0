package dev.lonja.desk.request;

import dev.lonja.store.audit.AuditLine;
import dev.lonja.store.audit.Deed;
import dev.lonja.store.audit.Facts;
import dev.lonja.store.audit.Matter;
import java.time.Instant;

/**
 * What every request that changes something brings along.
 *
 * @param key tells this request from any other; the same key again is the same request
 * @param content all that the client sent, as text
 * @param origin the address that it came from
 */
public record Sent(String key, String content, String actor, String origin) {

  /** The line of the audit for something that this request does. */
  public AuditLine line(
      Instant at, Matter matter, Object subject, Deed deed, Facts before, Facts after) {
    return new AuditLine(at, actor, origin, matter, String.valueOf(subject), deed, before, after);
  }
}
