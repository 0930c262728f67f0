package dev.lonja.store.ledger;

import static org.assertj.core.api.Assertions.assertThat;

import dev.lonja.core.cost.JobCost;
import dev.lonja.core.fleet.UnitId;
import dev.lonja.core.item.ItemId;
import dev.lonja.core.ledger.Ledger;
import dev.lonja.core.quantity.Quantity;
import dev.lonja.core.service.TaskId;
import dev.lonja.core.tray.TrayId;
import dev.lonja.core.tray.TrayPurpose;
import dev.lonja.store.ExampleStore;
import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;

/** A leak of boat WB-1 took eight washers at 0.21, its oil change three. */
class JobCostsTest {

  private static final UnitId BOAT = new UnitId(1);
  private static final ItemId WASHER = new ItemId(23);
  private static final LocalDate MONDAY = LocalDate.parse("2027-03-15");

  @RegisterExtension final ExampleStore store = new ExampleStore();

  private void out(TrayId tray, LocalDate day, long pieces) {
    store.change(s -> s.trays().handOver(tray, 0, "workshop", day));
    String number = store.read(s -> s.trays().byId(tray).orElseThrow().number());
    store.book(
        WASHER,
        number,
        Instant.parse("2027-03-15T09:00:00Z"),
        stock -> Ledger.issue(stock, Quantity.pieces(pieces), Quantity.pieces(0), day));
  }

  private static long minor(JobCost job) {
    return job.spent().total().minor();
  }

  /** A job has its tray's day; one that is not out yet is none, and a leak has no quote. */
  @Test
  void aJobCostsWhatItsTrayTook() {
    TrayId leak =
        store.write(s -> s.trays().add(Optional.of(BOAT), TrayPurpose.LEAK, "drips", MONDAY));
    TrayId oil = store.write(s -> s.trays().add(BOAT, "Oil", MONDAY, List.of(new TaskId(1))));
    store.write(s -> s.trays().add(BOAT, "Filter", MONDAY, List.of(new TaskId(2))));
    out(leak, MONDAY, 8);
    out(oil, MONDAY.minusDays(3), 3);
    List<JobCost> jobs = store.read(s -> s.jobCosts().of(BOAT));
    assertThat(jobs).extracting(JobCost::title).containsExactly("Oil", "drips");
    assertThat(jobs).extracting(JobCostsTest::minor).containsExactly(63L, 168L);
    assertThat(jobs.get(0).outside().unquoted()).isOne();
    assertThat(jobs.get(1).outside().unquoted()).isZero();
    assertThat(store.<List<JobCost>>read(s -> s.jobCosts().between(MONDAY, MONDAY)))
        .extracting(JobCost::title)
        .containsExactly("drips");
    assertThat(store.<List<JobCost>>read(s -> s.jobCosts().of(new UnitId(2)))).isEmpty();
  }
}
