package dev.lonja.store.replay;

import static org.assertj.core.api.Assertions.assertThat;

import dev.lonja.core.item.ItemId;
import dev.lonja.core.ledger.Booking;
import dev.lonja.core.ledger.ItemStock;
import dev.lonja.core.ledger.Ledger;
import dev.lonja.core.ledger.MovementKind;
import dev.lonja.core.quantity.Quantity;
import dev.lonja.store.ExampleStore;
import dev.lonja.store.ledger.LedgerLine;
import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.function.Function;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;

/** The example's item 5, of which 15 L came on 1 December 2026. */
class PastRepositoryTest {

  private static final ItemId OIL = new ItemId(5);
  private static final LocalDate TODAY = LocalDate.parse("2027-03-15");

  @RegisterExtension final ExampleStore store = new ExampleStore();

  private void book(String day, Function<ItemStock, Booking> rule) {
    store.book(OIL, "WB-1", Instant.parse(day + "T10:00:00Z"), rule);
  }

  private void issue(String day, String litres) {
    book(day, stock -> Ledger.issue(stock, Quantity.litres(litres), Quantity.litres("0"), TODAY));
  }

  private long latest() {
    return store.<List<LedgerLine>>read(s -> s.ledger().latest(OIL, 1)).get(0).id();
  }

  private List<PastRepository.Net> moved() {
    return store.<List<PastRepository.Net>>read(s -> s.past().movements()).stream()
        .filter(net -> net.itemId().equals(OIL))
        .toList();
  }

  /** What came back and what was booked wrongly is netted on the day of the issue. */
  @Test
  void whatWasCorrectedActsOnTheDayOfWhatItCorrects() {
    issue("2027-01-12", "2");
    long first = latest();
    issue("2027-01-20", "1");
    long second = latest();
    book(
        "2027-03-10",
        stock ->
            Ledger.takeBack(
                stock,
                store.read(session -> session.pastMovements().undoneTogether(first)),
                Quantity.litres("0.5")));
    book(
        "2027-03-11",
        stock ->
            Ledger.correct(
                stock, store.read(session -> session.pastMovements().undoneTogether(second))));
    assertThat(moved())
        .extracting(net -> net.day() + " " + net.kind() + " " + net.quantity().exactText())
        .containsExactly("2026-12-01 RECEIPT 15", "2027-01-12 ISSUE -1.5");
    assertThat(moved().get(1).reference()).isEqualTo("WB-1");
    assertThat(moved().get(0).kind()).isEqualTo(MovementKind.RECEIPT);
    assertThat(moved().get(0).value().minor()).isPositive();
  }

  @Test
  void theFirstDayIsThatOfTheFirstMovement() {
    Optional<LocalDate> first = store.read(s -> s.past().firstDay());
    assertThat(first).isPresent();
    assertThat(store.<List<PastRepository.Net>>read(s -> s.past().movements()))
        .allMatch(net -> !net.day().isBefore(first.get()));
  }
}
