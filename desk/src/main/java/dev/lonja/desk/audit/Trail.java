package dev.lonja.desk.audit;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import dev.lonja.desk.clock.StoreClock;
import dev.lonja.store.LonjaStore;
import dev.lonja.store.audit.AuditLine;
import dev.lonja.store.audit.Deed;
import dev.lonja.store.audit.Facts;
import dev.lonja.store.audit.Matter;
import java.time.Duration;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.stereotype.Component;

/**
 * Notes in the audit what happens beside requests that change something: who signed in, what was
 * refused, what was taken out. A store that cannot be written to, because its disk is full, still
 * lets people look; then the line goes to the server's log.
 */
@Component
public class Trail {

  private static final Logger LOG = LoggerFactory.getLogger(Trail.class);
  private static final int MOST_KEPT = 10_000;

  private final LonjaStore store;
  private final StoreClock clock;

  /** What was noted within the last minute, so that nobody can fill the disk with it. */
  private final Cache<String, Boolean> justNoted =
      Caffeine.newBuilder().maximumSize(MOST_KEPT).expireAfterWrite(Duration.ofMinutes(1)).build();

  public Trail(LonjaStore store, StoreClock clock) {
    this.store = store;
    this.clock = clock;
  }

  /** Who did it, and from where; empty for a stranger, and for what the server does itself. */
  public record By(String actor, String origin) {
    public static final By SERVER = new By("", "");
  }

  /** Notes a line. */
  public void note(By by, Matter matter, Object subject, Deed deed, Facts after) {
    AuditLine line =
        new AuditLine(
            clock.now(),
            by.actor(),
            by.origin(),
            matter,
            String.valueOf(subject),
            deed,
            Facts.NONE,
            after);
    try {
      store.write(
          session -> {
            session.audit().add(line);
            return true;
          });
    } catch (RuntimeException e) {
      LOG.error("could not be noted in the audit: {}", line, e);
    }
  }

  /** Notes a line that anybody may cause again and again; the same within a minute only once. */
  public void noteOnce(By by, Matter matter, Object subject, Deed deed, Facts after) {
    String key = by + " " + matter + " " + subject + " " + deed;
    if (justNoted.asMap().putIfAbsent(key, true) == null) {
      note(by, matter, subject, deed, after);
    }
  }
}
