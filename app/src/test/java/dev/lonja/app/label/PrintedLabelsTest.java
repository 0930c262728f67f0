package dev.lonja.app.label;

import static org.assertj.core.api.Assertions.assertThat;

import dev.lonja.app.server.LonjaServer;
import dev.lonja.app.server.Visitor;
import java.io.IOException;
import java.util.Map;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.text.PDFTextStripper;
import org.jsoup.nodes.FormElement;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;

/** What is sent to the label printer comes out of it, once. */
class PrintedLabelsTest {

  @RegisterExtension static final LonjaServer SERVER = LonjaServer.withDemo();

  private final Visitor visitor = SERVER.signedInAs("storekeeper");

  private Visitor.Page bench(Map<String, String> fields) {
    return visitor.submit(visitor.get("/bench").form("/bench/labels"), fields);
  }

  private static int out(Visitor.Page bench) {
    return bench.document().select("a[href^=/bench/labels/]").size();
  }

  @Test
  void aLabelComesOutOnceHoweverOftenItIsSent() throws IOException {
    int before = out(visitor.get("/bench"));
    FormElement print = visitor.get("/trays/8").form("/labels/print");
    assertThat(visitor.submit(print, Map.of()).path()).isEqualTo("/trays/8");
    visitor.submit(print, Map.of());
    Visitor.Page bench = visitor.get("/bench");
    assertThat(out(bench)).isEqualTo(before + 1);
    String page = bench.document().select("a[href^=/bench/labels/]").get(0).attr("href");
    try (PDDocument label = Loader.loadPDF(visitor.bytes(page))) {
      assertThat(new PDFTextStripper().getText(label)).contains("tray T-0008", "AT-3");
    }
  }

  /** It says so, prints nothing, and the same page sends it again once there are some. */
  @Test
  void anEmptyPrinterSaysSo() {
    bench(Map.of("none", "true"));
    int before = out(visitor.get("/bench"));
    FormElement print = visitor.get("/fleet/RT-04/work").form("/labels/print");
    Visitor.Page refused = visitor.submit(print, Map.of());
    assertThat(refused.words()).contains("The label printer has no labels left.");
    assertThat(out(visitor.get("/bench"))).isEqualTo(before);

    Map<String, String> filled =
        Visitor.filled(visitor.get("/bench").form("/bench/labels"), Map.of());
    filled.remove("none");
    visitor.post("/bench/labels", filled);
    assertThat(visitor.submit(refused.form("/labels/print"), Map.of()).path())
        .isEqualTo("/fleet/RT-04/work");
    assertThat(out(visitor.get("/bench"))).isEqualTo(before + 1);
  }

  @Test
  void onlyWhatIsThereIsPrintedAndOnlyPagesOfLonjaAreGoneBackTo() {
    FormElement print = visitor.get("/trays/8").form("/labels/print");
    for (String none : new String[] {"trays/99999", "trays/x", "nothing/1", "items/31/lots", ""}) {
      assertThat(visitor.submit(print, Map.of("label", none)).status()).as(none).isEqualTo(404);
    }
    FormElement again = visitor.get("/trays/9").form("/labels/print");
    assertThat(visitor.submit(again, Map.of("from", "//elsewhere.example/")).path()).isEqualTo("/");
  }
}
