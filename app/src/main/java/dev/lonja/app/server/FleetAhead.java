package dev.lonja.app.server;

import dev.lonja.desk.clock.StoreClock;
import dev.lonja.desk.fleet.FleetPicture;
import dev.lonja.store.LonjaStore;
import java.time.Duration;
import java.time.LocalDate;
import java.util.concurrent.TimeUnit;
import org.springframework.scheduling.annotation.Scheduled;
import org.springframework.stereotype.Component;

/**
 * Works the fleet out before a page asks for it: right after the start, and in the last hour of a
 * day for the next one, so that nobody waits after midnight. What was worked out of readings is
 * kept for the next start.
 */
@Component
class FleetAhead {

  private static final Duration BEFORE_MIDNIGHT = Duration.ofHours(1);

  private static final int WEEKS_FIRST = 13;

  private final LonjaStore store;
  private final StoreClock clock;

  FleetAhead(LonjaStore store, StoreClock clock) {
    this.store = store;
    this.clock = clock;
  }

  @Scheduled(fixedDelay = 10, timeUnit = TimeUnit.MINUTES)
  void workOut() {
    LocalDate today = clock.today();
    store.read(session -> plans(FleetPicture.load(session, today)));
    LocalDate soon = clock.dayOf(clock.now().plus(BEFORE_MIDNIGHT));
    if (soon.isAfter(today)) {
      store.read(session -> plans(FleetPicture.ahead(session, soon)));
    }
    store.keepDigests();
  }

  /** First as far as most pages look, so that they need not wait for the rest. */
  private static int plans(FleetPicture fleet) {
    fleet.plans(fleet.today().plusWeeks(WEEKS_FIRST));
    return fleet.plans(fleet.horizon()).size();
  }
}
