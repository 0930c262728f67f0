package dev.lonja.app.crossref;

import static org.assertj.core.api.Assertions.assertThat;

import dev.lonja.app.server.LonjaServer;
import dev.lonja.app.server.Visitor;
import dev.lonja.core.part.PartId;
import dev.lonja.core.part.PartKey;
import java.util.HashMap;
import java.util.Map;
import org.jsoup.nodes.FormElement;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** What people state, and how it is settled. */
class StatementsPageTest {

  @RegisterExtension static final LonjaServer SERVER = LonjaServer.withDemo();

  private final Visitor visitor = SERVER.signedInAs("storekeeper");

  private Visitor.Page state(String of, String... fields) {
    Map<String, String> typed = new HashMap<>();
    typed.put("way", "this");
    typed.put("source", "heard");
    for (int i = 0; i < fields.length; i += 2) {
      typed.put(fields[i], fields[i + 1]);
    }
    return visitor.submit(page(of).form("/statements"), typed);
  }

  private Visitor.Page page(String number) {
    return visitor.get("/parts/" + part(number));
  }

  private static PartId part(String number) {
    return SERVER
        .store()
        .<PartId>read(
            session -> session.parts().byKey(PartKey.of(number).orElseThrow(), 9).get(0).id());
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "kind=same,number=ms 300.18|That is the same part; a statement needs two.",
        "kind=never,number=OS Z11|Say why it must never be used",
        "kind=never,number=OS Z11,note=   |Say why it must never be used",
        "kind=interchange,number=QQ 1|No part has the number \"QQ 1\".",
        "kind=interchange,number=44107|2 parts have that number; write the make before it.",
        "kind=interchange,number=-/-,make=Nortrap|holds no letter and no digit",
        "kind=,number=OS Z11|Choose what is said.",
        "kind=same,number=OS Z11,source=|Choose who says so.",
        "kind=same,number=OS Z11,saidOn=2027-03-16|2027-03-16 is in the future",
        "kind=same,number=OS Z11,confidence=1.1|The confidence is 1.1; allowed is more than 0",
        "kind=same,number=OS Z11,confidence=0.12345|write at most four decimals"
      })
  void whatMayNotBeStatedStaysInItsFields(String fields, String problem) {
    String[] typed = fields.split("[=,]", -1);
    Visitor.Page answer = state("MS 300-18", typed);
    assertThat(answer.words()).contains("Nothing was changed.").contains(problem);
    String number = fields.replaceAll(".*number=([^,]*).*", "$1");
    assertThat(answer.document().select("#other-number").val()).isEqualTo(number);
    assertThat(page("MS 300-18").words()).contains("Nothing has been said of this number yet.");
  }

  /** CV 2-0014 replaces CV 2-0012; the other way round would go in a circle. */
  @Test
  void aCircleOfReplacementsIsNamed() {
    assertThat(state("CV 2-0012", "kind", "replaces", "number", "CV 2-0014").words())
        .contains("That would go in a circle: CV 2-0012 is replaced by CV 2-0014");
  }

  /** A number nobody knew, stated with its make, offered, doubted, withdrawn and stated anew. */
  @Test
  void aStatementFromItsFirstWordToItsLast() {
    Visitor.Page said =
        state(
            "LT 4-0200",
            "kind",
            "stands_in",
            "way",
            "other",
            "make",
            "Ravelin",
            "number",
            "RV 9-88",
            "note",
            "as a stopgap");
    assertThat(said.document().select(".fits li").text()).contains("stopgap", "RV 9-88", "0.60");
    assertThat(visitor.get("/find?q=rv988").words()).contains("kind not known", "not stocked");
    assertThat(state("LT 4-0200", "kind", "stands_in", "way", "other", "number", "RV 9-88").words())
        .contains("That stands already from the same source");
    FormElement withdraw = page("LT 4-0200").form("/withdraw");
    assertThat(visitor.submit(withdraw, Map.of("reason", " ")).words())
        .contains("The reason is missing.");
    Visitor.Page gone = visitor.submit(withdraw, Map.of("reason", "it slipped"));
    assertThat(gone.words())
        .contains("withdrawn by storekeeper on 15 Mar: it slipped", "Nobody has said yet");
    assertThat(
            visitor
                .submit(withdraw, Map.of("reason", "twice", "requestKey", "another-key"))
                .words())
        .contains("withdrawn already");
    assertThat(
            state("LT 4-0200", "kind", "stands_in", "way", "other", "number", "RV 9-88")
                .document()
                .select(".fits li")
                .text())
        .contains("RV 9-88");
  }

  /** The heard word against the look-alike's veto is withdrawn; the veto stays. */
  @Test
  void aConflictIsSettledByWithdrawingOneSide() {
    Visitor.Page conflicts = visitor.get("/find/conflicts");
    assertThat(conflicts.words())
        .contains("Pellam PL 4107-S for Pellam PL 4107-B", "a veto: bypass opens at 2.5 bar");
    FormElement heard =
        (FormElement) conflicts.document().select("li:contains(same housing) form").first();
    Visitor.Page settled =
        visitor.submit(heard, Map.of("reason", "the housing is, the bypass is not"));
    assertThat(settled.words()).doesNotContain("PL 4107-S for");
    assertThat(
            visitor
                .get("/parts/" + part("PL 4107-B"))
                .document()
                .select(".fits li:contains(PL 4107-S)")
                .text())
        .contains("does not fit", "never")
        .doesNotContain("conflict");
  }

  @Test
  void onlyWhoKeepsTheStoreStatesAnything() {
    Visitor auditor = SERVER.signedInAs("auditor");
    Visitor.Page page = auditor.get("/parts/" + part("PL 4107-B"));
    assertThat(page.hasForm("/statements")).isFalse();
    Map<String, String> fields =
        Visitor.filled(
            page("PL 4107-B").form("/statements"),
            Map.of("kind", "same", "number", "OS Z11", "source", "heard"));
    fields.remove("_csrf");
    assertThat(auditor.post("/parts/" + part("PL 4107-B") + "/statements", fields).status())
        .isEqualTo(403);
  }
}
