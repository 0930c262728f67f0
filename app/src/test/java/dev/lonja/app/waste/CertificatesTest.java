package dev.lonja.app.waste;

import static org.assertj.core.api.Assertions.assertThat;

import dev.lonja.app.server.LonjaServer;
import dev.lonja.app.server.Visitor;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.Map;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDPage;
import org.jsoup.nodes.Element;
import org.jsoup.nodes.FormElement;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;

/** What proves where waste went is kept with its collection, and withdrawn with a reason. */
class CertificatesTest {

  private static final String PAGE = "/stores/waste/1";

  @RegisterExtension static final LonjaServer SERVER = LonjaServer.withDemo();

  private final Visitor visitor = SERVER.signedInAs("storekeeper");

  private Visitor.Page keep(byte[] file) {
    return visitor.upload(visitor.get(PAGE).form("/certificates"), Map.of(), "file", file);
  }

  private static byte[] onePage() throws IOException {
    try (PDDocument document = new PDDocument()) {
      document.addPage(new PDPage());
      ByteArrayOutputStream bytes = new ByteArrayOutputStream();
      document.save(bytes);
      return bytes.toByteArray();
    }
  }

  @Test
  void aDocumentIsKeptReadAndWithdrawn() throws IOException {
    Visitor.Page kept = keep(onePage());
    assertThat(kept.words()).contains("document, kept by storekeeper");
    Element link = kept.document().selectFirst("a[href*=/certificates/]");
    String path = link.attr("href");
    try (PDDocument read = Loader.loadPDF(visitor.bytes(path))) {
      assertThat(read.getNumberOfPages()).isEqualTo(1);
    }
    assertThat(visitor.ask(path.replace("/waste/1/", "/waste/2/")).status()).isEqualTo(404);
    Visitor.Page asked = visitor.submit(kept.form("/withdraw"), Map.of("why", ""));
    assertThat(asked.text(".field-error")).contains("The reason");
    Visitor.Page gone =
        visitor.submit(
            visitor.get(PAGE).form(path.substring(path.lastIndexOf('/')) + "/withdraw"),
            Map.of("why", "of another drum"));
    assertThat(gone.words()).contains("withdrawn: of another drum");
    assertThat(visitor.ask(path).status()).isEqualTo(404);
    assertThat(SERVER.isSound()).isTrue();
  }

  @Test
  void whatIsNoPaperIsRefused() {
    Visitor.Page refused = keep("not a paper".getBytes(StandardCharsets.UTF_8));
    assertThat(refused.text(".field-error")).contains("neither a PNG or JPEG photo nor a PDF");
    Visitor.Page none = keep(new byte[0]);
    assertThat(none.text(".field-error")).contains("Choose the photo or the document");
  }

  @Test
  void aCertificateOfAnotherContainersCollectionIsRefused() throws IOException {
    String own = visitor.get(PAGE).form("/certificates").attr("action");
    Visitor.Page page = visitor.get(PAGE);
    Visitor.Page refused =
        visitor.upload(
            (FormElement)
                page.form("/certificates").attr("action", own.replace("/waste/1/", "/waste/2/")),
            Map.of(),
            "file",
            onePage());
    assertThat(refused.words()).contains("is not on file any more");
  }
}
