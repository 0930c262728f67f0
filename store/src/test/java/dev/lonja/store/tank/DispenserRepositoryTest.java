package dev.lonja.store.tank;

import static org.assertj.core.api.Assertions.assertThat;

import dev.lonja.core.fluid.ProductId;
import dev.lonja.core.tank.Dispenser;
import dev.lonja.core.tank.DispenserId;
import dev.lonja.core.tank.DispenserStand;
import dev.lonja.store.ExampleStore;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;

/** A jug, and what went through it. */
class DispenserRepositoryTest {

  private static final Instant NOW = Instant.parse("2027-03-15T09:00:00Z");
  private static final ProductId OLA = new ProductId(1);

  @RegisterExtension final ExampleStore store = new ExampleStore();

  private Optional<DispenserStand> named(String name) {
    return store.read(s -> s.dispensers().named(name));
  }

  private void use(DispenserId id, Optional<ProductId> product, Instant at) {
    store.change(s -> s.dispensers().use(id, product, Optional.empty(), "storekeeper", at));
  }

  /** Cleaned, it holds nothing and takes anything again. */
  @Test
  void whatWentThroughItLastIsInIt() {
    DispenserId jug = store.write(s -> s.dispensers().add("Jug 2", Dispenser.Kind.JUG));
    assertThat(named("JUG 2").orElseThrow().rest()).isEmpty();
    use(jug, Optional.of(OLA), NOW);
    assertThat(named("Jug 2").orElseThrow().rest()).contains(OLA);
    assertThat(named("Jug 2").orElseThrow().takes(new ProductId(2))).isFalse();
    use(jug, Optional.empty(), NOW.plusSeconds(60));
    DispenserStand cleaned =
        store.<Optional<DispenserStand>>read(s -> s.dispensers().byId(jug)).orElseThrow();
    assertThat(cleaned.rest()).isEmpty();
    assertThat(cleaned.takes(new ProductId(2))).isTrue();
    assertThat(cleaned.last().orElseThrow().at()).isEqualTo(NOW.plusSeconds(60));
  }

  /** Its name is free again. */
  @Test
  void oneThatIsRetiredIsGoneForGood() {
    store.write(s -> s.dispensers().add("Jug 2", Dispenser.Kind.JUG));
    store.change(s -> s.dispensers().retire(named("Jug 2").orElseThrow().dispenser()));
    assertThat(store.<List<DispenserStand>>read(s -> s.dispensers().stands())).isEmpty();
    DispenserId funnel = store.write(s -> s.dispensers().add("Jug 2", Dispenser.Kind.FUNNEL));
    assertThat(store.<List<DispenserStand>>read(s -> s.dispensers().stands()))
        .extracting(DispenserStand::dispenser)
        .containsExactly(new Dispenser(funnel, "Jug 2", Dispenser.Kind.FUNNEL));
  }
}
