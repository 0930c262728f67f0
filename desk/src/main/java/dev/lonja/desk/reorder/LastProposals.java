package dev.lonja.desk.reorder;

import dev.lonja.core.forecast.Subject;
import dev.lonja.desk.clock.StoreClock;
import dev.lonja.desk.fleet.FleetPicture;
import dev.lonja.desk.forecast.Bands;
import dev.lonja.desk.forecast.Forecast;
import dev.lonja.desk.forecast.Trials;
import dev.lonja.store.LonjaStore;
import dev.lonja.store.Session;
import java.time.LocalDate;
import java.util.Collections;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.atomic.AtomicReference;
import org.springframework.stereotype.Component;

/**
 * What was proposed of every thing of the store last. It rests on the trials, which are drawn while
 * nobody writes, and so is no {@link dev.lonja.desk.answer.KeptAnswer}.
 */
@Component
class LastProposals {

  private final LonjaStore store;
  private final StoreClock clock;
  private final AtomicReference<Optional<Kept>> last = new AtomicReference<>(Optional.empty());

  LastProposals(LonjaStore store, StoreClock clock) {
    this.store = store;
    this.clock = clock;
  }

  /**
   * All that proposals rest on.
   *
   * @param bands the very same trials
   * @param writes how many there had been when they were asked for; they show them all
   */
  private record Rests(Bands bands, long writes, LocalDate today) {}

  private record Kept(Rests rests, Map<Subject, Optional<Proposal>> proposals) {}

  /** By subject, in their order, what is proposed of it; empty for what nobody supplies. */
  Map<Subject, Optional<Proposal>> by(Bands bands) {
    Rests rests = new Rests(bands, store.writes(), clock.today());
    return last.get()
        .filter(kept -> kept.rests().equals(rests))
        .orElseGet(() -> workOut(rests))
        .proposals();
  }

  private Kept workOut(Rests rests) {
    Map<Subject, Optional<Proposal>> proposals = store.read(session -> of(session, rests));
    Kept kept = new Kept(rests, Collections.unmodifiableMap(proposals));
    last.set(Optional.of(kept));
    return kept;
  }

  private static Map<Subject, Optional<Proposal>> of(Session session, Rests rests) {
    LocalDate today = rests.today();
    return StoreProposals.of(
        session,
        FleetPicture.load(session, today),
        Forecast.load(session, today, Trials.WEEKS).subjects(),
        new Proposals(rests.bands(), Proposals.Known.load(session)));
  }
}
