package dev.lonja.desk.replay;

import static org.assertj.core.api.Assertions.assertThat;

import dev.lonja.core.forecast.Demand;
import dev.lonja.core.forecast.Subject;
import dev.lonja.core.forecast.UnplannedDemand;
import dev.lonja.core.forecast.UnplannedUse;
import dev.lonja.core.item.Criticality;
import dev.lonja.core.item.Item;
import dev.lonja.core.item.ItemId;
import dev.lonja.core.place.Place;
import dev.lonja.core.quantity.Money;
import dev.lonja.core.quantity.Quantity;
import dev.lonja.core.quantity.UnitPrice;
import dev.lonja.core.reorder.LeadTime;
import dev.lonja.core.reorder.OrderTerms;
import dev.lonja.core.reorder.Reordering;
import dev.lonja.core.replay.Ordering;
import dev.lonja.core.supplier.Deliveries;
import dev.lonja.core.supplier.Freight;
import dev.lonja.core.supplier.Prices;
import dev.lonja.core.supplier.Supplier;
import dev.lonja.core.supplier.SupplierId;
import dev.lonja.core.supplier.Supply;
import dev.lonja.desk.Cage;
import dev.lonja.desk.reorder.Proposal;
import dev.lonja.store.order.OrderRepository.Came;
import dev.lonja.store.order.OrderRepository.Source;
import java.math.BigDecimal;
import java.time.LocalDate;
import java.util.Currency;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;

/**
 * Two belts of one supplier on a Monday: two of the alternator's are due, 60.00 in all; of the
 * pump's one is there, and the next service, in 14 days, takes it.
 */
class MondayOrdersTest {

  private static final Currency EUR = Currency.getInstance("EUR");
  private static final ItemId ALTERNATOR = new ItemId(33);
  private static final ItemId PUMP = new ItemId(34);
  private static final Freight TWELVE =
      new Freight(new Money(1_200, EUR), Optional.of(new Money(8_000, EUR)));
  private static final Quantity ONE = Quantity.pieces(1);

  @RegisterExtension private final Cage cage = new Cage();

  private static Supplier isla(Optional<Freight> freight) {
    return new Supplier(new SupplierId(2), "Isla", 7, Deliveries.ANY_DAY, freight);
  }

  private static UnitPrice price(String each) {
    return UnitPrice.of(new BigDecimal(each), EUR);
  }

  private Proposal proposal(
      Supplier supplier, ItemId id, String each, Quantity there, Quantity amount) {
    Item item = cage.<Optional<Item>>read(session -> session.items().byId(id)).orElseThrow();
    Supply supply = new Supply(supplier, "", new Prices(price(each), List.of()), ONE, ONE);
    UnplannedUse use = new UnplannedUse(id, Place.MAIN, List.of(ONE), 1);
    List<Demand> demands = List.of(new UnplannedDemand(use, Cage.TODAY.plusDays(14), ONE));
    Subject subject =
        Subject.all(List.of(item), new Subject.There(Map.of(), Map.of()), demands, Cage.TODAY)
            .get(0)
            .having(there, List.of());
    OrderTerms terms =
        new OrderTerms(
            LeadTime.of(List.of(), 7),
            Deliveries.ANY_DAY,
            Criticality.NORMAL,
            supply.prices(),
            ONE,
            ONE,
            new OrderTerms.Room(Quantity.pieces(0), Optional.empty(), Optional.empty()),
            56);
    boolean isDue = amount.isPositive();
    Reordering reordering =
        new Reordering(
            ONE,
            isDue,
            new Reordering.Timing(
                Optional.of(Cage.TODAY.plusDays(isDue ? 0 : 7)),
                false,
                Quantity.pieces(0),
                Cage.TODAY.plusDays(7)),
            amount,
            amount,
            Optional.empty());
    return new Proposal(subject, item, supply, terms, reordering, supply.costOf(amount));
  }

  private Map<ItemId, Ordering.Placed> placed(Optional<Freight> freight, List<Came> came) {
    Supplier supplier = isla(freight);
    MondayOrders.Placed placed = orders(came).of(List.of(pump(supplier), alternator(supplier)));
    // none is asked, or it is free
    assertThat(placed.freight()).isEqualTo(new Money(0, EUR));
    return placed.lines();
  }

  private static MondayOrders orders(List<Came> came) {
    return new MondayOrders(
        Cage.TODAY, EUR, Map.of(ALTERNATOR, price("30.00"), PUMP, price("20.00")), came);
  }

  private Proposal pump(Supplier supplier) {
    return proposal(supplier, PUMP, "25.00", ONE, Quantity.pieces(0));
  }

  private Proposal alternator(Supplier supplier) {
    return proposal(supplier, ALTERNATOR, "30.00", Quantity.pieces(0), Quantity.pieces(2));
  }

  /** 60.00 are less than 80.00. */
  @Test
  void whatNothingMakesFreeIsPaid() {
    assertThat(orders(List.of()).of(List.of(alternator(isla(Optional.of(TWELVE))))).freight())
        .isEqualTo(new Money(1_200, EUR));
  }

  /** Elsewhere the pump's belt costs 20.00, but it is not due. */
  @Test
  void onlyWhatIsDueIsOrdered() {
    LocalDate quoted = Cage.TODAY.plusDays(7);
    assertThat(placed(Optional.empty(), List.of()))
        .isEqualTo(
            Map.of(
                ALTERNATOR,
                new Ordering.Placed(
                    Quantity.pieces(2), quoted, new Money(6_000, EUR), new Money(0, EUR))));
  }

  /**
   * From 80.00 on the freight of 12.00 is free: the pump's belt brings the order to 85.00, and to
   * keep it for 14 days costs 25.00 x 18 % x 14 / 365 = 0.17. It costs 5.00 more than elsewhere.
   * The next real order took nine days, and so do both.
   */
  @Test
  void whatMakesTheFreightFreeComesAlong() {
    Came nineDays =
        new Came(
            new Source(new SupplierId(2), ALTERNATOR),
            Cage.TODAY.plusDays(2),
            Cage.TODAY.plusDays(11));
    LocalDate arrives = Cage.TODAY.plusDays(9);
    assertThat(placed(Optional.of(TWELVE), List.of(nineDays)))
        .isEqualTo(
            Map.of(
                ALTERNATOR,
                new Ordering.Placed(
                    Quantity.pieces(2), arrives, new Money(6_000, EUR), new Money(0, EUR)),
                PUMP,
                new Ordering.Placed(ONE, arrives, new Money(2_500, EUR), new Money(500, EUR))));
  }
}
