package dev.lonja.store.supplier;

import static org.assertj.core.api.Assertions.assertThat;

import dev.lonja.core.item.ItemId;
import dev.lonja.core.quantity.Money;
import dev.lonja.core.quantity.Quantity;
import dev.lonja.core.quantity.UnitPrice;
import dev.lonja.core.supplier.Deliveries;
import dev.lonja.core.supplier.Freight;
import dev.lonja.core.supplier.Prices;
import dev.lonja.core.supplier.Supplier;
import dev.lonja.core.supplier.SupplierId;
import dev.lonja.core.supplier.Supply;
import dev.lonja.store.ExampleStore;
import java.math.BigDecimal;
import java.time.DayOfWeek;
import java.time.LocalDate;
import java.util.Currency;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;

/** Suppliers and what they sell, on a real file with the example store; item 8 is a filter. */
class SuppliersTest {

  private static final ItemId FILTER = new ItemId(8);
  private static final ItemId OTHER = new ItemId(9);
  private static final Currency EUR = Currency.getInstance("EUR");

  @RegisterExtension final ExampleStore store = new ExampleStore();

  private static UnitPrice price(String perUnit) {
    return UnitPrice.of(new BigDecimal(perUnit), EUR);
  }

  private Supplier nova() {
    SupplierId id = store.write(s -> s.suppliers().add("Nova Chandlery", 4));
    return new Supplier(id, "Nova Chandlery", 4, Deliveries.ANY_DAY, Optional.empty());
  }

  /** Two offers at 18.90 and 17.25: the lower is named; an item without an offer is absent. */
  @Test
  void theLowestPriceOfEachItemIsNamed() {
    Supply known = store.<List<Supply>>read(s -> s.supplies().of(FILTER)).get(0);
    assertThat(known.price()).isEqualTo(price("18.90"));
    assertThat(known.orderNumber()).isEqualTo("22-1010");
    Supplier nova = nova();
    Supply cheaper =
        new Supply(
            nova,
            "NC-8",
            new Prices(
                price("17.25"),
                List.of(
                    new Prices.Break(Quantity.pieces(12), price("16")),
                    new Prices.Break(Quantity.pieces(48), price("15.5")))),
            Quantity.pieces(1),
            Quantity.pieces(6));
    store.write(
        s -> {
          s.supplies().set(FILTER, List.of(known, cheaper));
          return true;
        });
    assertThat(store.<List<Supply>>read(s -> s.supplies().of(FILTER)))
        .containsExactly(cheaper, known);
    assertThat(store.<Map<ItemId, List<Supply>>>read(s -> s.supplies().all()).get(FILTER))
        .containsExactly(cheaper, known);
    List<ItemId> asked = List.of(FILTER, OTHER, new ItemId(10));
    Map<ItemId, UnitPrice> lowest = store.read(s -> s.supplies().lowestPrices(asked));
    assertThat(lowest).isEqualTo(Map.of(FILTER, price("17.25"), OTHER, price("14.10")));
    assertThat(store.<List<Supplier>>read(s -> s.suppliers().all())).contains(nova);
  }

  @Test
  void termsAreKeptAndALateWriterIsTold() {
    Supplier nova = nova();
    Supplier ferry =
        new Supplier(
            nova.id(),
            "Nova Chandlery",
            6,
            new Deliveries(
                Set.of(DayOfWeek.THURSDAY, DayOfWeek.MONDAY),
                Optional.of(DayOfWeek.WEDNESDAY),
                List.of(
                    new Deliveries.Closed(
                        LocalDate.parse("2027-08-02"), LocalDate.parse("2027-08-20")))),
            Optional.of(new Freight(new Money(2_400, EUR), Optional.of(new Money(40_000, EUR)))));
    assertThat(store.<Boolean>write(s -> s.suppliers().update(ferry, 0))).isTrue();
    assertThat(store.<Boolean>write(s -> s.suppliers().update(nova, 0))).isFalse();
    SupplierRepository.Kept kept =
        store
            .<Optional<SupplierRepository.Kept>>read(s -> s.suppliers().byId(nova.id()))
            .orElseThrow();
    assertThat(kept).isEqualTo(new SupplierRepository.Kept(ferry, 1));
  }
}
