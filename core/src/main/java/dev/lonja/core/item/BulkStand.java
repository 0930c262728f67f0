package dev.lonja.core.item;

import dev.lonja.core.fluid.Product;
import dev.lonja.core.quantity.Volume;
import java.util.Collection;
import java.util.Optional;

/**
 * A place for drums and larger packs holds one product: the tap on it is that product's alone, and
 * what comes from two through one tap is neither. Packs below 60 L are closed when they are stored
 * and may lie beside each other.
 */
public final class BulkStand {

  /** From this pack on a fluid is drawn where it stands. */
  public static final Volume LEAST = Volume.ofLitres("60");

  private BulkStand() {}

  /**
   * The product that keeps {@code coming} from a place; empty if it may go there.
   *
   * @param there what lies in the place
   */
  public static Optional<Product> occupant(Item coming, Collection<Item> there) {
    return coming
        .product()
        .filter(product -> isBulk(coming))
        .flatMap(
            product ->
                there.stream()
                    .filter(BulkStand::isBulk)
                    .flatMap(item -> item.product().stream())
                    .filter(other -> !other.id().equals(product.id()))
                    .findFirst());
  }

  /** True of a fluid that is drawn where it stands. */
  public static boolean isBulk(Item item) {
    return item.litres().filter(pack -> pack.compareTo(LEAST) >= 0).isPresent();
  }
}
