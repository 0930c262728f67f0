package dev.lonja.desk.item;

import static org.assertj.core.api.Assertions.assertThat;

import dev.lonja.core.item.ItemId;
import dev.lonja.core.quantity.Measure;
import dev.lonja.desk.Cage;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** Items as people name them; item 2 is Maretta OL 1540-20, a can. */
class ItemNamingTest {

  @RegisterExtension private final Cage cage = new Cage();

  private ItemNaming.Answer named(String name, Measure measure) {
    return cage.read(session -> ItemNaming.named(session, name, measure));
  }

  @ParameterizedTest
  @ValueSource(strings = {"OL 1540-20", " ol1540/20 ", "Maretta OL 1540-20"})
  void aNumberLeadsToItsItemWithOrWithoutMake(String name) {
    assertThat(named(name, Measure.LITRES))
        .isInstanceOfSatisfying(
            ItemNaming.Found.class,
            found -> assertThat(found.item().id()).isEqualTo(new ItemId(2)));
  }

  /** Where litres are asked for, a filter does not answer. */
  @Test
  void whatIsCountedOtherwiseIsNotMeant() {
    assertThat(named("OL 1540-20", Measure.PIECES))
        .isEqualTo(new ItemNaming.Unknown("OL 1540-20", Measure.PIECES));
    assertThat(named(" - ", Measure.PIECES)).isEqualTo(new ItemNaming.Unknown("-", Measure.PIECES));
  }
}
