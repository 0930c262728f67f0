package dev.lonja.core.service;

import static dev.lonja.core.service.Services.FILTER_POSITION;
import static dev.lonja.core.service.Services.SUMP;
import static dev.lonja.core.service.Services.every;
import static dev.lonja.core.service.Services.filter;
import static dev.lonja.core.service.Services.seal;
import static dev.lonja.core.service.Services.sump;
import static dev.lonja.core.service.Services.task;
import static org.assertj.core.api.Assertions.assertThat;

import dev.lonja.core.fleet.Capacity;
import dev.lonja.core.fleet.Compartment;
import dev.lonja.core.fleet.CompartmentId;
import dev.lonja.core.fleet.FillCondition;
import dev.lonja.core.fleet.Position;
import dev.lonja.core.fleet.PositionId;
import dev.lonja.core.inspection.ReplacementChance;
import dev.lonja.core.item.ItemId;
import dev.lonja.core.machine.UnitNeeds;
import dev.lonja.core.meter.MeterId;
import dev.lonja.core.pour.RecordedFill;
import dev.lonja.core.quantity.MeterValue;
import dev.lonja.core.quantity.Quantity;
import dev.lonja.core.quantity.Torque;
import dev.lonja.core.quantity.TorqueRange;
import dev.lonja.core.quantity.Volume;
import dev.lonja.core.take.ServiceTake;
import dev.lonja.core.take.Take;
import dev.lonja.core.take.TakeLine;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.Test;

/** A variant with a sump, its filter and seal, a loose position, and three tasks. */
class UnitFileTest {

  private static final PositionId LOOSE = new PositionId(30);
  private static final UnitNeeds NEEDS =
      new UnitNeeds(
          List.of(
              sump(
                  Map.of(
                      FillCondition.WITH_FILTER, Volume.ofLitres("6.4"),
                      FillCondition.WITHOUT_FILTER, Volume.ofLitres("5.9")))),
          List.of(
              filter(Optional.of(Volume.ofLitres("0.5"))),
              seal(new PositionId(20), SUMP, 1),
              seal(LOOSE, new CompartmentId(99), 1)));
  private static final List<Task> TASKS =
      List.of(
          task(new TaskId(1), new Task.Action.ChangeFluid(SUMP), "250", 12),
          task(new TaskId(2), new Task.Action.Replace(FILTER_POSITION), "250", 12),
          task(
              new TaskId(3),
              new Task.Action.Inspect(LOOSE, ReplacementChance.UNKNOWN),
              "125",
              null));

  /**
   * The oil is changed every 250 h, and every 400 h while a long-life oil is in. The sump prefers
   * oil 100; long-life oil 101 was poured in February and oil 100 again in March.
   */
  @Test
  void whatWasPouredLastPicksTheInterval() {
    ItemId longLife = new ItemId(101);
    Map<ItemId, List<String>> classes =
        Map.of(Services.OIL, List.of("E7"), longLife, List.of("E7", "E8"));
    assertThat(NEEDS.inside(List.of())).isEqualTo(Map.of(SUMP, Services.OIL));
    assertThat(limit(List.of(), classes)).isEqualTo("750 h");
    assertThat(limit(List.of(fill(longLife, "2027-02-01")), classes)).isEqualTo("900 h");
    assertThat(
            limit(List.of(fill(longLife, "2027-02-01"), fill(Services.OIL, "2027-03-01")), classes))
        .isEqualTo("750 h");
    assertThat(limit(List.of(fill(longLife, "2027-02-01")), Map.of())).isEqualTo("750 h");
  }

  /** Done at 500 h: due 250 h or 400 h later. */
  private static String limit(List<RecordedFill> fills, Map<ItemId, List<String>> classes) {
    Task change = TASKS.get(0);
    Timing.ByInterval by = change.byInterval().orElseThrow();
    Task timed =
        change.withTiming(
            new Timing.ByInterval(
                by.meterId(),
                by.regular(),
                by.first(),
                by.severity(),
                List.of(new Timing.FluidInterval("E8", every("400", 12))),
                Optional.empty()));
    UnitFile file = UnitFile.of(NEEDS, List.of(timed), List.of());
    UnitHistory history =
        new UnitHistory(
            LocalDate.parse("2024-01-01"),
            Map.of(
                timed.id(),
                List.of(
                    Origin.done(
                        LocalDate.parse("2027-01-10"), Optional.of(MeterValue.ofHours("500"))))),
            Map.of(),
            Map.of());
    UnitFacts facts = UnitFacts.of(List.of(), file.needs().inside(fills), classes);
    TaskStanding standing =
        file.standings(facts, history, Map.of(new MeterId(1), Services.meter("520"))).get(0);
    LocalDate today = LocalDate.parse("2027-03-15");
    return DueRule.due(standing, today, today.plusYears(5))
        .limit()
        .map(MeterValue::display)
        .orElseThrow();
  }

  private static RecordedFill fill(ItemId item, String day) {
    return new RecordedFill(
        1,
        SUMP,
        item,
        FillCondition.WITH_FILTER,
        Volume.ofLitres("6.4"),
        Optional.empty(),
        Optional.empty(),
        LocalDate.parse(day),
        "storekeeper");
  }

