package dev.lonja.desk.crossref;

import static org.assertj.core.api.Assertions.assertThat;
import static org.mockito.ArgumentMatchers.any;
import static org.mockito.Mockito.doThrow;
import static org.mockito.Mockito.mock;

import dev.lonja.core.crossref.Source;
import dev.lonja.desk.Cage;
import dev.lonja.desk.audit.Trail;
import dev.lonja.desk.request.Outcome;
import dev.lonja.store.LonjaStore;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.LocalDate;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.Timeout;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.junit.jupiter.api.io.TempDir;

/** A list whose work dies under it says so, and the next one can be begun. */
class ListDeskTest {

  private static final LocalDate DAY = LocalDate.parse("2027-03-01");

  @RegisterExtension private final Cage cage = new Cage();
  @TempDir private Path folder;

  @Test
  @Timeout(30)
  void workThatDiesSaysSoAndCanBeBegunAgain() throws IOException, InterruptedException {
    LonjaStore store = mock(LonjaStore.class);
    doThrow(new OutOfMemoryError("as a list too large would have it")).when(store).read(any());
    ListDesk desk = new ListDesk(store, cage.clock(), cage.once(), mock(Trail.class));
    for (int i = 0; i < 2; i++) {
      Path file = Files.writeString(folder.resolve("list.csv"), "make,number\r\n");
      assertThat(desk.start(cage.sent(), "list.csv", file, Source.HEARD, DAY))
          .isInstanceOf(Outcome.Done.class);
      while (desk.progress().orElseThrow().state().isRunning() || Files.exists(file)) {
        Thread.sleep(5);
      }
      assertThat(desk.progress().orElseThrow().state()).isEqualTo(ListDesk.State.FAILED);
      assertThat(desk.progress().orElseThrow().trouble()).contains(ListDesk.Trouble.UNREADABLE);
    }
  }
}
