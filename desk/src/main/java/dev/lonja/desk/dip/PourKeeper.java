package dev.lonja.desk.dip;

import dev.lonja.core.quantity.Volume;
import dev.lonja.core.tank.MeteredPour;
import dev.lonja.core.tank.Tank;
import dev.lonja.desk.clock.StoreClock;
import dev.lonja.store.LonjaStore;
import dev.lonja.store.Session;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.stereotype.Component;

/**
 * Takes in what pour meters count, each count once and at its own time. Nothing is booked by it:
 * where it went is written down by whoever poured, and the two are held against each other. What
 * cannot be is left out and logged.
 */
@Component
public class PourKeeper {

  private static final Logger LOG = LoggerFactory.getLogger(PourKeeper.class);

  private final LonjaStore store;
  private final StoreClock clock;
  private final PourMeter meter;

  PourKeeper(LonjaStore store, StoreClock clock, PourMeter meter) {
    this.store = store;
    this.clock = clock;
    this.meter = meter;
  }

  /** Stores what waits, then lets go of it. */
  public synchronized void takeIn() {
    List<PourMeter.Count> waiting = meter.waiting();
    if (waiting.isEmpty()) {
      return;
    }
    store.write(
        session -> {
          waiting.forEach(count -> takeIn(session, count));
          return true;
        });
    meter.acknowledge(waiting);
  }

  private void takeIn(Session session, PourMeter.Count count) {
    Optional<Tank> tank =
        session.tanks().all().stream().filter(one -> one.name().equals(count.tank())).findFirst();
    boolean taken =
        tank.filter(one -> canBe(session, one, count)).isPresent()
            && session
                .tanks()
                .addMetered(
                    tank.get().id(), new MeteredPour(count.at(), count.volume()), clock.now());
    if (!taken) {
      LOG.warn("left out, since it cannot be: {}", count);
    }
  }

  private boolean canBe(Session session, Tank tank, PourMeter.Count count) {
    Instant cleaned = session.tanks().lastCleaned(tank.id()).orElse(Instant.MIN);
    return count.volume().compareTo(Volume.ZERO) > 0
        && count.volume().compareTo(tank.shape().full()) <= 0
        && !count.at().isAfter(clock.now())
        && count.at().isAfter(cleaned);
  }
}
