package dev.lonja.desk.crossref;

import dev.lonja.core.part.PartId;
import dev.lonja.desk.clock.StoreClock;
import dev.lonja.desk.person.Allowed;
import dev.lonja.store.LonjaStore;
import java.util.Optional;
import org.springframework.stereotype.Service;

/** Shows what the store knows of a part, stocked or not. */
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
  public Optional<PartFile> file(PartId partId) {
    return store.read(
        session ->
            session.parts().byId(partId).map(part -> PartFile.of(session, clock.today(), part)));
  }
}
