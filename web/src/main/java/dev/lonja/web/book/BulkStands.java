package dev.lonja.web.book;

import dev.lonja.core.fluid.Product;
import dev.lonja.core.item.Item;
import dev.lonja.core.item.ItemId;
import dev.lonja.core.quantity.Volume;
import dev.lonja.store.Session;
import java.util.List;
import java.util.Optional;

/** A place for drums and larger packs holds one product: the tap on it is that product's alone. */
final class BulkStands {

  private static final Volume BULK = Volume.ofLitres("60");

  private BulkStands() {}

  /** Why an item may not be put in a bin; empty if it may. */
  static Optional<String> refusal(Session session, ItemId itemId, Item.Bin bin) {
    Optional<Product> coming =
        session.items().byId(itemId).filter(BulkStands::isBulk).flatMap(Item::product);
    return coming.flatMap(
        product ->
            bulkIn(session, bin).stream()
                .filter(there -> !there.id().equals(product.id()))
                .findFirst()
                .map(
                    there ->
                        bin.address()
                            + " holds "
                            + there.display()
                            + ", and a stand holds one product. Empty and clean it first, or put "
                            + product.display()
                            + " elsewhere."));
  }

  private static boolean isBulk(Item item) {
    return item.pack().filter(pack -> pack.compareTo(BULK) >= 0).isPresent();
  }

  private static List<Product> bulkIn(Session session, Item.Bin bin) {
    return session.ledger().itemsIn(bin.id()).stream()
        .flatMap(id -> session.items().byId(id).stream())
        .filter(BulkStands::isBulk)
        .flatMap(item -> item.product().stream())
        .toList();
  }
}
