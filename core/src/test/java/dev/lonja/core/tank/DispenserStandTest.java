package dev.lonja.core.tank;

import static org.assertj.core.api.Assertions.assertThat;

import dev.lonja.core.fluid.ProductId;
import java.time.Instant;
import java.util.Optional;
import org.junit.jupiter.api.Test;

class DispenserStandTest {

  private static final ProductId ENGINE = new ProductId(1);
  private static final ProductId HYDRAULIC = new ProductId(2);

  private static DispenserStand jug(Optional<DispenserUse> last) {
    return new DispenserStand(new Dispenser(new DispenserId(1), "Jug 1", Dispenser.Kind.JUG), last);
  }

  private static Optional<DispenserUse> use(Optional<ProductId> product) {
    return Optional.of(
        new DispenserUse(
            product, "storekeeper", Instant.parse("2027-03-12T09:00:00Z"), Optional.empty()));
  }

  @Test
  void aNewOneTakesAnything() {
    assertThat(jug(Optional.empty()).takes(ENGINE)).isTrue();
    assertThat(jug(Optional.empty()).rest()).isEmpty();
  }

  /** Engine oil was in it: more of that, and nothing else before it is cleaned. */
  @Test
  void itKeepsToOneProductUntilItIsCleaned() {
    DispenserStand used = jug(use(Optional.of(ENGINE)));
    assertThat(used.takes(ENGINE)).isTrue();
    assertThat(used.takes(HYDRAULIC)).isFalse();
    assertThat(jug(use(Optional.empty())).takes(HYDRAULIC)).isTrue();
  }
}
