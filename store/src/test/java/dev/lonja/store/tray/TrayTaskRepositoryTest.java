package dev.lonja.store.tray;

import static org.assertj.core.api.Assertions.assertThat;

import dev.lonja.core.fleet.UnitId;
import dev.lonja.core.service.TaskId;
import dev.lonja.core.tray.TrayId;
import dev.lonja.store.ExampleStore;
import java.time.LocalDate;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;

/** A tray for three tasks of boat WB-1. */
class TrayTaskRepositoryTest {

  private static final UnitId BOAT = new UnitId(1);
  private static final LocalDate DAY = LocalDate.parse("2027-03-16");
  private static final TaskId OIL = new TaskId(1);
  private static final TaskId FILTER = new TaskId(2);

  @RegisterExtension final ExampleStore store = new ExampleStore();

  private TrayId tray(TaskId... tasks) {
    return store.write(s -> s.trays().add(BOAT, "Service", DAY, List.of(tasks)));
  }

  private Tray read(TrayId id) {
    return store.read(s -> s.trays().byId(id).orElseThrow());
  }

  /** A task is on one of the two, never on both. */
  @Test
  void tasksGoFromOneTrayToAnother() {
    TrayId from = tray(OIL, FILTER);
    TrayId to = tray(new TaskId(3));
    store.change(s -> s.trayTasks().give(from, to, List.of(FILTER)));
    assertThat(read(from).taskIds()).containsExactly(OIL);
    assertThat(read(to).taskIds()).containsExactlyInAnyOrder(new TaskId(3), FILTER);
    store.change(s -> s.trayTasks().add(from, List.of(new TaskId(4))));
    assertThat(read(from).taskIds()).containsExactlyInAnyOrder(OIL, new TaskId(4));
  }

  @Test
  void aTrayIsCalledOtherwise() {
    TrayId id = tray(OIL);
    store.change(s -> s.trayTasks().setTitle(id, "Oil alone"));
    assertThat(read(id).title()).isEqualTo("Oil alone");
  }
}
