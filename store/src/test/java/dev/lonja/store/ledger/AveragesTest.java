package dev.lonja.store.ledger;

import static org.assertj.core.api.Assertions.assertThat;

import dev.lonja.core.item.Item;
import dev.lonja.core.item.ItemId;
import dev.lonja.core.quantity.UnitPrice;
import dev.lonja.store.ExampleStore;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;

/** The averages of many items are those that each has by itself. */
class AveragesTest {

  @RegisterExtension final ExampleStore store = new ExampleStore();

  @Test
  void eachItemHasItsOwn() {
    List<ItemId> ids = store.read(s -> s.items().all().stream().map(Item::id).toList());
    Map<ItemId, UnitPrice> together = store.read(s -> s.ledger().averages(ids));
    assertThat(together).isNotEmpty();
    together.forEach(
        (id, price) ->
            assertThat(store.<UnitPrice>read(s -> s.ledger().stockOf(id).average()))
                .isEqualTo(price));
    assertThat(store.<Map<ItemId, UnitPrice>>read(s -> s.ledger().averages(List.of()))).isEmpty();
  }
}
