package dev.lonja.store.place;

import static org.assertj.core.api.Assertions.assertThat;

import dev.lonja.core.item.ItemId;
import dev.lonja.core.place.Place;
import dev.lonja.core.quantity.Quantity;
import dev.lonja.core.transfer.TransferId;
import dev.lonja.core.transfer.TransferLine;
import dev.lonja.core.transfer.TransferState;
import dev.lonja.store.ExampleStore;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;

/** The north pier asks for three washers. */
class TransferRepositoryTest {

  private static final ItemId WASHER = new ItemId(23);
  private static final Instant NOW = Instant.parse("2027-03-15T09:00:00Z");

  @RegisterExtension final ExampleStore store = new ExampleStore();
  private Place pier = Place.MAIN;
  private TransferId id = new TransferId(1);

  @BeforeEach
  void three() {
    pier = store.write(s -> Place.of(s.places().add("North pier")));
    id = store.write(s -> s.transfers().add(Place.MAIN, pier, "workshop", NOW));
    keep(TransferLine.asked(WASHER, Quantity.pieces(3)));
  }

  private void keep(TransferLine line) {
    store.change(s -> s.transfers().keep(id, line));
  }

  private TransferRepository.Stored stored() {
    return store
        .<Optional<TransferRepository.Stored>>read(s -> s.transfers().byId(id))
        .orElseThrow();
  }

  /** Asked for it can still be added to; on its way it is not what is asked any more. */
  @Test
  void whatIsAskedForLeavesArrivesAndEnds() {
    assertThat(
            store.<Optional<TransferRepository.Stored>>read(
                s -> s.transfers().asked(Place.MAIN, pier)))
        .contains(stored());
    assertThat(
            store.<Optional<TransferRepository.Stored>>read(
                s -> s.transfers().asked(pier, Place.MAIN)))
        .isEmpty();
    keep(stored().lines().get(0).picking(Quantity.pieces(2)));
    store.change(s -> s.transfers().send(id, "storekeeper", NOW.plusSeconds(60)));
    assertThat(stored().state()).isEqualTo(TransferState.SENT);
    assertThat(stored().sent())
        .contains(new TransferRepository.Departure("storekeeper", NOW.plusSeconds(60)));
    assertThat(
            store.<Optional<TransferRepository.Stored>>read(
                s -> s.transfers().asked(Place.MAIN, pier)))
        .isEmpty();
    assertThat(store.<List<TransferRepository.Stored>>read(s -> s.transfers().open())).hasSize(1);
    keep(stored().lines().get(0).receiving(Quantity.pieces(2)));
    assertThat(stored().lines())
        .containsExactly(
            new TransferLine(
                WASHER,
                Quantity.pieces(3),
                Quantity.pieces(2),
                Quantity.pieces(2),
                Quantity.pieces(0),
                Quantity.pieces(0)));
    store.change(s -> s.transfers().end(id, TransferState.CLOSED, NOW.plusSeconds(120)));
    assertThat(store.<List<TransferRepository.Stored>>read(s -> s.transfers().open())).isEmpty();
    assertThat(store.<List<TransferRepository.Stored>>read(s -> s.transfers().ended(5)))
        .extracting(TransferRepository.Stored::endedAt)
        .containsExactly(Optional.of(NOW.plusSeconds(120)));
  }

  /** Each change counts, so that a form of before is told. */
  @Test
  void everyChangeRaisesItsVersion() {
    long before = stored().version();
    keep(stored().lines().get(0).wanting(Quantity.pieces(5)));
    assertThat(stored().version()).isGreaterThan(before);
    assertThat(stored().lines())
        .extracting(TransferLine::wanted)
        .containsExactly(Quantity.pieces(5));
  }
}
