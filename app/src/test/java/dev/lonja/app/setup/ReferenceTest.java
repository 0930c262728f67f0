package dev.lonja.app.setup;

import static org.assertj.core.api.Assertions.assertThat;

import dev.lonja.app.server.LonjaServer;
import dev.lonja.app.server.Visitor;
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

  /** An empty store begins with its bins, then its first item. */
  @Test
  void binsArePutUpAtTheEndOfTheWalk() {
    Visitor.Page page = visitor.get("/setup/reference");
    for (String[] wrong :
        new String[][] {
          {" ", "Write an address such as A-03"},
          {"a-03 F-01", "There is a bin A-03 already."},
          {"FAR-BEHIND-THE-QUAY", "has 19 characters; allowed are 12."}
        }) {
      Visitor.Page answer = visitor.submit(page.form("/bins"), Map.of("bins", wrong[0]));
      assertThat(answer.words()).contains("Nothing was changed.", wrong[1]);
      assertThat(answer.document().select("#bins").val()).isEqualTo(wrong[0].strip());
    }
    assertThat(visitor.submit(page.form("/bins"), Map.of("bins", "f-01 F-02")).words())
        .contains("100: A-01", "Y-08 F-01 F-02");
    assertThat(visitor.get("/find?q=f-02").words()).contains("Bin F-02: 0 items at home here.");
  }

  @Test
  void aSupplierIsAddedOnce() {
    Visitor.Page page = visitor.get("/setup/reference");
    assertThat(
            visitor
                .submit(page.form("/suppliers"), Map.of("name", "isla lubricants", "leadDays", "x"))
                .words())
        .contains("\"x\" is not a number.");
    assertThat(
            visitor
                .submit(page.form("/suppliers"), Map.of("name", "isla lubricants", "leadDays", "6"))
                .words())
        .contains("There is a supplier isla lubricants already.");
    assertThat(
            visitor
                .submit(page.form("/suppliers"), Map.of("name", "Muelle Norte", "leadDays", "6"))
                .document()
                .select("tr:contains(Muelle Norte)")
                .text())
        .contains("6");
  }

  /** 0 to 400 days, as in the file and in the schema: one round the corner brings it today. */
  @Test
  void aSuppliersDaysHaveTheLimitsOfTheFile() {
    Visitor.Page page = visitor.get("/setup/reference");
    for (String[] wrong :
        new String[][] {
          {"401", "The lead time in days is 401; allowed is 0 to 400."},
          {"-1", "The lead time in days is -1; allowed is 0 to 400."},
          {"2.5", "The lead time in days is 2.5; write a whole number."}
        }) {
      Map<String, String> form = Map.of("name", "Casa del Muelle", "leadDays", wrong[0]);
      assertThat(visitor.submit(page.form("/suppliers"), form).words())
          .contains("Nothing was changed.", wrong[1]);
    }
    Map<String, String> today = Map.of("name", "Casa del Muelle", "leadDays", "0");
    assertThat(
            visitor
                .submit(page.form("/suppliers"), today)
                .document()
                .select("tr:contains(Casa del Muelle)")
                .text())
        .contains("0");
  }
}
