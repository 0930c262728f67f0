package dev.lonja.core.choice;

import static dev.lonja.core.forecast.Demands.fill;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.entry;

import dev.lonja.core.choice.ChangeOverPlan.Change;
import dev.lonja.core.fleet.CompartmentId;
import dev.lonja.core.fluid.ProductId;
import dev.lonja.core.forecast.ServiceDemand;
import dev.lonja.core.quantity.Quantity;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.junit.jupiter.api.Test;

/** Three sumps change from product 1 to product 2; the old stock is used up first. */
class ChangeOverPlanTest {

  private static final LocalDate TODAY = LocalDate.parse("2027-03-15");
  private static final ProductId OLD = new ProductId(1);
  private static final ProductId NEW = new ProductId(2);
  private static final List<ServiceDemand> YEAR =
      List.of(
          fill(1, "2027-03-20", "6"),
          fill(2, "2027-04-01", "6"),
          fill(9, "2027-04-05", "6"),
          fill(1, "2027-06-20", "6"));

  private static CompartmentId sump(long id) {
    return new CompartmentId(id);
  }

  private static ChangeOverPlan plan(String litres, ProductId... kept) {
    return ChangeOverPlan.of(
        List.of(
            new Change(sump(1), OLD, NEW),
            new Change(sump(2), OLD, NEW),
            new Change(sump(3), OLD, NEW)),
        Map.of(OLD, Quantity.litres(litres)),
        YEAR,
        Set.of(kept),
        TODAY);
  }

  /**
   * 10 L: 6 go into sump 1 on 20 March, 4 are left; sump 2 wants 6 on 1 April and changes over,
   * sump 1 in June likewise. Sump 9 does not change, sump 3 has no fill and changes at once.
   */
  @Test
  void changesOverWhereTheOldStockNoLongerCoversAFill() {
    ChangeOverPlan plan = plan("10");
    assertThat(plan.days())
        .containsExactly(
            entry(sump(1), LocalDate.parse("2027-06-20")),
            entry(sump(2), LocalDate.parse("2027-04-01")),
            entry(sump(3), TODAY));
    assertThat(plan.rests()).containsExactly(entry(OLD, Quantity.litres("4")));
  }

  /** 12 L cover both fills to the drop; June's finds nothing left. */
  @Test
  void whatIsUsedUpLeavesNoRest() {
    ChangeOverPlan plan = plan("12");
    assertThat(plan.days())
        .containsEntry(sump(1), LocalDate.parse("2027-06-20"))
        .containsEntry(sump(2), LocalDate.parse("2027-04-02"));
    assertThat(plan.rests()).isEmpty();
  }

  /** 20 L last all year: each changes on the day after its last fill, and 2 L stay. */
  @Test
  void stockForAllTheYearIsUsedToTheLastFill() {
    ChangeOverPlan plan = plan("20");
    assertThat(plan.days())
        .containsEntry(sump(1), LocalDate.parse("2027-06-21"))
        .containsEntry(sump(2), LocalDate.parse("2027-04-02"));
    assertThat(plan.rests()).containsExactly(entry(OLD, Quantity.litres("2")));
  }

  @Test
  void withoutOldStockTheFirstFillIsOfTheNew() {
    assertThat(plan("0").days())
        .containsEntry(sump(1), LocalDate.parse("2027-03-20"))
        .containsEntry(sump(2), LocalDate.parse("2027-04-01"));
  }

  /** What stays in use elsewhere is not left over. */
  @Test
  void ofAProductThatIsKeptNothingIsLeftOver() {
    assertThat(plan("10", OLD).rests()).isEmpty();
  }
}
