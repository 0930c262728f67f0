package dev.lonja.app.report;

import static org.assertj.core.api.Assertions.assertThat;

import dev.lonja.app.server.LonjaServer;
import dev.lonja.app.server.Visitor;
import java.io.IOException;
import java.util.List;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.text.PDFTextStripper;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** The report of a job that is back, three times the same. */
class CompletionTest {

  private static final String VAN = "/trays/1/report";

  @RegisterExtension static final LonjaServer SERVER = LonjaServer.forReading();

  private final Visitor visitor = SERVER.signedInAs("storekeeper");

  @Test
  void aMachineReadsIt() {
    JsonNode report =
        JsonMapper.builder().build().readTree(visitor.get(VAN + ".json").response().body());
    assertThat(report.get("tray").stringValue()).isEqualTo("T-0001");
    assertThat(report.get("machine").get("code").stringValue()).isEqualTo("VN-6");
    assertThat(report.get("backOn").stringValue()).isEqualTo("2027-03-06");
    assertThat(report.get("handedOverTo").stringValue()).isEqualTo("workshop");
    assertThat(report.get("meters").get(0).get("unit").stringValue()).isEqualTo("km");
    JsonNode oil = find(report.get("tasks"), "task", "Change engine oil");
    assertThat(oil.get("outcome").stringValue()).isEqualTo("done");
    // what a job does not have is absent
    assertThat(oil.has("why")).isFalse();
    JsonNode parts = report.get("material").get("parts");
    assertThat(parts.valueStream().map(p -> p.get("lots").get(0).stringValue()))
        .contains("Q7-5361");
    assertThat(parts.valueStream().map(p -> p.get("quantity").decimalValue().signum()))
        .containsOnly(1);
  }

  private static JsonNode find(JsonNode rows, String field, String value) {
    return rows.valueStream()
        .filter(row -> row.get(field).stringValue().equals(value))
        .findFirst()
        .orElseThrow();
  }

  @Test
  void aPersonReadsItAsTextAndOnPaper() throws IOException {
    String text = visitor.get(VAN + ".txt").response().body();
    List<String> said =
        List.of("Completion report", "VN-6", "Change engine oil", "Q7-5361", "rear door seal");
    assertThat(text).contains(said).contains("Change engine oil: done");
    try (PDDocument document = Loader.loadPDF(visitor.bytes(VAN + ".pdf"))) {
      assertThat(new PDFTextStripper().getText(document)).contains(said);
      assertThat(document.getNumberOfPages()).isEqualTo(1);
    }
    assertThat(visitor.get("/trays/1").text(".title")).contains("Completion report", "as JSON");
  }

  /** A job that is laid, or out, has nothing to report. */
  @Test
  void onlyAJobThatIsBackHasOne() {
    assertThat(visitor.get("/trays/8/report.json").status()).isEqualTo(404);
    assertThat(visitor.get("/trays/4/report.txt").status()).isEqualTo(404);
    assertThat(visitor.get("/trays/8").text(".title")).doesNotContain("Completion report");
    assertThat(SERVER.signedInAs("workshop").get(VAN + ".pdf").status()).isNotEqualTo(200);
  }
}