  /** What was set to take over belongs to the old machine; all else goes along. */
  @Test
  void aCopyIsTheSameInAnotherMachine() {
    Compartment sump = NEEDS.compartment(SUMP);
    Compartment changing =
        new Compartment(
            SUMP,
            sump.name(),
            sump.kind(),
            sump.spec(),
            sump.itemId(),
            sump.capacities(),
            sump.filling(),
            sump.hint(),
            Optional.of(new Compartment.ChangeOver(new ItemId(7), LocalDate.parse("2027-04-01"))));
    Compartment copy = changing.copy(new CompartmentId(70));
    assertThat(copy.id()).isEqualTo(new CompartmentId(70));
    assertThat(copy).usingRecursiveComparison().ignoringFields("id").isEqualTo(sump);
    Position filter = NEEDS.position(FILTER_POSITION);
    Position filterCopy = filter.copy(new PositionId(71), Optional.of(copy.id()));
    assertThat(filterCopy.belongsTo(copy)).isTrue();
    assertThat(filterCopy)
        .usingRecursiveComparison()
        .ignoringFields("id", "compartmentId")
        .isEqualTo(filter);
  }

  @Test
  void withoutDeviationsAUnitIsItsVariant() {
    UnitFile file = UnitFile.of(NEEDS, TASKS, List.of());
    assertThat(file.needs()).isEqualTo(NEEDS);
    assertThat(file.tasks()).isEqualTo(TASKS);
  }

  /** The catalogue lists a filter that this unit does not have: no part, no task, less oil. */
  @Test
  void anAbsentPositionTakesItsTasksAlong() {
    UnitFile file = with(new Deviation.Change.NoPosition(FILTER_POSITION));
    assertThat(positions(file)).containsExactly(new PositionId(20), LOOSE);
    assertThat(tasks(file)).containsExactly(new TaskId(1), new TaskId(3));
    TakeLine fill = ServiceTake.of(file.needs(), List.of(TASKS.get(0))).lines().get(0);
    assertThat(fill.toLay()).isEqualTo(Quantity.litres("5.9"));
    assertThat(file.deviations()).hasSize(1);
  }

  @Test
  void anAbsentCompartmentTakesItsPositionsAndTheirTasksAlong() {
    UnitFile file = with(new Deviation.Change.NoCompartment(SUMP));
    assertThat(file.needs().compartments()).isEmpty();
    assertThat(positions(file)).containsExactly(LOOSE);
    assertThat(tasks(file)).containsExactly(new TaskId(3));
  }

  @Test
  void aCapacityChangesInItsConditionOnly() {
    UnitFile file =
        with(
            new Deviation.Change.OtherCapacity(
                SUMP, FillCondition.WITH_FILTER, Capacity.ofLitres("6.1")));
    assertThat(file.needs().compartment(SUMP).capacities())
        .containsEntry(FillCondition.WITH_FILTER, Capacity.ofLitres("6.1"))
        .containsEntry(FillCondition.WITHOUT_FILTER, Capacity.ofLitres("5.9"));
  }

  /**
   * Another filter brings its own volume: 5.90 + 0.70 L where only the capacity without is known.
   */
  @Test
  void anotherPartBringsItsOwnVolume() {
    UnitNeeds onlyWithout =
        new UnitNeeds(
            List.of(sump(Map.of(FillCondition.WITHOUT_FILTER, Volume.ofLitres("5.9")))),
            NEEDS.positions());
    Deviation other =
        deviation(
            new Deviation.Change.OtherPart(
                FILTER_POSITION, new ItemId(222), Optional.of(Volume.ofLitres("0.7"))));
    UnitFile file = UnitFile.of(onlyWithout, TASKS, List.of(other));
    Take take = ServiceTake.of(file.needs(), file.tasks().subList(0, 2));
    assertThat(take.lines().get(0).toLay()).isEqualTo(Quantity.litres("6.6"));
    assertThat(take.lines().stream().map(TakeLine::itemId)).contains(new ItemId(222));
  }

  @Test
  void fluidTorqueAndIntervalMayDiffer() {
    TorqueRange torque = TorqueRange.of(Torque.ofNewtonMetres("35"));
    UnitFile file =
        with(
            new Deviation.Change.OtherFluid(SUMP, new ItemId(111)),
            new Deviation.Change.OtherTorque(new PositionId(20), torque),
            new Deviation.Change.OtherInterval(new TaskId(1), every("200", null)),
            new Deviation.Change.NoTask(new TaskId(3)));
    assertThat(file.needs().compartment(SUMP).itemId()).contains(new ItemId(111));
    assertThat(file.needs().position(new PositionId(20)).torque()).contains(torque);
    assertThat(regular(file.tasks().get(0))).isEqualTo(every("200", null));
    assertThat(file.tasks().get(0).meterId()).isPresent();
    assertThat(tasks(file)).containsExactly(new TaskId(1), new TaskId(2));
  }

  /** By calendar only, a task needs no meter any more. */
  @Test
  void anIntervalOfMonthsNeedsNoMeter() {
    UnitFile file = with(new Deviation.Change.OtherInterval(new TaskId(1), every(null, 6)));
    assertThat(file.tasks().get(0).meterId()).isEmpty();
    assertThat(regular(file.tasks().get(0)).months()).contains(6);
  }

  private static Interval regular(Task task) {
    return task.byInterval().orElseThrow().regular();
  }

  private static UnitFile with(Deviation.Change... changes) {
    List<Deviation> deviations = List.of(changes).stream().map(UnitFileTest::deviation).toList();
    return UnitFile.of(NEEDS, TASKS, deviations);
  }

  private static Deviation deviation(Deviation.Change change) {
    return new Deviation(
        1,
        change,
        Deviation.Source.UNIT,
        "seen on the machine",
        LocalDate.parse("2027-01-10"),
        "storekeeper");
  }

  private static List<PositionId> positions(UnitFile file) {
    return file.needs().positions().stream().map(Position::id).toList();
  }

  private static List<TaskId> tasks(UnitFile file) {
    return file.tasks().stream().map(Task::id).toList();
  }
}
