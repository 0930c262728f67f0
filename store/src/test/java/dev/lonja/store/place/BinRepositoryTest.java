package dev.lonja.store.place;

import static org.assertj.core.api.Assertions.assertThat;

import dev.lonja.core.place.BinId;
import dev.lonja.store.ExampleStore;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.LongStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;

/** How the twelve bins of the example store are called and walked. */
class BinRepositoryTest {

  private static final BinId FIRST = new BinId(1);
  private static final BinId SECOND = new BinId(2);

  @RegisterExtension final ExampleStore store = new ExampleStore();

  private BinId bin(String address) {
    return store.read(
        s ->
            s.items().bins().stream()
                .filter(one -> one.address().equals(address))
                .findFirst()
                .orElseThrow()
                .id());
  }

  private String address(BinId bin) {
    return store.read(
        s ->
            s.items().bins().stream()
                .filter(one -> one.id().equals(bin))
                .findFirst()
                .orElseThrow()
                .address());
  }

  @Test
  void twoMaySwapTheirAddresses() {
    store.change(s -> s.bins().rename(Map.of(FIRST, "K-02", SECOND, "K-01")));
    assertThat(address(FIRST)).isEqualTo("K-02");
    assertThat(address(SECOND)).isEqualTo("K-01");
  }

  /** The other way round, whatever stood where before. */
  @Test
  void theWalkIsSetAnew() {
    List<BinId> walk = new ArrayList<>(LongStream.rangeClosed(1, 12).mapToObj(BinId::new).toList());
    Collections.reverse(walk);
    store.change(s -> s.bins().walk(walk));
    assertThat(store.<List<BinId>>read(s -> s.items().bins().stream().map(b -> b.id()).toList()))
        .containsExactlyElementsOf(walk);
  }

  /** K-01 holds filters; a new bin holds nothing and can be taken down. */
  @Test
  void onlyABinThatIsNotUsedIsTakenDown() {
    assertThat(store.<Set<BinId>>read(s -> s.bins().used())).contains(FIRST);
    store.change(s -> s.items().addBin("Z-01"));
    BinId spare = bin("Z-01");
    assertThat(store.<Set<BinId>>read(s -> s.bins().used())).doesNotContain(spare);
    store.change(s -> s.bins().takeDown(Set.of(spare)));
    assertThat(store.<List<BinId>>read(s -> s.items().bins().stream().map(b -> b.id()).toList()))
        .hasSize(12)
        .doesNotContain(spare);
  }
}
