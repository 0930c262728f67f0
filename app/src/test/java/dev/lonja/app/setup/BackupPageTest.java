package dev.lonja.app.setup;

import static org.assertj.core.api.Assertions.assertThat;

import dev.lonja.app.server.LonjaServer;
import dev.lonja.app.server.Visitor;
import dev.lonja.desk.backup.ClockWatch;
import dev.lonja.store.StoreCheck;
import dev.lonja.store.audit.AuditLine;
import dev.lonja.store.audit.Deed;
import dev.lonja.store.audit.Matter;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.junit.jupiter.api.io.TempDir;

/** Making a copy, taking it out, and what is said when it cannot be made. */
class BackupPageTest {

  @RegisterExtension static final LonjaServer SERVER = LonjaServer.withDemo();

  @TempDir private Path folder;

  private final Visitor administrator = SERVER.signedInAs("administrator");

  private Visitor.Page made() {
    return administrator.submit(
        administrator.get("/setup/backups").form("/setup/backups"), Map.of());
  }

  @Test
  void aCopyIsMadeListedAndTakenOut() throws IOException {
    Visitor.Page page = made();
    assertThat(page.words()).contains("15 Mar").contains("opened and sound");
    String link = page.document().select("td a").first().attr("href");
    Path copy = Files.write(folder.resolve("copy.db"), administrator.bytes(link));
    assertThat(StoreCheck.whole(copy)).isEmpty();
    String name = link.substring(link.lastIndexOf('/') + 1);
    assertThat(
            SERVER
                .store()
                .<List<AuditLine>>read(session -> session.audit().latest(Matter.BACKUP, name, 5)))
        .extracting(AuditLine::deed)
        .containsExactly(Deed.DOWNLOADED, Deed.BACKED_UP);
    assertThat(administrator.get("/setup/backups/lonja.db").status()).isEqualTo(404);
    assertThat(administrator.get("/setup/backups/..%2Flonja.db").status()).isBetween(400, 404);
  }

  /** The same form sent twice makes one copy. */
  @Test
  void aFormThatComesTwiceMakesOneCopy() {
    Visitor.Page page = administrator.get("/setup/backups");
    int before = page.document().select("tbody tr").size();
    administrator.submit(page.form("/setup/backups"), Map.of());
    administrator.submit(page.form("/setup/backups"), Map.of());
    assertThat(administrator.get("/setup/backups").document().select("tbody tr"))
        .hasSize(before + 1);
  }

  @Test
  void aFolderThatCannotBeWrittenToIsSaid() throws IOException {
    made();
    Path backups = SERVER.store().file().resolveSibling("backups");
    Path away = backups.resolveSibling("away");
    Files.move(backups, away);
    Files.writeString(backups, "in the way");
    assertThat(made().words()).contains("Nothing was changed").contains("no copy could be kept");
    Files.delete(backups);
    Files.move(away, backups);
    assertThat(made().words()).doesNotContain("no copy could be kept");
  }

  @Test
  void aClockThatJumpsIsSaid() {
    ClockWatch watch = SERVER.bean(ClockWatch.class);
    Instant noon = Instant.parse("2027-03-15T12:00:00Z");
    long hour = 3_600_000_000_000L;
    watch.look(0, noon);
    watch.look(hour, noon.plusSeconds(3_610));
    assertThat(watch.lastJump()).isEmpty();
    watch.look(2 * hour, noon.minusSeconds(86_400));
    assertThat(administrator.get("/setup/backups").words())
        .contains("The clock of this machine stood at 14 Mar, 12:00 when 15 Mar, 14:00");
  }
}
