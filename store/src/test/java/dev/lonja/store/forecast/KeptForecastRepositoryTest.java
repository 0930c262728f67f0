package dev.lonja.store.forecast;

import static org.assertj.core.api.Assertions.assertThat;

import dev.lonja.core.item.ItemId;
import dev.lonja.core.quantity.Quantity;
import dev.lonja.store.ExampleStore;
import java.time.LocalDate;
import java.time.YearMonth;
import java.util.Map;
import java.util.Optional;
import java.util.SortedMap;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;

/** What was expected of a month, kept until it is over. */
class KeptForecastRepositoryTest {

  private static final YearMonth APRIL = YearMonth.of(2027, 4);
  private static final ItemId OIL = new ItemId(1);
  private static final ItemId FILTER = new ItemId(8);

  @RegisterExtension final ExampleStore store = new ExampleStore();

  private void keep(YearMonth month, String madeOn, Map<ItemId, Quantity> use) {
    store.change(
        s ->
            s.keptForecasts()
                .keep(month, new KeptForecastRepository.Kept(LocalDate.parse(madeOn), use)));
  }

  /** The later one stands in the place of the earlier; of nothing nothing is kept. */
  @Test
  void theLastForecastBeforeAMonthIsTheOneThatIsKept() {
    keep(APRIL, "2027-03-20", Map.of(OIL, Quantity.litres("40"), FILTER, Quantity.pieces(2)));
    keep(APRIL, "2027-03-31", Map.of(OIL, Quantity.litres("38.5"), FILTER, Quantity.pieces(0)));
    keep(APRIL.plusMonths(1), "2027-03-31", Map.of(FILTER, Quantity.pieces(1)));
    assertThat(store.<Optional<LocalDate>>read(s -> s.keptForecasts().madeOn(APRIL)))
        .contains(LocalDate.parse("2027-03-31"));
    SortedMap<YearMonth, KeptForecastRepository.Kept> all =
        store.read(s -> s.keptForecasts().all());
    // the example store has kept some of the months before
    assertThat(all.tailMap(APRIL)).hasSize(2);
    assertThat(all.get(APRIL).use()).isEqualTo(Map.of(OIL, Quantity.litres("38.5")));
    assertThat(all.get(APRIL.plusMonths(1)).use()).isEqualTo(Map.of(FILTER, Quantity.pieces(1)));
    assertThat(store.<Optional<LocalDate>>read(s -> s.keptForecasts().madeOn(APRIL.plusMonths(2))))
        .isEmpty();
  }
}
