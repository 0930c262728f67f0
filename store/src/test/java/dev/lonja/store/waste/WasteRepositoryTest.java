package dev.lonja.store.waste;

import static org.assertj.core.api.Assertions.assertThat;

import dev.lonja.core.quantity.Quantity;
import dev.lonja.core.waste.ContainerId;
import dev.lonja.core.waste.NewWasteEntry;
import dev.lonja.core.waste.WasteCollection;
import dev.lonja.core.waste.WasteContainer;
import dev.lonja.core.waste.WasteEntryId;
import dev.lonja.core.waste.WasteKind;
import dev.lonja.core.waste.WasteStream;
import dev.lonja.store.ExampleStore;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;

/** A tote of 600 L for used oil. */
class WasteRepositoryTest {

  private static final Instant MONDAY = Instant.parse("2027-03-15T09:00:00Z");

  @RegisterExtension final ExampleStore store = new ExampleStore();

  private WasteEntryId put(ContainerId container, Instant at, String litres) {
    return store.write(
        s ->
            s.waste()
                .put(
                    container,
                    new NewWasteEntry(
                        at, Quantity.litres(litres), Optional.empty(), "bench", "storekeeper"),
                    at));
  }

  private List<String> litres(ContainerId container, Instant since) {
    return store.read(
        s ->
            s.waste().entries(since).getOrDefault(container, List.of()).stream()
                .map(entry -> entry.quantity().display())
                .toList());
  }

  @Test
  void aContainerHoldsOneStream() {
    ContainerId tote = Totes.add(store);
    WasteContainer kept = store.<List<WasteContainer>>read(s -> s.waste().containers()).get(0);
    assertThat(kept.id()).isEqualTo(tote);
    assertThat(kept.capacity()).isEqualTo(Quantity.litres("600"));
    assertThat(kept.leadDays()).isEqualTo(5);
    assertThat(kept.stream().kind()).isEqualTo(WasteKind.USED_OIL);
    assertThat(kept.stream().limitDays()).contains(180);
    assertThat(store.<List<WasteStream>>read(s -> s.waste().streams()))
        .containsExactly(kept.stream());
  }

  /** Of before a time only what is in there since it was last empty; what is withdrawn never. */
  @Test
  void whatIsInThereIsListedUnlessItIsWithdrawn() {
    ContainerId tote = Totes.add(store);
    put(tote, MONDAY.minusSeconds(86_400), "40");
    store.change(
        s ->
            s.waste()
                .collect(
                    tote,
                    new WasteCollection(
                        MONDAY.minusSeconds(3_600),
                        Quantity.litres("40"),
                        Quantity.litres("0"),
                        "Quay Carriers",
                        "W-117",
                        "storekeeper"),
                    MONDAY));
    WasteEntryId wrong = put(tote, MONDAY, "12.5");
    put(tote, MONDAY.plusSeconds(60), "6");
    assertThat(litres(tote, MONDAY.plusSeconds(3_600))).containsExactly("12.50 L", "6.00 L");
    store.change(s -> s.waste().withdraw(wrong, "typed twice"));
    assertThat(litres(tote, MONDAY.plusSeconds(3_600))).containsExactly("6.00 L");
    assertThat(litres(tote, MONDAY.minusSeconds(90_000))).containsExactly("40.00 L", "6.00 L");
  }

  @Test
  void aCollectionIsKeptWithItsPaper() {
    ContainerId tote = Totes.add(store);
    WasteCollection taken =
        new WasteCollection(
            MONDAY,
            Quantity.litres("500"),
            Quantity.litres("20"),
            "Quay Carriers",
            "W-118",
            "storekeeper");
    store.change(s -> s.waste().collect(tote, taken, MONDAY));
    assertThat(
            store.<List<WasteCollection>>read(
                s -> s.waste().collections().getOrDefault(tote, List.of())))
        .containsExactly(taken);
    assertThat(
            store.<List<WasteCollection>>read(s -> List.copyOf(s.waste().fetched(tote).values())))
        .containsExactly(taken);
  }
}
