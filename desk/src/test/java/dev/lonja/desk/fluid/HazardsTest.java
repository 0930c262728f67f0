package dev.lonja.desk.fluid;

import static org.assertj.core.api.Assertions.assertThat;

import dev.lonja.core.fleet.Compartment;
import dev.lonja.core.tray.WorkHazards;
import dev.lonja.desk.Cage;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

class HazardsTest {

  @RegisterExtension private final Cage cage = new Cage();

  /** Whatever may hurt somebody who drains a compartment has words in a new store. */
  @ParameterizedTest
  @EnumSource(Compartment.Kind.class)
  void everyHazardOfTheWorkIsWorded(Compartment.Kind kind) {
    List<String> codes = WorkHazards.whenDraining(kind);
    assertThat(codes).isNotEmpty().doesNotHaveDuplicates();
    assertThat(cage.<List<Hazards.Text>>read(s -> Hazards.load(s).ofCodes(codes)))
        .extracting(Hazards.Text::code)
        .isEqualTo(codes);
  }

  @Test
  void whatTheStoreDoesNotWordIsLeftOut() {
    assertThat(
            cage.<List<Hazards.Text>>read(
                s -> Hazards.load(s).ofCodes(List.of("hot-oil", "dragons"))))
        .extracting(Hazards.Text::title)
        .containsExactly("Hot oil");
  }
}
