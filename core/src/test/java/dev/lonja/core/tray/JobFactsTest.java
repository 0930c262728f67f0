package dev.lonja.core.tray;

import static dev.lonja.core.service.Services.FILTER_POSITION;
import static dev.lonja.core.service.Services.SUMP;
import static dev.lonja.core.service.Services.task;
import static org.assertj.core.api.Assertions.assertThat;

import dev.lonja.core.fleet.Compartment;
import dev.lonja.core.fleet.CompartmentId;
import dev.lonja.core.fleet.Position;
import dev.lonja.core.fleet.PositionId;
import dev.lonja.core.inspection.ReplacementChance;
import dev.lonja.core.machine.UnitNeeds;
import dev.lonja.core.service.Services;
import dev.lonja.core.service.Task;
import dev.lonja.core.service.TaskId;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.Test;

/**
 * A machine with a sump, its filter and its drain seal, and a seal on a compartment of its own.
 * Only what is drained, named or opened is touched.
 */
class JobFactsTest {

  private static final PositionId SEAL = new PositionId(20);
  private static final PositionId ELSEWHERE = new PositionId(30);
  private static final UnitNeeds NEEDS =
      new UnitNeeds(
          List.of(Services.sump(Map.of())),
          List.of(
              Services.filter(Optional.empty()),
              Services.seal(SEAL, SUMP, 1, "17 mm spanner"),
              Services.seal(ELSEWHERE, new CompartmentId(99), 1, "17 mm spanner")));
  private static final Task OIL = task(new TaskId(1), new Task.Action.ChangeFluid(SUMP), "250", 12);
  private static final Task FILTER =
      task(new TaskId(2), new Task.Action.Replace(FILTER_POSITION), "250", 12);
  private static final Task LOOK =
      task(
          new TaskId(3),
          new Task.Action.Inspect(ELSEWHERE, ReplacementChance.UNKNOWN),
          "125",
          null);

  private static JobFacts job(Task... tasks) {
    return new JobFacts(NEEDS, List.of(tasks));
  }

  private static List<PositionId> workedOn(Task... tasks) {
    return job(tasks).workedOn().stream().map(Position::id).toList();
  }

  @Test
  void drainsOnlyWhereFluidIsChanged() {
    assertThat(job(OIL).drained()).extracting(Compartment::id).containsExactly(SUMP);
    assertThat(job(FILTER, LOOK).drained()).isEmpty();
  }

  @Test
  void drainingOpensThePlugButNotTheFilter() {
    assertThat(workedOn(OIL)).containsExactly(SEAL);
    assertThat(workedOn(OIL, FILTER)).containsExactly(FILTER_POSITION, SEAL);
    assertThat(workedOn(FILTER)).containsExactly(FILTER_POSITION);
    assertThat(workedOn(LOOK)).containsExactly(ELSEWHERE);
  }

  @Test
  void aDriveIsNamedOnceAndNoneWhereNoneIsOnFile() {
    assertThat(job(OIL, LOOK).drives()).containsExactly("17 mm spanner");
    assertThat(job(FILTER).drives()).isEmpty();
  }
}
