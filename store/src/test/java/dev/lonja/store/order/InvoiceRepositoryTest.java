package dev.lonja.store.order;

import static org.assertj.core.api.Assertions.assertThat;

import dev.lonja.core.order.Invoice;
import dev.lonja.core.order.InvoiceId;
import dev.lonja.core.order.OrderId;
import dev.lonja.core.quantity.Money;
import dev.lonja.core.supplier.SupplierId;
import dev.lonja.store.ExampleStore;
import java.time.Instant;
import java.time.LocalDate;
import java.util.Currency;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;

/** An invoice over filters that came, freight on it. */
class InvoiceRepositoryTest {

  private static final LocalDate TODAY = TenFilters.TODAY;

  @RegisterExtension final ExampleStore store = new ExampleStore();
  private OrderId order;

  @BeforeEach
  void tenFilters() {
    order = TenFilters.sent(store);
  }

  private static final Instant NOW = Instant.parse("2027-03-25T09:00:00Z");

  private static Money eur(long minor) {
    return new Money(minor, Currency.getInstance("EUR"));
  }

  private InvoiceId add(String number) {
    return store.write(
        s ->
            s.invoices()
                .add(
                    order,
                    new Invoice.Facts(
                        number,
                        TODAY,
                        eur(900),
                        List.of(new Invoice.Line(1, Optional.of(eur(18_900)), eur(900)))),
                    "buyer",
                    NOW));
  }

  private Optional<OrderId> orderOf(String number) {
    SupplierId supplier = store.read(s -> s.orders().byId(order).orElseThrow().supplier().id());
    return store.read(s -> s.invoices().orderOf(supplier, number));
  }

  /** A number counts once for a supplier, however it is written, until it is withdrawn. */
  @Test
  void anInvoiceIsKeptWithItsLinesAndMayBeWithdrawn() {
    InvoiceId id = add("R-2027/41");
    assertThat(orderOf("r-2027/41")).contains(order);
    assertThat(orderOf("R-2027/42")).isEmpty();
    Invoice kept = store.<List<Invoice>>read(s -> s.invoices().of(order)).get(0);
    assertThat(kept.id()).isEqualTo(id);
    assertThat(kept.facts().total()).isEqualTo(eur(19_800));
    assertThat(kept.facts().lines().get(0).difference()).isEqualTo(eur(900));
    assertThat(kept.withdrawnWhy()).isEmpty();
    store.change(s -> s.invoices().withdraw(id, "entered twice"));
    assertThat(orderOf("R-2027/41")).isEmpty();
    assertThat(store.<List<Invoice>>read(s -> s.invoices().of(order)).get(0).withdrawnWhy())
        .contains("entered twice");
  }

  @Test
  void ofAnOrderOfWhichNothingCameNothingIsInvoiced() {
    assertThat(store.<List<InvoiceRepository.Delivered>>read(s -> s.invoices().deliveries(order)))
        .isEmpty();
  }
}
