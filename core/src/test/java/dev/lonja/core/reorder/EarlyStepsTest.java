package dev.lonja.core.reorder;

import static org.assertj.core.api.Assertions.assertThat;

import dev.lonja.core.forecast.CertainDemand;
import dev.lonja.core.forecast.Demand;
import dev.lonja.core.item.Criticality;
import dev.lonja.core.item.ItemId;
import dev.lonja.core.quantity.Quantity;
import dev.lonja.core.quantity.UnitPrice;
import dev.lonja.core.supplier.Deliveries;
import dev.lonja.core.supplier.Prices;
import java.math.BigDecimal;
import java.time.LocalDate;
import java.util.Currency;
import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;

/**
 * Five are there and one is used every tenth day from 25 March 2027 on, ten times, to 23 June. The
 * level is 3, packs hold two, and four are the least that can be ordered.
 */
class EarlyStepsTest {

  private static final LocalDate TODAY = LocalDate.parse("2027-03-15");
  private static final List<Demand> DEMANDS =
      IntStream.rangeClosed(1, 10)
          .<Demand>mapToObj(
              i ->
                  new CertainDemand(
                      new ItemId(1),
                      TODAY.plusDays(10L * i),
                      Quantity.pieces(1),
                      Optional.empty(),
                      "",
                      new CertainDemand.Because.OnTray("T-0001", "service")))
          .toList();

  private static List<EarlySteps> of(boolean isBegun, Long most, Integer shelfDays) {
    OrderTerms terms =
        new OrderTerms(
            new LeadTime(7, 0, 0, false),
            Deliveries.ANY_DAY,
            Criticality.NORMAL,
            Prices.of(UnitPrice.of(BigDecimal.TEN, Currency.getInstance("EUR"))),
            Quantity.pieces(2),
            Quantity.pieces(3),
            new OrderTerms.Room(
                Quantity.pieces(0),
                Optional.ofNullable(most).map(Quantity::pieces),
                Optional.ofNullable(shelfDays)));
    return EarlySteps.of(
        Quantity.pieces(5), isBegun, terms, Quantity.pieces(3), TODAY, TODAY.plusDays(7), DEMANDS);
  }

  private static EarlySteps step(long pieces, int days) {
    return new EarlySteps(Quantity.pieces(pieces), days);
  }

  /**
   * Five fall below three with the third use, in 30 days; four more, which are the least in packs,
   * make nine, below three with the seventh, in 70; two more eleven, with the ninth, in 90; of
   * thirteen ten are used within the plan, which leaves three: not below.
   */
  @Test
  void packByPackUntilItWouldBeOrderedAnyway() {
    assertThat(of(false, null, null)).containsExactly(step(4, 30), step(2, 70), step(2, 90));
  }

  @Test
  void whatIsBegunIsRaisedByPacks() {
    assertThat(of(true, null, null))
        .containsExactly(step(2, 30), step(2, 50), step(2, 70), step(2, 90));
  }

  /** The bins hold eleven: thirteen are too many. */
  @Test
  void asFarAsThereIsRoom() {
    assertThat(of(false, 11L, null)).containsExactly(step(4, 30), step(2, 70));
    assertThat(of(false, 8L, null)).isEmpty();
  }

  /** It keeps until the 92nd day, by which nine are used: not eleven. */
  @Test
  void asFarAsItKeeps() {
    assertThat(of(false, null, 85)).containsExactly(step(4, 30));
  }
}
