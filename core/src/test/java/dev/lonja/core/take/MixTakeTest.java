package dev.lonja.core.take;

import static org.assertj.core.api.Assertions.assertThat;

import dev.lonja.core.fleet.Capacity;
import dev.lonja.core.fleet.Compartment;
import dev.lonja.core.fleet.CompartmentId;
import dev.lonja.core.fleet.FillCondition;
import dev.lonja.core.fleet.Filling;
import dev.lonja.core.fluid.Spec;
import dev.lonja.core.grade.FluidKind;
import dev.lonja.core.item.ItemId;
import dev.lonja.core.machine.Boxes;
import dev.lonja.core.machine.Mixes;
import dev.lonja.core.machine.ShelfFacts;
import dev.lonja.core.machine.UnitNeeds;
import dev.lonja.core.machine.Ways;
import dev.lonja.core.mixture.FreezeTable;
import dev.lonja.core.mixture.Glycol;
import dev.lonja.core.mixture.Mix;
import dev.lonja.core.mixture.MixPolicy;
import dev.lonja.core.mixture.Strength;
import dev.lonja.core.pour.FillPolicy;
import dev.lonja.core.quantity.Quantity;
import dev.lonja.core.quantity.Temperature;
import dev.lonja.core.quantity.Volume;
import dev.lonja.core.service.Interval;
import dev.lonja.core.service.Severity;
import dev.lonja.core.service.Task;
import dev.lonja.core.service.TaskId;
import dev.lonja.core.service.Timing;
import java.math.BigDecimal;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.junit.jupiter.api.Test;

/** A cooling circuit of 14.5 L in a store that mixes half and half, with 2 % loss. */
class MixTakeTest {

  private static final ItemId COOLANT = new ItemId(9);
  private static final CompartmentId CIRCUIT = new CompartmentId(1);
  private static final FreezeTable ETHYLENE =
      FreezeTable.read("0 0; 0.4 -22; 0.5 -34; 0.6 -48").orElseThrow();

  private static Take take(Optional<Strength> strength) {
    Compartment circuit =
        new Compartment(
            CIRCUIT,
            "Cooling circuit",
            Compartment.Kind.COOLING,
            Spec.ofKind(FluidKind.COOLANT),
            Optional.of(COOLANT),
            Map.of(FillCondition.WITHOUT_FILTER, Capacity.ofLitres("14.5")),
            Filling.UNSAID,
            "",
            Optional.empty());
    ShelfFacts shelf =
        new ShelfFacts(
            Boxes.NONE,
            FillPolicy.DEFAULT,
            Set.of(),
            Map.of(),
            new Mixes(
                Map.of(COOLANT, strength), Map.of(Glycol.ETHYLENE, ETHYLENE), MixPolicy.USUAL));
    Task change =
        new Task(
            new TaskId(1),
            "Cooling",
            "Change coolant",
            new Task.Action.ChangeFluid(CIRCUIT),
            new Timing.ByInterval(
                Optional.empty(),
                new Interval(Optional.empty(), Optional.of(24)),
                Optional.empty(),
                Severity.NONE));
    return ServiceTake.of(
        new UnitNeeds(List.of(circuit), List.of(), shelf, Ways.USUAL), List.of(change));
  }

  private static Optional<Strength> of(String share) {
    return Optional.of(
        new Strength(new BigDecimal(share), Optional.of(Glycol.ETHYLENE), Optional.empty()));
  }

  /** 7.25 L are laid, 7.25 × 1.02 = 7.395 L counted, and 7.25 L of water come to it. */
  @Test
  void aConcentrateIsTakenForItsShare() {
    Take take = take(of("1"));
    TakeLine line = take.lines().get(0);
    assertThat(line.toLay()).isEqualTo(Quantity.litres("7.25"));
    assertThat(line.expected()).isEqualTo(Quantity.litres("7.395"));
    assertThat(((TakeLine.Reason.Fill) line.reason()).mix())
        .contains(
            new Mix(
                new BigDecimal("0.50"),
                Volume.ofLitres("7.25"),
                Optional.of(Temperature.ofCelsius(BigDecimal.valueOf(-34))),
                true));
    assertThat(take.gaps()).isEmpty();
  }

  @Test
  void whatIsReadyMixedGoesInAsItComes() {
    TakeLine line = take(of("0.5")).lines().get(0);
    assertThat(line.toLay()).isEqualTo(Quantity.litres("14.5"));
    assertThat(((TakeLine.Reason.Fill) line.reason()).mix().orElseThrow().water())
        .isEqualTo(Volume.ZERO);
  }

  /** Of 0.40 no half can be made: it is said, and all of it is laid. */
  @Test
  void whatIsTooWeakOrUnknownIsSaid() {
    Take weak = take(of("0.4"));
    assertThat(weak.lines().get(0).toLay()).isEqualTo(Quantity.litres("14.5"));
    assertThat(weak.gaps()).hasOnlyElementsOfType(Take.Gap.TooWeak.class).hasSize(1);
    Take unknown = take(Optional.empty());
    assertThat(unknown.lines().get(0).toLay()).isEqualTo(Quantity.litres("14.5"));
    assertThat(unknown.gaps()).containsExactly(new Take.Gap.StrengthUnknown("Cooling circuit"));
  }
}
