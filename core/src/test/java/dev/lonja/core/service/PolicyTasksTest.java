package dev.lonja.core.service;

import static dev.lonja.core.service.Services.SUMP;
import static dev.lonja.core.service.Services.place;
import static dev.lonja.core.service.Services.sump;
import static dev.lonja.core.service.Services.task;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.groups.Tuple.tuple;

import dev.lonja.core.fleet.Position;
import dev.lonja.core.inspection.ReplacementChance;
import dev.lonja.core.inspection.ReplacementTurn;
import dev.lonja.core.machine.UnitNeeds;
import dev.lonja.core.machine.Ways;
import dev.lonja.core.policy.Choice;
import dev.lonja.core.policy.Holder;
import dev.lonja.core.policy.Policies;
import dev.lonja.core.policy.School;
import dev.lonja.core.policy.UnitPolicies;
import java.math.BigDecimal;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.Test;

/** What the policies make of a machine's tasks. */
class PolicyTasksTest {

  private static final LocalDate TODAY = LocalDate.parse("2027-03-15");

  private static final Position AIR = place(50, Position.Kind.AIR_FILTER, Optional.empty());
  private static final Position FUEL = place(60, Position.Kind.FUEL_FILTER, Optional.empty());
  private static final Task OIL = task(new TaskId(1), new Task.Action.ChangeFluid(SUMP), null, 6);
  private static final Task LOOK =
      task(new TaskId(2), new Task.Action.Inspect(AIR.id(), ReplacementChance.UNKNOWN), null, 6);
  private static final Task REPLACE_AIR =
      task(new TaskId(3), new Task.Action.Replace(AIR.id()), null, 24);
  private static final Task REPLACE_FUEL =
      task(new TaskId(4), new Task.Action.Replace(FUEL.id()), null, 24);

  private static UnitFile file(Choice choice, Deviation... deviations) {
    UnitNeeds needs =
        new UnitNeeds(List.of(sump(Map.of())), List.of(AIR, FUEL))
            .under(
                new Ways(
                    new UnitPolicies(
                        Policies.USUAL.with(Holder.STORE, choice), List.of(Holder.STORE)),
                    Map.of(),
                    Optional.empty()));
    return UnitFile.of(needs, List.of(OIL, LOOK, REPLACE_AIR, REPLACE_FUEL), List.of(deviations));
  }

  private static Task.Action action(UnitFile file, Task task) {
    return file.tasks().stream()
        .filter(t -> t.id().equals(task.id()))
        .findFirst()
        .orElseThrow()
        .action();
  }

  /** What is only looked at is replaced; what the maker wants replaced stays as it is. */
  @Test
  void anAirFilterIsReplacedEveryServiceWhereThatIsThePolicy() {
    UnitFile file = file(Choice.of(School.EVERY_SERVICE));
    assertThat(action(file, LOOK)).isEqualTo(new Task.Action.Replace(AIR.id()));
    assertThat(action(file(Choice.of(School.ON_CONDITION)), REPLACE_AIR))
        .isEqualTo(REPLACE_AIR.action());
  }

  @Test
  void aFuelFilterIsLookedAtBeforeItIsReplacedWhereThatIsThePolicy() {
    assertThat(action(file(Choice.of(School.INSPECT_AND_REUSE)), REPLACE_FUEL))
        .isEqualTo(new Task.Action.Inspect(FUEL.id(), ReplacementChance.UNKNOWN));
    assertThat(action(file(Choice.of(School.BY_INTERVAL)), REPLACE_FUEL))
        .isEqualTo(REPLACE_FUEL.action());
  }

  /**
   * Kept once since it was replaced: the next look keeps it too, the one after replaces it, and so
   * on every third time. Due every 6 months from 2026-09-01: 2027-03-15 (overdue since the 1st),
   * 2027-09-15, 2028-03-15, 2028-09-15, 2029-03-15.
   */
  @Test
  void anAirFilterIsReplacedEveryThirdTime() {
    UnitFile file = file(Choice.of(School.EVERY_NTH, BigDecimal.valueOf(3)));
    UnitHistory history =
        new UnitHistory(
            LocalDate.parse("2024-01-01"),
            Map.of(
                LOOK.id(), List.of(Origin.done(LocalDate.parse("2026-09-01"), Optional.empty()))),
            Map.of(LOOK.id(), 1),
            Map.of());
    List<TaskStanding> looks =
        file.standings(new UnitFacts(List.of(), Map.of()), history, Map.of()).stream()
            .filter(standing -> standing.task().id().equals(LOOK.id()))
            .toList();
    assertThat(OccurrencePlanner.plan(looks, TODAY, LocalDate.parse("2029-03-15")))
        .extracting(
            Occurrence::date,
            occurrence ->
                ((ReplacementTurn)
                        ((Task.Action.Inspect) occurrence.tasks().get(0).task().action()).odds())
                    .isDue())
        .containsExactly(
            tuple(TODAY, false),
            tuple(LocalDate.parse("2027-09-15"), true),
            tuple(LocalDate.parse("2028-03-15"), false),
            tuple(LocalDate.parse("2028-09-15"), false),
            tuple(LocalDate.parse("2029-03-15"), true));
  }

  /** The fuel filter is due in two years by itself; the oil twice a year takes it along. */
  @Test
  void aFuelFilterComesAlongWithEveryOilChange() {
    UnitFile file = file(Choice.of(School.WITH_EVERY_OIL_CHANGE));
    LocalDate bought = LocalDate.parse("2027-01-01");
    UnitHistory history = new UnitHistory(bought, Map.of(), Map.of(), Map.of());
    List<TaskStanding> two =
        file.standings(new UnitFacts(List.of(), Map.of()), history, Map.of()).stream()
            .filter(s -> List.of(OIL.id(), REPLACE_FUEL.id()).contains(s.task().id()))
            .toList();
    assertThat(OccurrencePlanner.plan(two, TODAY, LocalDate.parse("2028-01-31")))
        .allSatisfy(
            occurrence ->
                assertThat(occurrence.tasks())
                    .extracting(t -> t.task().id())
                    .containsExactly(OIL.id(), REPLACE_FUEL.id()))
        .extracting(Occurrence::date)
        .containsExactly(LocalDate.parse("2027-07-01"), LocalDate.parse("2028-01-01"));
  }

  /** An interval that was stated for the machine overrides every policy. */
  @Test
  void aStatedIntervalStays() {
    Interval yearly = new Interval(Optional.empty(), Optional.of(12));
    Deviation stated =
        new Deviation(
            1,
            new Deviation.Change.OtherInterval(REPLACE_FUEL.id(), yearly),
            Deviation.Source.UNIT,
            "dirty fuel",
            TODAY,
            "storekeeper");
    UnitFile file = file(Choice.of(School.WITH_EVERY_OIL_CHANGE), stated);
    assertThat(
            file.tasks().stream()
                .filter(t -> t.id().equals(REPLACE_FUEL.id()))
                .findFirst()
                .flatMap(Task::byInterval)
                .map(Timing.ByInterval::regular))
        .contains(yearly);
  }
}
