package dev.lonja.desk.forecast;

import static org.assertj.core.api.Assertions.assertThat;

import dev.lonja.core.item.ItemId;
import dev.lonja.core.ledger.Booking;
import dev.lonja.core.ledger.Ledger;
import dev.lonja.core.part.Family;
import dev.lonja.core.quantity.Quantity;
import dev.lonja.desk.Cage;
import dev.lonja.store.forecast.KeptForecastRepository.Kept;
import dev.lonja.store.ledger.Posting;
import dev.lonja.store.request.RequestLog;
import java.math.BigDecimal;
import java.time.Instant;
import java.time.LocalDate;
import java.time.YearMonth;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;

/**
 * The example on 15 March 2027. Of its oil filter, item 8, 2.5 were expected in February; of
 * January the test keeps a forecast of 3.
 */
class AccuracyDeskTest {

  private static final ItemId FILTER = new ItemId(8);
  private static final YearMonth APRIL = YearMonth.of(2027, 4);

  @RegisterExtension private final Cage cage = new Cage();

  @BeforeEach
  void keepJanuary() {
    keep(YearMonth.of(2027, 1), "2026-12-31", "3");
  }

  private void keep(YearMonth month, String madeOn, String quantity) {
    Map<ItemId, Quantity> use =
        Map.of(FILTER, Quantity.of(Quantity.pieces(1).measure(), new BigDecimal(quantity)));
    cage.write(s -> s.keptForecasts().keep(month, new Kept(LocalDate.parse(madeOn), use)));
  }

  private void issue(String day, int pieces) {
    cage.write(
        session -> {
          String key = "accuracy-" + day;
          Instant at = Instant.parse(day + "T10:00:00Z");
          session
              .requests()
              .add(key, new RequestLog.Entry("hash", ""), "storekeeper", RequestLog.Times.at(at));
          Booking booking =
              Ledger.issue(
                  session.ledger().stockOf(FILTER),
                  Quantity.pieces(pieces),
                  Quantity.pieces(0),
                  Cage.TODAY);
          session
              .ledger()
              .append(
                  ((Booking.Booked) booking).lines(),
                  new Posting("why", "counter", key, "storekeeper", at),
                  1);
        });
  }

  private AccuracyDesk.Result result() {
    return new AccuracyDesk(cage.store(), cage.clock()).result();
  }

  /** 3 and 2.5 expected, 0 and 2 used: bias 3.5 / 2, error (3 + 0.5) / 2; March is not over. */
  @Test
  void whatWasExpectedIsHeldAgainstWhatWasUsed() {
    issue("2027-02-10", 2);
    issue("2027-03-02", 1);
    keep(YearMonth.of(2027, 3), "2027-02-28", "9");
    AccuracyDesk.Result result = result();
    assertThat(result.months())
        .containsOnlyKeys(YearMonth.of(2027, 1), YearMonth.of(2027, 2))
        .containsEntry(YearMonth.of(2027, 2), LocalDate.parse("2027-01-31"));
    AccuracyDesk.OfItem filter =
        result.items().stream()
            .filter(of -> of.item().id().equals(FILTER))
            .findFirst()
            .orElseThrow();
    assertThat(filter.accuracy().bias()).isEqualByComparingTo("1.75");
    assertThat(filter.accuracy().weightedError()).isEqualByComparingTo("1.75");
    assertThat(filter.beside()).isEqualTo(Quantity.pieces(2));
    assertThat(filter.isExplained()).isTrue();
    assertThat(result.families()).containsKey(Family.SPIN_ON_FILTER);
  }

  @Test
  void ofWhatWasNotUsedNothingIsSaid() {
    assertThat(result().items()).noneMatch(of -> of.item().id().equals(FILTER));
  }

  /** Today's forecast of April takes the place of yesterday's, and is kept once a day. */
  @Test
  void theForecastOfTheMonthThatComesIsKept() {
    keep(APRIL, "2027-03-14", "99");
    ForecastKeeper keeper = new ForecastKeeper(cage.store(), cage.clock());
    keeper.keep();
    Kept april = cage.read(s -> s.keptForecasts().all().get(APRIL));
    assertThat(april.madeOn()).isEqualTo(Cage.TODAY);
    Forecast forecast = cage.read(s -> Forecast.load(s, Cage.TODAY, 10));
    Quantity expected =
        forecast.plan().demandsOf(FILTER).stream()
            .filter(demand -> YearMonth.from(demand.date()).equals(APRIL))
            .map(demand -> demand.quantity())
            .reduce(Quantity.pieces(0), Quantity::plus);
    assertThat(Optional.ofNullable(april.use().get(FILTER)).orElse(Quantity.pieces(0)))
        .isEqualTo(expected);
    long writes = cage.store().writes();
    keeper.keep();
    assertThat(cage.store().writes()).isEqualTo(writes);
  }
}
