package dev.lonja.core.tray;

import static dev.lonja.core.service.Services.FILTER_POSITION;
import static dev.lonja.core.service.Services.SUMP;
import static dev.lonja.core.service.Services.filter;
import static dev.lonja.core.service.Services.sump;
import static dev.lonja.core.service.Services.task;
import static org.assertj.core.api.Assertions.assertThat;

import dev.lonja.core.inspection.ReplacementChance;
import dev.lonja.core.machine.UnitNeeds;
import dev.lonja.core.service.Task;
import dev.lonja.core.service.TaskId;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.Test;

/** With the filter 6.40 L go in, without it 5.90 L: oil and oil filter stay on one tray. */
class TaskBondTest {

  private static final UnitNeeds NEEDS =
      new UnitNeeds(List.of(sump(Map.of())), List.of(filter(Optional.empty())));
  private static final Task OIL =
      task(new TaskId(1), new Task.Action.ChangeFluid(SUMP), "250", null);
  private static final Task FILTER =
      task(new TaskId(2), new Task.Action.Replace(FILTER_POSITION), "250", null);
  private static final Task LOOK =
      task(
          new TaskId(3),
          new Task.Action.Inspect(FILTER_POSITION, ReplacementChance.UNKNOWN),
          "125",
          null);

  @Test
  void oilAndItsFilterAreBoundEitherWay() {
    TaskBond bond = new TaskBond(OIL, FILTER);
    assertThat(TaskBond.between(NEEDS, List.of(OIL), List.of(FILTER))).contains(bond);
    assertThat(TaskBond.between(NEEDS, List.of(FILTER, LOOK), List.of(OIL))).contains(bond);
  }

  @Test
  void whatChangesNoAmountMayGoItsOwnWay() {
    assertThat(TaskBond.between(NEEDS, List.of(OIL, FILTER), List.of(LOOK))).isEmpty();
    assertThat(TaskBond.between(NEEDS, List.of(OIL), List.of())).isEmpty();
  }
}
