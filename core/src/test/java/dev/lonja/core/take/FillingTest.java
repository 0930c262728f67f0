package dev.lonja.core.take;

import static dev.lonja.core.service.Services.FILTER_POSITION;
import static dev.lonja.core.service.Services.SUMP;
import static dev.lonja.core.service.Services.filter;
import static dev.lonja.core.service.Services.sump;
import static dev.lonja.core.service.Services.task;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import dev.lonja.core.fleet.Capacity;
import dev.lonja.core.fleet.Compartment;
import dev.lonja.core.fleet.FillCondition;
import dev.lonja.core.fleet.Filling;
import dev.lonja.core.fleet.LevelMethod;
import dev.lonja.core.fluid.Product;
import dev.lonja.core.fluid.ProductId;
import dev.lonja.core.fluid.Spec;
import dev.lonja.core.grade.FluidKind;
import dev.lonja.core.machine.UnitNeeds;
import dev.lonja.core.policy.Question;
import dev.lonja.core.pour.FirstPour;
import dev.lonja.core.pour.HotGrowth;
import dev.lonja.core.quantity.Quantity;
import dev.lonja.core.quantity.Volume;
import dev.lonja.core.service.Task;
import dev.lonja.core.service.TaskId;
import java.math.BigDecimal;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** How a compartment is filled, where something is said of it (rules §6). */
class FillingTest {

  private static final Task DRAIN =
      task(new TaskId(1), new Task.Action.ChangeFluid(SUMP), "250", null);
  private static final Task NEW_FILTER =
      task(new TaskId(2), new Task.Action.Replace(FILTER_POSITION), "250", null);
  private static final LevelMethod STICK =
      new LevelMethod.Dipstick(
          LevelMethod.Warmth.HOT, LevelMethod.Seat.SCREWED_IN, LevelMethod.Stance.UPRIGHT);

  private static Compartment sumpOf(Capacity capacity, Filling filling) {
    return sump(Map.of(FillCondition.WITH_FILTER, capacity), filling);
  }

  private static TakeLine take(Compartment compartment) {
    UnitNeeds needs = new UnitNeeds(List.of(compartment), List.of(filter(Optional.empty())));
    return ServiceTake.of(needs, List.of(DRAIN, NEW_FILTER)).lines().get(0);
  }

  private static FirstPour pour(Compartment compartment) {
    return ((TakeLine.Reason.Fill) take(compartment).reason()).firstPour();
  }

  private static FirstPour litres(String pour, String reserve) {
    return new FirstPour(Volume.ofLitres(pour), Volume.ofLitres(reserve));
  }

  private static Capacity range(String low, String high) {
    return new Capacity(Volume.ofLitres(low), Volume.ofLitres(high));
  }

  /**
   * 6.00 to 6.65 L: the forecast counts the middle, 6.325 L, and 2 % more, 6.4515 L; the tray
   * brings the high end and 2 % more, 6.783 L. 6.00 L goes in first, no hold-back, and 0.783 L is
   * the reserve. Of 5.97 L a jug of 0.10 L shows 5.90.
   */
  @Test
  void aRangeIsPouredFromItsLowEnd() {
    TakeLine line = take(sumpOf(range("6", "6.65"), Filling.UNSAID));
    assertThat(line.expected()).isEqualTo(Quantity.litres("6.4515"));
    assertThat(line.toLay()).isEqualTo(Quantity.litres("6.783"));
    assertThat(pour(sumpOf(range("6", "6.65"), Filling.UNSAID))).isEqualTo(litres("6", "0.783"));
    assertThat(pour(sumpOf(range("5.97", "6.5"), Filling.UNSAID))).isEqualTo(litres("5.9", "0.73"));
  }

  /** Where it runs out when it is full, the whole of it is at hand and poured until then. */
  @Test
  void whatRunsOutIsPouredUntilItIsFull() {
    assertThat(pour(sumpOf(Capacity.ofLitres("0.42"), Filling.by(new LevelMethod.Overflow()))))
        .isEqualTo(litres("0.42", "0"));
    assertThat(pour(sumpOf(range("0.40", "0.50"), Filling.by(new LevelMethod.Overflow()))))
        .isEqualTo(litres("0.51", "0"));
  }

  /** 0.42 L: by stick 0.105 is held back and 0.31 poured; measured, all of it goes in. */
  @Test
  void anExactAmountIsNotHeldBack() {
    assertThat(pour(sumpOf(Capacity.ofLitres("0.42"), Filling.by(STICK))))
        .isEqualTo(litres("0.31", "0.11"));
    assertThat(pour(sumpOf(Capacity.ofLitres("0.42"), Filling.by(new LevelMethod.Measured()))))
        .isEqualTo(litres("0.42", "0"));
    assertThat(
            take(sumpOf(Capacity.ofLitres("0.42"), Filling.by(new LevelMethod.Measured()))).ways())
        .extracting(way -> way.choice().school().question())
        .doesNotContain(Question.FIRST_POUR);
  }

