package dev.lonja.web.setup;

import static org.assertj.core.api.Assertions.assertThat;

import dev.lonja.web.server.LonjaServer;
import dev.lonja.web.server.Visitor;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;

/** Reference data as this store has it. */
class ReferenceTest {

  @RegisterExtension static final LonjaServer SERVER = LonjaServer.withDemo();

  private final Visitor visitor = SERVER.signedInAs("storekeeper");

  @Test
  void aRubberIsSetOtherwiseAndBack() {
    Visitor.Page page = visitor.get("/setup/reference");
    assertThat(page.document().select("tr:contains(VMQ)").text()).contains("not known");
    Map<String, String> hnbr = Map.of("rubber", "HNBR", "fluid", "diesel", "guidance", "check");
    Visitor.Page set = visitor.submit(page.form("/rubbers"), hnbr);
    assertThat(set.document().select("tr:contains(HNBR)").text()).contains("changed here");
    Visitor.Page back =
        visitor.submit(
            visitor.get("/setup/reference").form("/rubbers"),
            Map.of("rubber", "HNBR", "fluid", "diesel", "guidance", "yes"));
    assertThat(back.words()).doesNotContain("changed here");
    assertThat(
            visitor
                .submit(visitor.get("/setup/reference").form("/rubbers"), Map.of("rubber", "PTFE"))
                .words())
        .contains("Choose a rubber, a fluid");
  }

  @Test
  void aSupplierIsAddedOnce() {
    Visitor.Page page = visitor.get("/setup/reference");
    assertThat(
            visitor
                .submit(page.form("/suppliers"), Map.of("name", "isla lubricants", "leadDays", "x"))
                .words())
        .contains("There is a supplier isla lubricants already.", "\"x\" is not a number.");
    assertThat(
            visitor
                .submit(page.form("/suppliers"), Map.of("name", "Muelle Norte", "leadDays", "6"))
                .document()
                .select("tr:contains(Muelle Norte)")
                .text())
        .contains("6");
  }
}
