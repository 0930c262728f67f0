package dev.lonja.core.forecast;

import static org.assertj.core.api.Assertions.assertThat;

import dev.lonja.core.item.ItemId;
import dev.lonja.core.quantity.Money;
import dev.lonja.core.quantity.Quantity;
import dev.lonja.core.quantity.UnitPrice;
import java.math.BigDecimal;
import java.time.LocalDate;
import java.util.Currency;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.junit.jupiter.api.Test;

/** What the workshop waits for: three filters at 11.80 and two things without a price. */
class PlannedCostTest {

  private static final Currency EUR = Currency.getInstance("EUR");
  private static final ItemId FILTER = new ItemId(1);
  private static final ItemId OTHER = new ItemId(2);

  private static Demand use(ItemId item, long pieces) {
    return new CertainDemand(
        item,
        LocalDate.parse("2027-03-20"),
        Quantity.pieces(pieces),
        Optional.empty(),
        "",
        new CertainDemand.Because.OnTray("T-0001", "workshop supplies"));
  }

  @Test
  void costsAreSummedAndWhatHasNoPriceIsLeftOut() {
    PlannedCost cost =
        PlannedCost.of(
            List.of(use(FILTER, 1), use(OTHER, 2), use(FILTER, 2), use(FILTER, 0)),
            Map.of(FILTER, UnitPrice.of(new BigDecimal("11.80"), EUR)),
            Set.of());
    assertThat(cost.uses())
        .containsExactly(
            new PlannedCost.Use(
                Optional.empty(), FILTER, Quantity.pieces(3), Optional.of(new Money(3_540, EUR))),
            new PlannedCost.Use(Optional.empty(), OTHER, Quantity.pieces(2), Optional.empty()));
    assertThat(cost.cost(EUR)).isEqualTo(new Money(3_540, EUR));
    assertThat(cost.drained()).isEmpty();
  }
}
