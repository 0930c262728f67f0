package dev.lonja.app.crossref;

import static org.assertj.core.api.Assertions.assertThat;

import dev.lonja.app.server.LonjaServer;
import dev.lonja.app.server.Visitor;
import dev.lonja.core.part.PartId;
import dev.lonja.desk.crossref.ListDesk;
import java.nio.charset.StandardCharsets;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;

/** Lists of cross-references, in with a preview and out again. */
class ListsTest {

  @RegisterExtension static final LonjaServer SERVER = LonjaServer.withDemo();

  private static final String HEADER =
      "make,number,kind,other_make,other_number,confidence,note\r\n";

  private final Visitor visitor = SERVER.signedInAs("storekeeper");

  private Visitor.Page check(String csv) throws InterruptedException {
    Visitor.Page lists = visitor.get("/find/lists");
    visitor.upload(
        lists.form("/find/lists"),
        Map.of("source", "supplier", "saidOn", "2027-03-01"),
        "file",
        csv.getBytes(StandardCharsets.UTF_8));
    return waited();
  }

  /** The page once nothing runs any more. */
  private Visitor.Page waited() throws InterruptedException {
    for (int i = 0; i < 200; i++) {
      boolean running =
          SERVER.as(
              "STOREKEEPER",
              () ->
                  SERVER.bean(ListDesk.class).progress().stream()
                      .anyMatch(p -> p.state().isRunning()));
      if (!running) {
        return visitor.get("/find/lists");
      }
      Thread.sleep(50);
    }
    throw new AssertionError("the list does not come to an end");
  }

  @Test
  void aListIsSeenBeforeItIsTakenInAndComesOutAgain() throws InterruptedException {
    Visitor.Page preview =
        check(
            HEADER
                + "Ravelin,RV 1160-7,interchange,Nortrap,NT 99 100,,\r\n"
                + "nortrap,nt-99.100,interchange,Ravelin,RV 1160-7,,said twice\r\n"
                + "NORTRAP,NT 20 600,interchange,Pellam,PL 4107-B,0.85,known\r\n"
                + "Nortrap,NT 20 680,never,Pellam,PL 7680-H,1,\"collapses, seen twice\"\r\n");
    assertThat(preview.words())
        .contains("new statements 2")
        .contains("numbers not known before 1")
        .contains("known already, passed over 1")
        .contains("said twice in the list, passed over 1")
        .contains("1 contradict what stands")
        .contains("line 5: Nortrap NT 20 680 never for Pellam PL 7680-H");
    assertThat(visitor.get("/find?q=NT+99+100").words())
        .contains("No item, unit, bin or tray is called");
    visitor.submit(preview.form("/apply"), Map.of());
    assertThat(waited().words()).contains("2 statements of file were taken in.");
    assertThat(visitor.get("/find?q=NT+99+100").path()).startsWith("/parts/");
    assertThat(visitor.get("/find/conflicts").words()).contains("collapses, seen twice");
    String csv = new String(visitor.bytes("/find/lists.csv"), StandardCharsets.UTF_8);
    assertThat(csv)
        .startsWith("make,number,kind,other_make,other_number,confidence,note,source,said_on\r\n")
        .contains(
            "Nortrap,NT 20 680,never,Pellam,PL 7680-H,1,\"collapses, seen twice\",supplier,2027-03-01");
    // what came out says nothing new when it comes in again
    assertThat(check(csv).words()).contains("new statements 0").doesNotContain("Take it in");
    assertThat(SERVER.isSound()).isTrue();
  }

  @Test
  void everyBadRowIsNamedAndNothingIsTakenIn() throws InterruptedException {
    Visitor.Page preview =
        check(
            HEADER
                + "Ravelin,RV 77-1,sames,Nortrap,NT 1,,\r\n"
                + "Ravelin,--,same,Nortrap,NT 1,,\r\n"
                + "Ravelin,RV 77-1,same,ravelin,rv771,,\r\n"
                + "Ravelin,RV 77-1,never,Nortrap,NT 1,,\r\n"
                + "Ravelin,RV 77-1,same,Nortrap,NT 1,2,\r\n"
                + ",RV 77-1,same,Nortrap,NT 1,,\r\n"
                + "Ravelin,RV 77-1,same,Nortrap,NT 77,,\r\n"
                + "Ravelin,RV 77-2,replaces,Ravelin,RV 77-3,,\r\n"
                + "Ravelin,RV 77-3,replaces,Ravelin,RV 77-2,,\r\n");
    assertThat(preview.words())
        .contains("8 rows are wrong")
        .contains("line 2, column kind: \"sames\"; allowed is one of same, interchange")
        .contains("line 3, column number: \"--\"")
        .contains("line 4, column other_number: \"rv771\"; allowed is another part")
        .contains("line 5, column note: \"\"; allowed is the reason")
        .contains("line 6, column confidence: \"2\"")
        .contains("line 7, column make: \"\"")
        .contains("line 9, column kind: \"replaces\"; allowed is no circle")
        .contains("line 10, column kind");
    assertThat(preview.hasForm("/apply")).isFalse();
    visitor.submit(preview.form("/cancel"), Map.of());
    assertThat(visitor.get("/find/lists").words()).contains("cancelled. Nothing of it");
    assertThat(visitor.get("/find?q=RV+77-1").words()).contains("No item, unit, bin or tray");
  }

  @Test
  void aFileThatIsNone() throws InterruptedException {
    assertThat(check("make;number\r\nRavelin;RV 1\r\n").words())
        .contains("allowed is a header with");
    assertThat(check("\r\n").words()).contains("an empty file");
    Visitor.Page lists = visitor.get("/find/lists");
    assertThat(
            visitor
                .upload(lists.form("/find/lists"), Map.of("source", ""), "file", new byte[] {65})
                .words())
        .contains("Choose whose list it is.");
    assertThat(
            visitor
                .upload(lists.form("/find/lists"), Map.of("source", "heard"), "file", new byte[0])
                .words())
        .contains("Choose a CSV file first.");
  }

  /** What is stated while a list waits makes it stale. */
  @Test
  void aListThatOthersOvertookIsCheckedAgain() throws InterruptedException {
    Visitor.Page preview = check(HEADER + "Ravelin,RV 5104,same,Osmere,OS 5104,,\r\n");
    SERVER.store().<PartId>write(s -> s.parts().add("Osmere", "OS 61", java.util.Optional.empty()));
    visitor.submit(preview.form("/apply"), Map.of());
    assertThat(waited().words()).contains("Something else was stated meanwhile; check it again.");
    assertThat(visitor.get("/find?q=OS+5104").path()).startsWith("/find");
  }
}
