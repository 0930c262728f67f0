package dev.lonja.desk.request;

import dev.lonja.store.audit.AuditLine;
import dev.lonja.store.audit.Deed;
import dev.lonja.store.audit.Facts;
import dev.lonja.store.audit.Matter;
import java.time.Duration;
import java.time.Instant;
import java.util.Optional;

/**
 * What every request that changes something brings along.
 *
 * @param key tells this request from any other; the same key again is the same request
 * @param content all that the client sent, as text
 * @param origin the address that it came from
 * @param ago how long ago what it says was done, if it waited in a browser without a network
 */
public record Sent(
    String key, String content, String actor, String origin, Optional<Duration> ago) {

  /** Sent as it happens. */
  public Sent(String key, String content, String actor, String origin) {
    this(key, content, actor, origin, Optional.empty());
  }

  /** When what it says was done. */
  public Instant happenedAt(Instant now) {
    return now.minus(ago.orElse(Duration.ZERO));
  }

  /** The line of the audit for something that this request does. */
  public AuditLine line(
      Instant at, Matter matter, Object subject, Deed deed, Facts before, Facts after) {
    return new AuditLine(at, actor, origin, matter, String.valueOf(subject), deed, before, after);
  }
}
