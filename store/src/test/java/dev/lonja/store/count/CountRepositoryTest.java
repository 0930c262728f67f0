package dev.lonja.store.count;

import static org.assertj.core.api.Assertions.assertThat;

import dev.lonja.core.count.CountId;
import dev.lonja.core.count.Spot;
import dev.lonja.core.count.StocktakeId;
import dev.lonja.core.item.ItemId;
import dev.lonja.core.ledger.Ledger;
import dev.lonja.core.place.BinId;
import dev.lonja.core.quantity.Money;
import dev.lonja.core.quantity.Quantity;
import dev.lonja.store.ExampleStore;
import java.time.Instant;
import java.time.LocalDate;
import java.util.Currency;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;

/** Counts of copper washers, item 23, of which 18 lie in bin K-05 by the book. */
class CountRepositoryTest {

  private static final ItemId WASHER = new ItemId(23);
  private static final Spot THERE = new Spot(WASHER, new BinId(5));
  private static final Instant NOW = Instant.parse("2027-03-15T09:00:00Z");

  @RegisterExtension final ExampleStore store = new ExampleStore();

  private void count(Instant at, long counted, CountRepository.State state) {
    store.change(
        s ->
            s.counts()
                .add(
                    new CountRepository.Count(
                        THERE,
                        Quantity.pieces(counted),
                        Quantity.pieces(18),
                        state,
                        "",
                        "storekeeper",
                        at,
                        Optional.empty())));
  }

  private List<CountRepository.Stored> since(Instant from) {
    return store.read(s -> s.counts().since(from));
  }

  @Test
  void theBookSaysWhatLiesThere() {
    assertThat(store.<Map<Spot, Quantity>>read(s -> s.counts().book()))
        .containsEntry(THERE, Quantity.pieces(18));
  }

  /**
   * A first count that differs waits; a second one overrules it and is the last word on the bin.
   */
  @Test
  void aCountWaitsUntilSomebodySettlesIt() {
    count(NOW, 16, CountRepository.State.FIRST);
    assertThat(store.<Map<Spot, CountRepository.Stored>>read(s -> s.counts().firsts()))
        .containsOnlyKeys(THERE);
    assertThat(store.<Map<Spot, Instant>>read(s -> s.counts().last())).doesNotContainKey(THERE);
    CountId id = since(NOW).get(0).id();
    store.change(s -> s.counts().setState(id, CountRepository.State.OVERRULED));
    assertThat(store.<Map<Spot, CountRepository.Stored>>read(s -> s.counts().firsts())).isEmpty();
    count(NOW.plusSeconds(60), 18, CountRepository.State.AGREED);
    assertThat(store.<Map<Spot, Instant>>read(s -> s.counts().last()))
        .containsEntry(THERE, NOW.plusSeconds(60));
    assertThat(store.<Optional<Instant>>read(s -> s.counts().lastIn(THERE.bin())))
        .contains(NOW.plusSeconds(60));
    assertThat(since(NOW.plusSeconds(1))).hasSize(1);
    assertThat(store.<Optional<CountRepository.Stored>>read(s -> s.counts().byId(id)))
        .hasValueSatisfying(
            one -> assertThat(one.count().counted()).isEqualTo(Quantity.pieces(16)));
    assertThat(store.<List<CountRepository.Stored>>read(s -> s.counts().of(new StocktakeId(1))))
        .isEmpty();
  }

  /** Eight of them at 0.21 are 1.68; the movement makes a count that was begun before old. */
  @Test
  void anIssueIsUsedAtCostAndMovesTheStamp() {
    long before = store.<Long>read(s -> s.counts().stamp(THERE));
    store.book(
        WASHER,
        "boat",
        NOW,
        stock ->
            Ledger.issue(
                stock, Quantity.pieces(8), Quantity.pieces(0), LocalDate.parse("2027-03-15")));
    assertThat(store.<Long>read(s -> s.counts().stamp(THERE))).isGreaterThan(before);
    assertThat(store.<Map<Spot, Long>>read(s -> s.counts().stamps()).get(THERE))
        .isEqualTo(store.<Long>read(s -> s.counts().stamp(THERE)));
    assertThat(store.<Map<ItemId, Money>>read(s -> s.counts().usedSince(NOW)))
        .containsOnly(Map.entry(WASHER, new Money(168, Currency.getInstance("EUR"))));
  }
}