  /**
   * Its own share of 6.40 L: none → 6.40; 5 % → 6.08, 6.00 in the jug; 40 % → 3.84, 3.80, beyond
   * the quarter that bounds the store's; 1.00 L at 2 % → 0.98, 0.90, without the least of 0.30 L.
   */
  @ParameterizedTest
  @CsvSource({"6.4, 0, 6.4, 0", "6.4, 0.05, 6, 0.4", "6.4, 0.4, 3.8, 2.6", "1, 0.02, 0.9, 0.1"})
  void aCompartmentMayHoldBackItsOwnShare(
      String capacity, String share, String first, String reserve) {
    Filling filling =
        new Filling(
            Optional.of(STICK),
            Optional.of(new BigDecimal(share)),
            Optional.empty(),
            Optional.empty());
    assertThat(pour(sumpOf(Capacity.ofLitres(capacity), filling)))
        .isEqualTo(litres(first, reserve));
  }

  /** A brake circuit is bled: nothing is held back, whatever is said of its level. */
  @Test
  void nothingIsHeldBackOfABrakeCircuit() {
    Compartment sump = sumpOf(Capacity.ofLitres("1"), Filling.UNSAID);
    Compartment brakes =
        new Compartment(
            sump.id(),
            "Brakes",
            Compartment.Kind.BRAKE_CIRCUIT,
            Spec.ofKind(FluidKind.BRAKE_FLUID),
            sump.itemId(),
            sump.capacities(),
            sump.filling(),
            "",
            Optional.empty());
    assertThat(pour(brakes)).isEqualTo(litres("1", "0"));
  }

  @Test
  void whatContradictsItselfDoesNotAgree() {
    Filling heldBack =
        new Filling(
            Optional.of(new LevelMethod.Overflow()),
            Optional.of(new BigDecimal("0.1")),
            Optional.empty(),
            Optional.empty());
    assertThat(sumpOf(Capacity.ofLitres("6"), heldBack).fillingAgrees()).isFalse();
    Filling measured = Filling.by(new LevelMethod.Measured());
    assertThat(sumpOf(range("6", "6.5"), measured).fillingAgrees()).isFalse();
    assertThat(sumpOf(Capacity.ofLitres("6"), measured).fillingAgrees()).isTrue();
    assertThat(sumpOf(range("6", "6.5"), Filling.by(STICK)).fillingAgrees()).isTrue();
  }

  /** Dry 6.5 to 7.0 L and with the filter 6.4 to 7.1 L: the high ends contradict each other. */
  @Test
  void rangesAgreeAtBothEnds() {
    Compartment compartment =
        sump(
            Map.of(
                FillCondition.DRY, range("6.5", "7"),
                FillCondition.WITH_FILTER, range("6.4", "7.1")),
            Filling.UNSAID);
    assertThat(compartment.capacitiesAgree()).isFalse();
    assertThat(compartment.withCapacity(FillCondition.DRY, range("6.5", "7.1")).capacitiesAgree())
        .isTrue();
  }

  @Test
  void limitsAreNamed() {
    assertThatThrownBy(() -> range("6.5", "6"))
        .hasMessage("capacity is 6.5 to 6 L; allowed is more than 0, and no less high than low");
    assertThatThrownBy(() -> new LevelMethod.Gauge(151))
        .hasMessage("celsius is 151; allowed is 0 to 150");
    assertThatThrownBy(
            () ->
                new Filling(
                    Optional.empty(),
                    Optional.of(new BigDecimal("0.51")),
                    Optional.empty(),
                    Optional.empty()))
        .hasMessage("holdBack is 0.51; allowed is 0 to 0.5");
  }

  private static Product oil(FluidKind kind) {
    return new Product(
        new ProductId(1), "Maretta", "Duna", kind, "", "", List.of(), Product.Data.UNKNOWN, 0);
  }

  /** 1.30 L of unknown density on a stick marked hot: 0.07 L, marked as reckoned at 870 kg/m³. */
  @Test
  void growthIsSaidWhereAStickIsMarkedHot() {
    Compartment hot = sumpOf(Capacity.ofLitres("1.3"), Filling.by(STICK));
    HotGrowth growth =
        HotGrowth.of(hot, oil(FluidKind.ENGINE_OIL), Volume.ofLitres("1.3")).orElseThrow();
    assertThat(growth.growth().display()).isEqualTo("70 mL");
    assertThat(growth.isUsual()).isTrue();
    assertThat(HotGrowth.of(hot, oil(FluidKind.COOLANT), Volume.ofLitres("1.3"))).isEmpty();
  }

  @Test
  void aColdStickSaysNothingOfGrowth() {
    Filling cold =
        Filling.by(
            new LevelMethod.Dipstick(
                LevelMethod.Warmth.COLD, LevelMethod.Seat.RESTING, LevelMethod.Stance.ON_STAND));
    assertThat(
            HotGrowth.of(
                sumpOf(Capacity.ofLitres("1.3"), cold),
                oil(FluidKind.ENGINE_OIL),
                Volume.ofLitres("1.3")))
        .isEmpty();
  }
}
