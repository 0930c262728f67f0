package dev.lonja.app.receipt;

import static org.assertj.core.api.Assertions.assertThat;

import dev.lonja.app.server.LonjaServer;
import dev.lonja.app.server.Visitor;
import java.awt.Color;
import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.Arrays;
import java.util.Map;
import java.util.stream.Stream;
import javax.imageio.ImageIO;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDPage;
import org.apache.pdfbox.pdmodel.encryption.AccessPermission;
import org.apache.pdfbox.pdmodel.encryption.StandardProtectionPolicy;
import org.apache.pdfbox.pdmodel.interactive.action.PDActionJavaScript;
import org.apache.pdfbox.text.PDFTextStripper;
import org.junit.jupiter.api.Named;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/** Receipts are kept by what they are, printed with the record, and withdrawn with a reason. */
class ReceiptsTest {

  private static final String PAGE = "/fleet/GN-1/work/receipts";
  private static final String SHEETS = "/oils/products/2/sheets";

  @RegisterExtension static final LonjaServer SERVER = LonjaServer.withDemo();

  private final Visitor visitor = SERVER.signedInAs("storekeeper");

  private Visitor.Page keep(String day, String note, byte[] file) {
    return visitor.upload(
        visitor.get(PAGE).form("/receipts"), Map.of("day", day, "note", note), "file", file);
  }

  private static byte[] photo() throws IOException {
    BufferedImage image = new BufferedImage(300, 400, BufferedImage.TYPE_INT_RGB);
    image.createGraphics().setBackground(Color.WHITE);
    ByteArrayOutputStream bytes = new ByteArrayOutputStream();
    ImageIO.write(image, "png", bytes);
    return bytes.toByteArray();
  }

  private interface Made {
    void on(PDDocument document) throws IOException;
  }

  private static byte[] document(int pages, Made made) throws IOException {
    try (PDDocument document = new PDDocument()) {
      for (int i = 0; i < pages; i++) {
        document.addPage(new PDPage());
      }
      made.on(document);
      ByteArrayOutputStream bytes = new ByteArrayOutputStream();
      document.save(bytes);
      return bytes.toByteArray();
    }
  }

  /**
   * Sheets of a product: the latest of a kind holds, whoever works with it may open it; a photo, a
   * day to come and a sheet without its day are refused.
   */
  @Test
  void aProductKeepsItsDataSheets() throws IOException {
    byte[] sheet = document(2, document -> {});
    assertThat(sheet("2026-01-12", sheet).words()).contains("safety data sheet of 12 Jan 2026");
    Visitor.Page kept = sheet("2027-02-01", sheet);
    assertThat(kept.document().select("main li").eachText().get(0)).contains("1 Feb", "holds");
    assertThat(kept.document().select("main li").eachText().get(1)).contains("2026", "earlier");
    assertThat(sheet("2027-03-16", sheet).words()).contains("allowed is up to today, 2027-03-15");
    assertThat(sheet("soon", sheet).words()).contains("\"soon\" is not a date");
    assertThat(sheet("2027-02-01", photo()).words()).contains("That file is no PDF of 1 to");
    String pages = kept.document().select("main li a").first().attr("href");
    assertThat(SERVER.signedInAs("workshop").bytes(pages)).isEqualTo(sheet);
    assertThat(SERVER.signedInAs("workshop").get(SHEETS).hasForm("/sheets")).isFalse();
    Visitor.Page left = visitor.submit(kept.form("/remove"), Map.of());
    assertThat(left.document().select("main li")).hasSize(1);
    assertThat(visitor.get("/oils/products/999/sheets").status()).isEqualTo(404);
  }

  private Visitor.Page sheet(String day, byte[] file) {
    return visitor.upload(
        visitor.get(SHEETS).form("/sheets"), Map.of("dated", day, "kind", "SAFETY"), "file", file);
  }

