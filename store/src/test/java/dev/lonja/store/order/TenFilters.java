package dev.lonja.store.order;

import dev.lonja.core.item.ItemId;
import dev.lonja.core.order.OrderId;
import dev.lonja.core.quantity.Quantity;
import dev.lonja.core.supplier.Supply;
import dev.lonja.store.ExampleStore;
import java.time.LocalDate;

/** An order of ten filters, item 8, sent to their only supplier on 15 March 2027. */
final class TenFilters {

  static final LocalDate TODAY = LocalDate.parse("2027-03-15");

  private static final ItemId FILTER = new ItemId(8);

  private TenFilters() {}

  static OrderId sent(ExampleStore store) {
    return store.write(
        session -> {
          Supply supply = session.supplies().of(FILTER).get(0);
          OrderId made = session.orders().add(supply.supplier().id(), TODAY);
          session.orders().addLine(made, FILTER, supply, Quantity.pieces(10));
          session.orders().send(made, TODAY, TODAY.plusDays(9));
          return made;
        });
  }
}
