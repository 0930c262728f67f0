package dev.lonja.desk.backup;

import dev.lonja.desk.audit.Trail;
import dev.lonja.store.LonjaStore;
import dev.lonja.store.audit.Deed;
import dev.lonja.store.audit.Facts;
import dev.lonja.store.audit.Matter;
import java.time.Duration;
import java.time.Instant;
import java.util.Optional;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.stereotype.Component;

/**
 * Notices a clock that does not run on: one that jumps while the server runs, held against time
 * that only grows, or one that stands before what is on record already.
 */
@Component
public class ClockWatch {

  private static final Logger LOG = LoggerFactory.getLogger(ClockWatch.class);

  /** A clock that is set right by the network is moved by less. */
  private static final Duration NOTICED = Duration.ofMinutes(5);

  private final LonjaStore store;
  private final Trail trail;
  private Optional<Look> last = Optional.empty();
  private volatile Optional<Jump> jump = Optional.empty();

  private record Look(long nanos, Instant clock) {}

  /** The clock should have stood at one time and stood at another. */
  public record Jump(Instant expected, Instant found) {}

  public ClockWatch(LonjaStore store, Trail trail) {
    this.store = store;
    this.trail = trail;
  }

  /** The last jump since the server started. */
  public Optional<Jump> lastJump() {
    return jump;
  }

  /**
   * Looks at the clock.
   *
   * @param nanos time that only grows
   */
  public synchronized void look(long nanos, Instant clock) {
    Optional<Instant> expected =
        last.map(look -> look.clock().plusNanos(nanos - look.nanos()))
            .or(() -> store.read(session -> session.audit().newest()).filter(clock::isBefore));
    last = Optional.of(new Look(nanos, clock));
    expected
        .filter(time -> Duration.between(time, clock).abs().compareTo(NOTICED) > 0)
        .ifPresent(time -> note(new Jump(time, clock)));
  }

  private void note(Jump found) {
    jump = Optional.of(found);
    LOG.warn("the clock stands at {}; expected was {}", found.found(), found.expected());
    trail.note(
        Trail.By.SERVER,
        Matter.STORE,
        "",
        Deed.CLOCK_JUMPED,
        Facts.of("expected", found.expected()).with("found", found.found()));
  }
}
