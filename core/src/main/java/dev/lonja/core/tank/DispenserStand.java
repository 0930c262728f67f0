package dev.lonja.core.tank;

import dev.lonja.core.fluid.ProductId;
import java.util.Optional;

/**
 * What a dispenser had in it.
 *
 * @param last what it was used for last, or its cleaning; empty for a new one
 */
public record DispenserStand(Dispenser dispenser, Optional<DispenserUse> last) {

  /** The product of which a rest is in it; empty if it is new, or clean. */
  public Optional<ProductId> rest() {
    return last.flatMap(DispenserUse::product);
  }

  /** True if a product may go through it as it is: it is clean, or had the same in it. */
  public boolean takes(ProductId product) {
    return rest().filter(rest -> !rest.equals(product)).isEmpty();
  }
}
