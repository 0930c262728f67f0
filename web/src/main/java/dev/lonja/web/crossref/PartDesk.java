package dev.lonja.web.crossref;

import dev.lonja.core.part.PartId;
import dev.lonja.desk.clock.StoreClock;
import dev.lonja.desk.person.Allowed;
import dev.lonja.store.LonjaStore;
import java.util.Optional;
import org.springframework.stereotype.Service;

/** Shows what the store knows of a part. */
@Service
@Allowed.ToSeeMachines
public class PartDesk {

  private final LonjaStore store;
  private final StoreClock clock;

  public PartDesk(LonjaStore store, StoreClock clock) {
    this.store = store;
    this.clock = clock;
  }

  /** Empty for an unknown part. */
  Optional<PartFacts> facts(PartId partId) {
    return store.read(
        session ->
            session
                .parts()
                .byId(partId)
                .map(part -> new PartFactsLoader(session, clock.today()).load(part)));
  }

  String today() {
    return clock.today().toString();
  }
}
