package dev.lonja.desk.crossref;

import dev.lonja.core.crossref.Measuring;
import dev.lonja.core.crossref.Measuring.Reading;
import dev.lonja.core.part.Family;
import dev.lonja.desk.clock.StoreClock;
import dev.lonja.desk.person.Allowed;
import dev.lonja.store.LonjaStore;
import java.util.List;
import java.util.Map;
import org.springframework.stereotype.Service;

/** Finds a washer, O-ring or plug by what a caliper says of a used one. */
@Service
@Allowed.ToSeeMachines
public class MeasureDesk {

  private static final int MOST = 40;

  private final LonjaStore store;
  private final StoreClock clock;

  public MeasureDesk(LonjaStore store, StoreClock clock) {
    this.store = store;
    this.clock = clock;
  }

  /** Parts that may be the one in hand, nearest first. */
  public record Measured(List<Measuring.Match> matches, PartShelf shelf) {}

  /** The forty nearest parts of a family that measure so. */
  public Measured measure(Family family, Map<Reading, Long> readings) {
    return store.read(
        session -> {
          List<Measuring.Match> matches =
              Measuring.matches(session.parts().byFamily(family), readings).stream()
                  .limit(MOST)
                  .toList();
          return new Measured(
              matches,
              PartShelf.of(
                  session,
                  clock.today(),
                  matches.stream().map(match -> match.part().id()).toList()));
        });
  }
}
