package dev.lonja.desk.dip;

import dev.lonja.core.tank.Dip;
import dev.lonja.core.tank.Tank;
import dev.lonja.desk.clock.StoreClock;
import dev.lonja.desk.tank.TankStand;
import dev.lonja.store.LonjaStore;
import dev.lonja.store.Session;
import dev.lonja.store.tank.TankRepository;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.stereotype.Component;

/**
 * Takes in what gauges read: as dips of their own time, however late they come. A reading that
 * jumps is kept, and shows as a dip that does not agree; one that cannot be is left out and logged.
 */
@Component
public class GaugeKeeper {

  private static final Logger LOG = LoggerFactory.getLogger(GaugeKeeper.class);
  private static final String ACTOR = "gauge";

  private final LonjaStore store;
  private final StoreClock clock;
  private final TankGauge gauge;

  GaugeKeeper(LonjaStore store, StoreClock clock, TankGauge gauge) {
    this.store = store;
    this.clock = clock;
    this.gauge = gauge;
  }

  /** Stores what waits, then lets go of it. */
  public synchronized void takeIn() {
    List<TankGauge.Read> waiting = gauge.waiting();
    if (waiting.isEmpty()) {
      return;
    }
    store.write(
        session -> {
          waiting.forEach(read -> takeIn(session, read));
          return true;
        });
    gauge.acknowledge(waiting);
  }

  private void takeIn(Session session, TankGauge.Read read) {
    Optional<Tank> tank =
        session.tanks().all().stream()
            .filter(one -> one.gauged() && one.name().equals(read.tank()))
            .findFirst();
    if (tank.filter(one -> canBe(session, one, read)).isEmpty()) {
      LOG.warn("left out, since it cannot be: {}", read);
      return;
    }
    session
        .tanks()
        .addDip(
            tank.get().id(),
            read.at(),
            read.height(),
            read.temperature(),
            true,
            new TankRepository.Noted(ACTOR, clock.now()));
  }

  private boolean canBe(Session session, Tank tank, TankGauge.Read read) {
    Instant cleaned = session.tanks().lastCleaned(tank.id()).orElse(Instant.MIN);
    boolean isKnown =
        TankStand.of(session, tank.id(), clock).stream()
            .flatMap(stand -> stand.dips().stream())
            .anyMatch(dip -> dip.at().equals(read.at()));
    return read.height().compareTo(tank.shape().height()) <= 0
        && read.temperature().filter(Dip::isOutside).isEmpty()
        && !read.at().isAfter(clock.now())
        && read.at().isAfter(cleaned)
        && !isKnown;
  }
}
