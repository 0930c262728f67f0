package dev.lonja.core.supplier;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import dev.lonja.core.quantity.Money;
import java.time.DayOfWeek;
import java.time.LocalDate;
import java.util.Currency;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.junit.jupiter.api.Test;

/** 15 March 2027 is a Monday. */
class DeliveriesTest {

  private static final Deliveries FERRY =
      new Deliveries(
          Set.of(DayOfWeek.MONDAY, DayOfWeek.THURSDAY),
          Optional.of(DayOfWeek.WEDNESDAY),
          List.of(new Deliveries.Closed(day("03-29"), day("04-05"))));

  private static LocalDate day(String monthAndDay) {
    return LocalDate.parse("2027-" + monthAndDay);
  }

  @Test
  void anOrderAfterTheCutOffCountsFromMonday() {
    assertThat(FERRY.counted(day("03-17"))).isEqualTo(day("03-17"));
    assertThat(FERRY.counted(day("03-18"))).isEqualTo(day("03-22"));
    assertThat(FERRY.counted(day("03-21"))).isEqualTo(day("03-22"));
  }

  /** Closed from Monday 29 March to Monday 5 April; Tuesday takes orders again. */
  @Test
  void aClosedDayTakesNoOrders() {
    assertThat(FERRY.counted(day("03-25"))).isEqualTo(day("04-06"));
    assertThat(FERRY.counted(day("03-30"))).isEqualTo(day("04-06"));
  }

  @Test
  void somethingArrivesOnTheFirstArrivalDayAtOrAfterTheLeadTime() {
    // Monday + 3 = Thursday; Monday + 4 = Friday, so Monday
    assertThat(FERRY.arrival(day("03-15"), 3)).isEqualTo(day("03-18"));
    assertThat(FERRY.arrival(day("03-15"), 4)).isEqualTo(day("03-22"));
    // Monday 29 March and Thursday 1 April, and Monday 5 April are closed
    assertThat(FERRY.arrival(day("03-16"), 10)).isEqualTo(day("04-08"));
    assertThat(Deliveries.ANY_DAY.arrival(day("03-20"), 0)).isEqualTo(day("03-20"));
  }

  @Test
  void theNextCutOffIsThatOfTheWeekThatTakesOrders() {
    assertThat(FERRY.nextCutOff(day("03-15"))).contains(day("03-17"));
    assertThat(FERRY.nextCutOff(day("03-18"))).contains(day("03-24"));
    assertThat(Deliveries.ANY_DAY.nextCutOff(day("03-18"))).isEmpty();
  }

  @Test
  void closedDaysHaveAnEnd() {
    assertThatThrownBy(() -> new Deliveries.Closed(day("03-29"), day("03-28")))
        .hasMessageContaining("2027-03-28");
  }

  @Test
  void freightIsFreeFromAWorthOn() {
    Currency euro = Currency.getInstance("EUR");
    Freight freight = new Freight(new Money(2_400, euro), Optional.of(new Money(40_000, euro)));
    assertThat(freight.of(new Money(39_999, euro))).isEqualTo(new Money(2_400, euro));
    assertThat(freight.of(new Money(40_000, euro))).isEqualTo(Money.zero(euro));
    assertThat(freight.of(Money.zero(euro))).isEqualTo(Money.zero(euro));
    assertThat(new Freight(new Money(2_400, euro), Optional.empty()).of(new Money(90_000, euro)))
        .isEqualTo(new Money(2_400, euro));
  }
}
