package dev.lonja.app.meter;

import static org.assertj.core.api.Assertions.assertThat;

import dev.lonja.app.server.LonjaServer;
import dev.lonja.app.server.Visitor;
import java.io.IOException;
import java.util.Map;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.text.PDFTextStripper;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;

/** Machines that report their meters, the schools of intervals and the machine sheet, over HTTP. */
class FeedTest {

  @RegisterExtension static final LonjaServer SERVER = LonjaServer.withDemo();

  private final Visitor visitor = SERVER.signedInAs("storekeeper");

  /** Six vans report, the first says 0: all six are kept, one flagged. */
  @Test
  void reportsAreTakenInAndWhatDoesNotFitIsFlagged() {
    assertThat(visitor.get("/fleet/meters").words()).doesNotContain("reported by the machines");
    Visitor.Page bench = visitor.get("/bench");
    visitor.submit(bench.form("/bench/meters"), Map.of("unitClass", "VN", "fault", "true"));
    Visitor.Page meters = visitor.get("/fleet/meters");
    assertThat(meters.words()).contains("6 readings have been reported by the machines");
    Visitor.Page taken = visitor.submit(meters.form("/feed"), Map.of());
    assertThat(taken.words()).contains("6 noted.").contains("1 of them flagged");
    assertThat(visitor.get("/fleet/VN-1/meters").words()).contains("0 km").contains("backwards");
    assertThat(visitor.get("/fleet/meters").words()).doesNotContain("reported by the machines");
    assertThat(SERVER.isSound()).isTrue();
  }

  /** The maker's interval leaves the forklifts' dust aside: 250 h again instead of 200 h. */
  @Test
  void theSchoolOfTheStoreDecidesWhichIntervalHolds() {
    assertThat(visitor.get("/fleet/FL-4").words())
        .contains("+ 200 h, shortened by 0.8: dusty ice-salt floor")
        .contains(
            "The maker's interval is 250 h or 6 months; what is in force here is the maker's"
                + " interval by severity, with its calendar limit.");
    Visitor.Page shown =
        visitor.get("/setup/policies/service-interval?school=MAKERS_INTERVAL&of=store");
    visitor.submit(shown.form("/service-interval"), Map.of());
    assertThat(visitor.get("/fleet/FL-4").words())
        .contains("+ 250 h gives")
        .doesNotContain("shortened by 0.8");
    String shortened =
        "/setup/policies/service-interval?school=SHORTENED&of=store&number-shortened=";
    Visitor.Page wrong = visitor.get(shortened + "1.2");
    assertThat(wrong.words()).contains("The factor is 1.2; allowed is 0.1 to 1.");
    assertThat(wrong.document().select("#number-shortened").val()).isEqualTo("1.2");
    assertThat(visitor.get(shortened).words()).contains("The factor is");
  }

  /** Each machine on one page of paper, with its words in it. */
  @Test
  void theMachineSheetIsOnePageOfPdf() throws IOException {
    for (String unit : new String[] {"RT-03", "WB-1", "AT-1", "BH-2", "GN-2"}) {
      Visitor.Page sheet = visitor.get("/fleet/" + unit + "/sheet.pdf");
      assertThat(sheet.status()).isEqualTo(200);
      assertThat(sheet.response().headers().firstValue("Content-Type")).contains("application/pdf");
      try (PDDocument document = Loader.loadPDF(visitor.bytes("/fleet/" + unit + "/sheet.pdf"))) {
        assertThat(document.getNumberOfPages()).as(unit).isEqualTo(1);
        assertThat(new PDFTextStripper().getText(document))
            .contains(unit, "What it takes", "First pour", "a qualified person");
      }
    }
    assertThat(visitor.get("/fleet/XX-1/sheet.pdf").status()).isEqualTo(404);
  }

  /** RT-03's fills say 12.30 L against 11.80 in the book; taken, the page says it was learned. */
  @Test
  void aCapacityIsLearnedFromFillsWhenAPersonTakesIt() {
    Visitor.Page page = visitor.get("/fleet/RT-03");
    assertThat(page.words()).contains("12.30 L instead of 11.80 L");
    Visitor.Page taken = visitor.submit(page.form("/learned"), Map.of());
    assertThat(taken.words())
        .contains("12.30 L drain with filter", "learned", "median of the fills until then")
        .doesNotContain("What the fills propose");
    assertThat(SERVER.isSound()).isTrue();
  }
}
