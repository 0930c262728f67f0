package dev.lonja.core.service;

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

import dev.lonja.core.fleet.Compartment;
import dev.lonja.core.fleet.CompartmentId;
import dev.lonja.core.fleet.FillCondition;
import dev.lonja.core.fleet.Position;
import dev.lonja.core.fleet.PositionId;
import dev.lonja.core.fluid.Spec;
import dev.lonja.core.grade.FluidKind;
import dev.lonja.core.inspection.ReplacementChance;
import dev.lonja.core.pour.FirstPour;
import dev.lonja.core.quantity.Measure;
import dev.lonja.core.quantity.Quantity;
import dev.lonja.core.quantity.Volume;
import java.math.BigDecimal;
import java.util.List;
import java.util.Map;
import java.util.Optional;
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
            BOTH,
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
   * Rules §6: hold back 10 %, at least 0.30 L, and round the pour down to 0.10 L. 6.40 → 5.76 →
   * 5.70. 2.70 → hold 0.30 → 2.40. 0.28 L is less than the hold-back: pour slowly. 3.00 → 2.70
   * exactly.
   */
  @ParameterizedTest
  @CsvSource({
    "6.40, 5.70, 0.70",
    "2.70, 2.40, 0.30",
    "3.00, 2.70, 0.30",
    "0.28, 0, 0.28",
    "0.30, 0, 0.30",
    "0.39, 0, 0.39",
    "0.40, 0.10, 0.30",
    "205, 184.50, 20.50"
  })
  void holdsBackForTheTopUp(String capacity, String pour, String reserve) {
    assertThat(FirstPour.of(Volume.ofLitres(capacity)))
        .isEqualTo(new FirstPour(Volume.ofLitres(pour), Volume.ofLitres(reserve)));
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
