package dev.lonja.store.part;

import static org.assertj.core.api.Assertions.assertThat;

import dev.lonja.core.part.PartId;
import dev.lonja.core.quantity.Power;
import dev.lonja.core.take.KitRange;
import dev.lonja.store.ExampleStore;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;

/** For which machines a kit is made. */
class KitRangeRepositoryTest {

  private static final PartId KIT = new PartId(8);

  @RegisterExtension final ExampleStore store = new ExampleStore();

  private static KitRange from(String make, long least) {
    return new KitRange(make, "", "", Optional.of(new Power(least)), Optional.empty());
  }

  /** Ranges are written in the place of those there were. */
  @Test
  void theRangesOfAKitAreReplacedTogether() {
    List<KitRange> two = List.of(from("Corvane", 40_000), from("", 75_000));
    store.change(s -> s.kitRanges().set(KIT, two));
    assertThat(store.<List<KitRange>>read(s -> s.kitRanges().of(KIT))).isEqualTo(two);
    assertThat(store.<Map<PartId, List<KitRange>>>read(s -> s.kitRanges().all()))
        .containsOnly(Map.entry(KIT, two));
    store.change(s -> s.kitRanges().set(KIT, List.of(from("Corvane", 55_000))));
    assertThat(store.<List<KitRange>>read(s -> s.kitRanges().of(KIT)))
        .containsExactly(from("Corvane", 55_000));
    store.change(s -> s.kitRanges().set(KIT, List.of()));
    assertThat(store.<Map<PartId, List<KitRange>>>read(s -> s.kitRanges().all())).isEmpty();
  }
}
