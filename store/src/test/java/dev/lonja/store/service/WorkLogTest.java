package dev.lonja.store.service;

import static org.assertj.core.api.Assertions.assertThat;

import dev.lonja.core.fleet.UnitId;
import dev.lonja.core.quantity.MeterValue;
import dev.lonja.core.service.TaskId;
import dev.lonja.store.ExampleStore;
import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;

/** Work on boat WB-1, whose port engine oil was changed at 2,070.3 h on 2026-09-14. */
class WorkLogTest {

  private static final UnitId BOAT = new UnitId(1);
  private static final TaskId OIL = new TaskId(1);
  private static final LocalDate DAY = LocalDate.parse("2027-03-01");
  private static final Instant NOW = Instant.parse("2027-03-15T09:00:00Z");

  @RegisterExtension final ExampleStore store = new ExampleStore();

  private List<WorkLog.Noted> oil() {
    return store.read(s -> s.workLog().of(BOAT, OIL));
  }

  /** What is withdrawn was never done, and does not count as done on its day. */
  @Test
  void workIsNotedAndWithdrawnByALineOfItsOwn() {
    assertThat(oil()).extracting(WorkLog.Noted::doneOn).contains(LocalDate.parse("2026-09-14"));
    int before = oil().size();
    long id =
        store.write(
            s ->
                s.workLog()
                    .add(
                        BOAT,
                        OIL,
                        DAY,
                        Optional.of(MeterValue.ofHours("2230")),
                        "on the slip",
                        "storekeeper",
                        NOW));
    assertThat(oil()).hasSize(before + 1);
    WorkLog.Noted noted =
        store.<Optional<WorkLog.Noted>>read(s -> s.workLog().byId(BOAT, id)).orElseThrow();
    assertThat(noted.life()).contains(MeterValue.ofHours("2230"));
    assertThat(noted.tray()).isEmpty();
    assertThat(noted.note()).isEqualTo("on the slip");
    assertThat(store.<List<WorkLog.Noted>>read(s -> s.workLog().latest(BOAT, 1)))
        .extracting(WorkLog.Noted::id)
        .containsExactly(id);
    assertThat(store.<Boolean>read(s -> s.workLog().isDone(BOAT, OIL, DAY))).isTrue();
    store.change(s -> s.workLog().withdraw(BOAT, noted, "other boat", "storekeeper", NOW));
    assertThat(store.<Boolean>read(s -> s.workLog().isDone(BOAT, OIL, DAY))).isFalse();
    assertThat(oil()).hasSize(before);
    assertThat(store.<Optional<WorkLog.Noted>>read(s -> s.workLog().byId(new UnitId(2), id)))
        .isEmpty();
  }
}
