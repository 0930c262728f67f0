package dev.lonja.store.count;

import static org.assertj.core.api.Assertions.assertThat;

import dev.lonja.core.count.Stocktake;
import dev.lonja.core.count.StocktakeId;
import dev.lonja.store.ExampleStore;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;

/** A count of everything. */
class StocktakeRepositoryTest {

  private static final Instant NOW = Instant.parse("2027-03-15T09:00:00Z");

  @RegisterExtension final ExampleStore store = new ExampleStore();

  private Optional<Stocktake> open() {
    return store.read(s -> s.stocktakes().open());
  }

  @Test
  void oneIsOpenUntilItEnds() {
    assertThat(open()).isEmpty();
    StocktakeId id = store.write(s -> s.stocktakes().begin("storekeeper", NOW));
    assertThat(open()).contains(new Stocktake(id, "storekeeper", NOW, Optional.empty()));
    Stocktake.End end = new Stocktake.End(Stocktake.How.BOOKED, "auditor", NOW.plusSeconds(60));
    store.change(s -> s.stocktakes().end(id, end));
    assertThat(open()).isEmpty();
    assertThat(store.<List<Stocktake>>read(s -> s.stocktakes().all()))
        .containsExactly(new Stocktake(id, "storekeeper", NOW, Optional.of(end)));
  }
}
