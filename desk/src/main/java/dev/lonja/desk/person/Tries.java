package dev.lonja.desk.person;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import dev.lonja.core.person.WaitRule;
import dev.lonja.desk.clock.StoreClock;
import java.time.Duration;
import java.time.Instant;
import org.springframework.stereotype.Component;

/**
 * Counts wrong tries and says when the next one may be made ({@link WaitRule}). Keeps the latest
 * 10,000 keys, each cut to 100 characters, for a day.
 */
@Component
public class Tries {

  private static final int MOST_KEYS = 10_000;
  private static final int LONGEST_KEY = 100;

  private final StoreClock clock;
  private final Cache<String, Wrong> known =
      Caffeine.newBuilder().maximumSize(MOST_KEYS).expireAfterWrite(Duration.ofDays(1)).build();

  private record Wrong(int times, Instant until) {}

  public Tries(StoreClock clock) {
    this.clock = clock;
  }

  /** True while the next try has to wait. */
  public boolean mustWait(String key) {
    Wrong wrong = known.getIfPresent(cut(key));
    return wrong != null && clock.now().isBefore(wrong.until());
  }

  /** Counts a wrong try; {@code free} more of them than usual cost no time. */
  public void wrong(String key, int free) {
    known
        .asMap()
        .compute(
            cut(key),
            (k, before) -> {
              int times = before == null ? 1 : before.times() + 1;
              Duration wait = WaitRule.after(Math.max(0, times - free));
              return new Wrong(times, clock.now().plus(wait));
            });
  }

  /** A right one: nothing is counted any more. */
  public void right(String key) {
    known.invalidate(cut(key));
  }

  private static String cut(String key) {
    return key.length() > LONGEST_KEY ? key.substring(0, LONGEST_KEY) : key;
  }
}