  /** A photo and a document of two pages: the record has its own page, the photo's and those. */
  @Test
  void theyArePrintedWithTheRecord() throws IOException {
    int before = pages();
    assertThat(keep("2027-03-01", "North yard, receipt 4711", photo()).words())
        .contains("1 Mar North yard, receipt 4711", "kept by storekeeper");
    keep("2027-02-01", "load bank report", document(2, document -> {}));
    assertThat(pages()).isEqualTo(before + 3);
    assertThat(text()).contains("Receipts", "North yard, receipt 4711", "document, at the end");

    Visitor.Page page = visitor.get(PAGE);
    String shown = page.document().select("main img").attr("src");
    assertThat(visitor.get(shown).response().headers().firstValue("Content-Type"))
        .contains("image/jpeg");
    Visitor.Page gone =
        visitor.submit(
            page.form(shown.substring(shown.lastIndexOf('/')) + "/withdraw"),
            Map.of("reason", "of another set"));
    assertThat(gone.words()).contains("withdrawn of another set");
    assertThat(visitor.get(shown).status()).isEqualTo(404);
    assertThat(text()).doesNotContain("North yard");
    assertThat(SERVER.isSound()).isTrue();
  }

  private int pages() throws IOException {
    try (PDDocument record = Loader.loadPDF(visitor.bytes("/fleet/GN-1/work/record.pdf"))) {
      return record.getNumberOfPages();
    }
  }

  private String text() throws IOException {
    try (PDDocument record = Loader.loadPDF(visitor.bytes("/fleet/GN-1/work/record.pdf"))) {
      return new PDFTextStripper().getText(record);
    }
  }

  static Stream<Named<byte[]>> noReceipts() throws IOException {
    byte[] whole = document(1, document -> {});
    return Stream.of(
        Named.of("words", "a receipt, honestly".getBytes(StandardCharsets.UTF_8)),
        Named.of("half a document", Arrays.copyOf(whole, 40)),
        Named.of("half a photo", Arrays.copyOf(photo(), 60)),
        Named.of("no pages", document(0, document -> {})),
        Named.of("too many pages", document(21, document -> {})),
        Named.of(
            "a program in it",
            document(
                1,
                document ->
                    document
                        .getDocumentCatalog()
                        .setOpenAction(new PDActionJavaScript("app.alert(1)")))),
        Named.of(
            "a password",
            document(
                1,
                document ->
                    document.protect(
                        new StandardProtectionPolicy("owner", "user", new AccessPermission())))));
  }

  @ParameterizedTest
  @MethodSource("noReceipts")
  void whatIsNoReceiptIsRefused(byte[] file) {
    Visitor.Page answer = keep("2027-03-01", "something", file);
    assertThat(answer.words())
        .contains("Nothing was changed.", "That file is neither a PNG or JPEG photo nor a PDF");
    // what was typed stays
    assertThat(answer.document().select("#note").val()).isEqualTo("something");
  }

  @Test
  void theRestOfTheFormIsJudgedToo() throws IOException {
    assertThat(keep("2027-03-16", "tomorrow", photo()).words()).contains("2027-03-16");
    assertThat(keep("1999-01-01", "long ago", photo()).words())
        .contains("allowed is from the start of service");
    assertThat(keep("2027-03-01", "", photo()).words()).contains("What it is");
    assertThat(keep("2027-03-01", "nothing chosen", new byte[0]).words())
        .contains("Choose the photo or the document.");
    assertThat(visitor.get("/fleet/XX-1/work/receipts").status()).isEqualTo(404);
    assertThat(visitor.get(PAGE + "/99999").status()).isEqualTo(404);
  }

  @Test
  void theDemoHoldsOne() {
    assertThat(visitor.get("/fleet/RT-01/work/receipts").words())
        .contains("29 Jan North yard, brake test, receipt 4711");
  }

  @Test
  void whoOnlyReadsKeepsNone() {
    Visitor.Page page = SERVER.signedInAs("auditor").get(PAGE);
    assertThat(page.status()).isEqualTo(200);
    assertThat(page.hasForm("/receipts")).isFalse();
  }
}
