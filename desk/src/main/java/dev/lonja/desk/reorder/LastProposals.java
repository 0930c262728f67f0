package dev.lonja.desk.reorder;

import dev.lonja.core.forecast.Subject;
import dev.lonja.desk.clock.StoreClock;
import dev.lonja.desk.fleet.FleetPicture;
import dev.lonja.desk.forecast.Bands;
import dev.lonja.desk.forecast.Forecast;
import dev.lonja.desk.forecast.Trials;
import dev.lonja.store.LonjaStore;
import dev.lonja.store.Session;
import java.lang.ref.WeakReference;
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
   * Proposals, and all that they rest on.
   *
   * @param bands the very same trials; those that nobody else needs any more are let go
   * @param writes how many there had been when they were asked for; they show them all
   */
  private record Kept(
      WeakReference<Bands> bands,
      long writes,
      LocalDate today,
      Map<Subject, Optional<Proposal>> proposals) {

    boolean restsOn(Bands drawn, long written, LocalDate day) {
      return bands.refersTo(drawn) && writes == written && today.equals(day);
    }
  }

  /** By subject, in their order, what is proposed of it; empty for what nobody supplies. */
  Map<Subject, Optional<Proposal>> by(Bands bands) {
    long writes = store.writes();
    LocalDate today = clock.today();
    return last.get()
        .filter(kept -> kept.restsOn(bands, writes, today))
        .orElseGet(() -> workOut(bands, writes, today))
        .proposals();
  }

  private Kept workOut(Bands bands, long writes, LocalDate today) {
    Map<Subject, Optional<Proposal>> proposals = store.read(session -> of(session, bands, today));
    Kept kept =
        new Kept(new WeakReference<>(bands), writes, today, Collections.unmodifiableMap(proposals));
    last.set(Optional.of(kept));
    return kept;
  }

  private static Map<Subject, Optional<Proposal>> of(
      Session session, Bands bands, LocalDate today) {
    return StoreProposals.of(
        session,
        FleetPicture.load(session, today),
        Forecast.load(session, today, Trials.WEEKS).subjects(),
        new Proposals(bands, Proposals.Known.load(session)));
  }
}
