package dev.lonja.core.cost;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import dev.lonja.core.fleet.Unit;
import dev.lonja.core.fleet.UnitId;
import dev.lonja.core.fleet.Variant;
import dev.lonja.core.quantity.Money;
import java.time.LocalDate;
import java.util.Currency;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.Test;

/** Two trucks and a van over the turn of a year. */
class YearOfCostsTest {

  private static final Currency EUR = Currency.getInstance("EUR");
  private static final Unit.UnitClass TRUCKS = new Unit.UnitClass(1, "RT", "Trucks");
  private static final Unit.UnitClass VANS = new Unit.UnitClass(2, "VN", "Vans");
  private static final Map<UnitId, Unit> UNITS =
      Map.of(
          new UnitId(1), unit(1, "RT-01", TRUCKS),
          new UnitId(2), unit(2, "RT-02", TRUCKS),
          new UnitId(3), unit(3, "VN-7", VANS));

  private static Unit unit(long id, String code, Unit.UnitClass unitClass) {
    return new Unit(
        new UnitId(id),
        code,
        code,
        unitClass,
        new Variant(1, "Corvane", "T7", "4.2"),
        LocalDate.parse("2020-01-01"),
        Optional.empty(),
        0);
  }

  private static Money eur(long cents) {
    return new Money(cents, EUR);
  }

  private static JobCost job(long unit, String day, long parts, long fluids, long kits) {
    return new JobCost(
        "T-" + day,
        Optional.of(unit).filter(id -> id > 0).map(UnitId::new),
        "Service",
        LocalDate.parse(day),
        new Spent(eur(parts), eur(fluids), eur(kits)),
        new Outside(eur(20_000), 1));
  }

  /**
   * RT-02 in January 10 + 40 and in March 5; RT-01 in March a kit of 30 of which 8 came back as
   * parts, 22; VN-7 nothing this year; rags for 2. Trucks 77, the store 79.
   */
  @Test
  void jobsAreAddedUpByUnitClassAndMonth() {
    YearOfCosts year =
        YearOfCosts.of(
            2027,
            UNITS,
            List.of(
                job(3, "2026-12-31", 100, 0, 0),
                job(2, "2027-01-04", 1_000, 4_000, 0),
                job(2, "2027-03-09", 500, 0, 0),
                job(1, "2027-03-31", -800, 0, 3_000),
                job(0, "2027-03-10", 200, 0, 0)),
            new YearOfCosts.Budgets(
                Optional.of(new Budget(2027, eur(10_000))),
                Map.of(TRUCKS.id(), new Budget(2027, eur(7_000)))),
            EUR);
    assertThat(year.classes()).hasSize(1);
    YearOfCosts.OfClass trucks = year.classes().get(0);
    assertThat(trucks.unitClass()).isEqualTo(TRUCKS);
    assertThat(trucks.units()).extracting(of -> of.unit().code()).containsExactly("RT-01", "RT-02");
    assertThat(trucks.units().get(0).sum().spent())
        .isEqualTo(new Spent(eur(-800), eur(0), eur(3_000)));
    YearOfCosts.Sum second = trucks.units().get(1).sum();
    assertThat(second.jobs()).isEqualTo(2);
    assertThat(second.months().get(0)).isEqualTo(eur(5_000));
    assertThat(second.months().get(2)).isEqualTo(eur(500));
    assertThat(second.months().get(11)).isEqualTo(eur(0));
    assertThat(trucks.sum().spent().total()).isEqualTo(eur(7_700));
    assertThat(trucks.sum().months().get(2)).isEqualTo(eur(2_700));
    assertThat(year.workshop().spent().total()).isEqualTo(eur(200));
    assertThat(year.store().spent().total()).isEqualTo(eur(7_900));
    assertThat(year.store().jobs()).isEqualTo(4);
    // four jobs of this year at 200, each with one service that nobody quoted
    assertThat(year.store().outside()).isEqualTo(new Outside(eur(80_000), 4));
    assertThat(year.budget().orElseThrow().left(eur(7_900))).isEqualTo(eur(2_100));
    assertThat(trucks.budget().orElseThrow().left(eur(7_700))).isEqualTo(eur(-700));
  }

  /** No job of the vans was in this year, but something was set aside for them. */
  @Test
  void aBudgetWithoutAnyJobIsKeptInView() {
    YearOfCosts.Budgets vans =
        new YearOfCosts.Budgets(Optional.empty(), Map.of(VANS.id(), new Budget(2027, eur(500))));
    YearOfCosts year = YearOfCosts.of(2027, UNITS, List.of(), vans, EUR);
    assertThat(year.classes()).hasSize(1);
    assertThat(year.classes().get(0).unitClass()).isEqualTo(VANS);
    assertThat(year.classes().get(0).units()).isEmpty();
    assertThat(year.classes().get(0).sum().spent().total()).isEqualTo(eur(0));
  }

  /** 31 January is the 31st of 365 days: 3,650 × 31 / 365 = 310; 2028 has 366 days. */
  @Test
  void aBudgetIsSpreadOverTheDaysOfItsYear() {
    Budget budget = new Budget(2027, eur(365_000));
    assertThat(budget.upTo(LocalDate.parse("2027-01-31"))).isEqualTo(eur(31_000));
    assertThat(budget.upTo(LocalDate.parse("2026-12-31"))).isEqualTo(eur(0));
    assertThat(budget.upTo(LocalDate.parse("2028-06-01"))).isEqualTo(eur(365_000));
    assertThat(new Budget(2028, eur(366)).upTo(LocalDate.parse("2028-01-02"))).isEqualTo(eur(2));
    assertThatThrownBy(() -> new Budget(2027, eur(0)))
        .hasMessage("amount is 0.00; allowed is more");
  }

  @Test
  void aJobForNoUnitOnFileIsBrokenData() {
    assertThatThrownBy(
            () ->
                YearOfCosts.of(
                    2027,
                    UNITS,
                    List.of(job(9, "2027-01-01", 1, 0, 0)),
                    YearOfCosts.Budgets.NONE,
                    EUR))
        .hasMessage("units has no 9");
  }
}
