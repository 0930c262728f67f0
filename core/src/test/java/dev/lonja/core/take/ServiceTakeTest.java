package dev.lonja.core.take;

import static dev.lonja.core.service.Services.FILTER;
import static dev.lonja.core.service.Services.FILTER_POSITION;
import static dev.lonja.core.service.Services.OIL;
import static dev.lonja.core.service.Services.SUMP;
import static dev.lonja.core.service.Services.WASHER;
import static dev.lonja.core.service.Services.filter;
import static dev.lonja.core.service.Services.seal;
import static dev.lonja.core.service.Services.sump;
import static dev.lonja.core.service.Services.task;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import dev.lonja.core.fleet.Capacity;
import dev.lonja.core.fleet.Compartment;
import dev.lonja.core.fleet.CompartmentId;
import dev.lonja.core.fleet.FillCondition;
import dev.lonja.core.fleet.Filling;
import dev.lonja.core.fleet.Position;
import dev.lonja.core.fleet.PositionId;
import dev.lonja.core.fluid.Spec;
import dev.lonja.core.grade.FluidKind;
import dev.lonja.core.inspection.ReplacementChance;
import dev.lonja.core.machine.Boxes;
import dev.lonja.core.machine.Mixes;
import dev.lonja.core.machine.ShelfFacts;
import dev.lonja.core.machine.UnitNeeds;
import dev.lonja.core.machine.Ways;
import dev.lonja.core.pour.FillPolicy;
import dev.lonja.core.pour.FirstPour;
import dev.lonja.core.quantity.Measure;
import dev.lonja.core.quantity.Quantity;
import dev.lonja.core.quantity.Volume;
import dev.lonja.core.service.Task;
import dev.lonja.core.service.TaskId;
import java.math.BigDecimal;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class ServiceTakeTest {

  private static final Task CHANGE_OIL =
      task(new TaskId(1), new Task.Action.ChangeFluid(SUMP), "250", null);
  private static final Task REPLACE_FILTER =
      task(new TaskId(2), new Task.Action.Replace(FILTER_POSITION), "250", null);
  private static final Map<FillCondition, Volume> BOTH =
      Map.of(
          FillCondition.WITH_FILTER, Volume.ofLitres("6.4"),
          FillCondition.WITHOUT_FILTER, Volume.ofLitres("5.9"));
  private static final Map<FillCondition, Volume> WITHOUT =
      Map.of(FillCondition.WITHOUT_FILTER, Volume.ofLitres("5.9"));

  /** 6.40 L × 1.02 = 6.528 L expected; 6.40 L on the tray; 5.70 L first and 0.70 L kept. */
  @Test
  void theFilterDecidesWhichCapacityCounts() {
    TakeLine withFilter = fill(sump(BOTH), Optional.empty(), CHANGE_OIL, REPLACE_FILTER);
    assertThat(withFilter.expected()).isEqualTo(Quantity.litres("6.528"));
    assertThat(withFilter.toLay()).isEqualTo(Quantity.litres("6.4"));
    TakeLine.Reason.Fill reason = (TakeLine.Reason.Fill) withFilter.reason();
    assertThat(reason.condition()).isEqualTo(FillCondition.WITH_FILTER);
    assertThat(reason.firstPour())
        .isEqualTo(new FirstPour(Volume.ofLitres("5.70"), Volume.ofLitres("0.70")));
    TakeLine without = fill(sump(BOTH), Optional.empty(), CHANGE_OIL);
    assertThat(without.expected()).isEqualTo(Quantity.litres("6.018"));
  }

  /** (5.90 + 0.62) × 1.02 = 6.6504 L. */
  @Test
  void aCapacityOnFileWithoutFilterTakesTheFiltersVolumeToo() {
    TakeLine line =
        fill(sump(WITHOUT), Optional.of(Volume.ofLitres("0.62")), CHANGE_OIL, REPLACE_FILTER);
    assertThat(line.expected()).isEqualTo(Quantity.litres("6.6504"));
    assertThat(line.toLay()).isEqualTo(Quantity.litres("6.52"));
  }

  @Test
  void anUnknownFilterVolumeCountsNothingAndIsNamed() {
    Take take = take(sump(WITHOUT), Optional.empty(), CHANGE_OIL, REPLACE_FILTER);
    assertThat(take.gaps()).containsExactly(new Take.Gap.FilterVolumeUnknown("Oil filter"));
    assertThat(take.lines().get(0).expected()).isEqualTo(Quantity.litres("6.018"));
  }

  @Test
  void missingCapacityAndMissingItemsAreNamed() {
    assertThat(take(sump(Map.of()), Optional.empty(), CHANGE_OIL).gaps())
        .containsExactly(new Take.Gap.NoCapacity("Sump"));
    Compartment nothingChosen =
        new Compartment(
            SUMP,
            "Sump",
            Compartment.Kind.ENGINE,
            Spec.ofKind(FluidKind.ENGINE_OIL),
            Optional.empty(),
            Map.of(FillCondition.WITH_FILTER, Capacity.ofLitres("6.4")),
            Filling.UNSAID,
            "",
            Optional.empty());
    assertThat(take(nothingChosen, Optional.empty(), CHANGE_OIL).gaps())
        .containsExactly(new Take.Gap.NoItem("Sump"));
  }

  /** Whole and replaced in one occurrence, a part is not inspected too: one filter, not 1.3. */
  @Test
  void aPartThatIsReplacedIsNotInspectedAsWell() {
    Task inspect =
        task(
            new TaskId(3),
            new Task.Action.Inspect(FILTER_POSITION, ReplacementChance.UNKNOWN),
            "125",
            null);
    Take both = take(sump(BOTH), Optional.empty(), inspect, REPLACE_FILTER);
    assertThat(both.lines()).singleElement().extracting(TakeLine::taskId).isEqualTo(new TaskId(2));
    assertThat(both.lines().get(0).expected()).isEqualTo(Quantity.pieces(1));
  }

  /** Only the 6.40 L with a filter are on file and the filter stays: 6.40 L are laid, and said. */
  @Test
  void theFilterStaysWhereOnlyTheCapacityWithOneIsOnFile() {
    Map<FillCondition, Volume> with = Map.of(FillCondition.WITH_FILTER, Volume.ofLitres("6.4"));
    Take take = take(sump(with), Optional.empty(), CHANGE_OIL);
    assertThat(take.lines().get(0).toLay()).isEqualTo(Quantity.litres("6.4"));
    assertThat(take.gaps()).containsExactly(new Take.Gap.FilterStays("Sump"));
  }

  /** The default school: every seal of a drained compartment new, no other's. */
  @Test
  void drainingTakesItsOwnSealsAndNoOthers() {
    UnitNeeds needs =
        new UnitNeeds(
            List.of(sump(BOTH)),
            List.of(
                seal(new PositionId(20), SUMP, 2),
                seal(new PositionId(21), new CompartmentId(99), 1)));
    List<TakeLine> lines = ServiceTake.of(needs, List.of(CHANGE_OIL)).lines();
    assertThat(lines).hasSize(2);
    assertThat(lines.get(1).itemId()).isEqualTo(WASHER);
    assertThat(lines.get(1).expected()).isEqualTo(Quantity.pieces(2));
    assertThat(lines.get(1).reason()).isEqualTo(new TakeLine.Reason.NewSeal("Sump", ""));
  }

  /** Below five inspections on record a part is replaced with a chance of 0.30. */
  @Test
  void aPartToInspectIsExpectedInPartAndLaidWhole() {
    Task inspect =
        task(
            new TaskId(3),
            new Task.Action.Inspect(FILTER_POSITION, ReplacementChance.UNKNOWN),
            "125",
            null);
    TakeLine line = take(sump(BOTH), Optional.empty(), inspect).lines().get(0);
    assertThat(line.itemId()).isEqualTo(FILTER);
    assertThat(line.expected()).isEqualTo(Quantity.of(Measure.PIECES, new BigDecimal("0.3")));
    assertThat(line.toLay()).isEqualTo(Quantity.pieces(1));
  }

  /**
   * Rules §6: hold back 10 %, at least 0.30 L but never more than a quarter, and round the pour
   * down to 0.10 L, below 1 L to 0.01 L. 6.40 → 5.76 → 5.70. 2.70 → hold 0.30 → 2.40. 3.00 → 2.70
   * exactly. 1.20 → a quarter is 0.30 too → 0.90. 1.16 → hold 0.29 → 0.87 → 0.80. 0.42 → hold 0.105
   * → 0.315 → 0.31. 0.99 → hold 0.2475 → 0.7425 → 0.74.
   */
  @ParameterizedTest
  @CsvSource({
    "6.40, 5.70, 0.70",
    "2.70, 2.40, 0.30",
    "3.00, 2.70, 0.30",
    "1.20, 0.90, 0.30",
    "1.16, 0.80, 0.36",
    "0.42, 0.31, 0.11",
    "0.99, 0.74, 0.25",
    "0.01, 0, 0.01",
    "205, 184.50, 20.50"
  })
  void holdsBackForTheTopUp(String capacity, String pour, String reserve) {
    assertThat(FillPolicy.DEFAULT.firstPour(Volume.ofLitres(capacity)))
        .isEqualTo(new FirstPour(Volume.ofLitres(pour), Volume.ofLitres(reserve)));
  }

  /**
   * A store of its own ways: 5 % loss on 6.40 L is 6.72 L; 20 % of it is 1.28 L, so 5.12 L, in a
   * jug of 0.50 L 5.00 L first and 1.40 L kept.
   */
  @Test
  void aStoreMayReckonAndPourItsOwnWay() {
    FillPolicy own =
        new FillPolicy(
            new BigDecimal("0.05"),
            new BigDecimal("0.20"),
            Volume.ofLitres("0.50"),
            Volume.ofLitres("0.50"),
            FillPolicy.DEFAULT.stroke());
    UnitNeeds needs =
        new UnitNeeds(
            List.of(sump(BOTH)),
            List.of(filter(Optional.empty())),
            new ShelfFacts(Boxes.NONE, own, Set.of(), Map.of(), Mixes.NONE),
            Ways.USUAL);
    TakeLine line = ServiceTake.of(needs, List.of(CHANGE_OIL, REPLACE_FILTER)).lines().get(0);
    assertThat(line.expected()).isEqualTo(Quantity.litres("6.72"));
    assertThat(((TakeLine.Reason.Fill) line.reason()).firstPour())
        .isEqualTo(new FirstPour(Volume.ofLitres("5"), Volume.ofLitres("1.40")));
  }

  @Test
  void noStoreHoldsBackMoreThanAQuarter() {
    assertThatThrownBy(
            () ->
                new FillPolicy(
                    BigDecimal.ZERO,
                    new BigDecimal("0.26"),
                    Volume.ZERO,
                    Volume.ofLitres("0.1"),
                    FillPolicy.DEFAULT.stroke()))
        .hasMessageContaining("holdBack is 0.26; allowed is 0 to 0.25");
  }

  private static TakeLine fill(Compartment sump, Optional<Volume> volume, Task... tasks) {
    TakeLine line = take(sump, volume, tasks).lines().get(0);
    assertThat(line.itemId()).isEqualTo(OIL);
    return line;
  }

  private static Take take(Compartment sump, Optional<Volume> volume, Task... tasks) {
    List<Position> positions = List.of(filter(volume));
    return ServiceTake.of(new UnitNeeds(List.of(sump), positions), List.of(tasks));
  }
}
