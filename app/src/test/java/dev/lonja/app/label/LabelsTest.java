package dev.lonja.app.label;

import static org.assertj.core.api.Assertions.assertThat;

import com.google.zxing.BinaryBitmap;
import com.google.zxing.RGBLuminanceSource;
import com.google.zxing.common.HybridBinarizer;
import com.google.zxing.oned.Code128Reader;
import dev.lonja.app.server.LonjaServer;
import dev.lonja.app.server.Visitor;
import java.awt.image.BufferedImage;
import java.io.IOException;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.rendering.PDFRenderer;
import org.apache.pdfbox.text.PDFTextStripper;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Labels and the service record, as they come out of a printer. */
class LabelsTest {

  @RegisterExtension static final LonjaServer SERVER = LonjaServer.forReading();

  private final Visitor visitor = SERVER.signedInAs("storekeeper");

  private String text(String path) throws IOException {
    try (PDDocument document = Loader.loadPDF(visitor.bytes(path))) {
      return new PDFTextStripper().getText(document);
    }
  }

  private String bars(String path) throws Exception {
    try (PDDocument document = Loader.loadPDF(visitor.bytes(path))) {
      assertThat(document.getNumberOfPages()).isEqualTo(1);
      BufferedImage page = new PDFRenderer(document).renderImageWithDPI(0, 300);
      int width = page.getWidth();
      int height = page.getHeight();
      return new Code128Reader()
          .decode(
              new BinaryBitmap(
                  new HybridBinarizer(
                      new RGBLuminanceSource(
                          width, height, page.getRGB(0, 0, width, height, null, 0, width)))))
          .getText();
    }
  }

  /** A scan of the label leads to the thing, the × of a washer's size too. */
  @ParameterizedTest
  @CsvSource({"PL 4107-B, PL4107B", "Cu 14×18×1.5, CU14X18X15"})
  void anItemsLabelFindsTheItem(String number, String key) throws Exception {
    String path = "/labels/items/" + SERVER.itemId(number) + ".pdf";
    assertThat(text(path)).contains(number, "bin");
    assertThat(bars(path)).isEqualTo(key);
    assertThat(visitor.get("/find?q=" + bars(path)).path())
        .isEqualTo("/items/" + SERVER.itemId(number));
  }

  @Test
  void binsTraysAndMachinesHaveTheirOwn() throws Exception {
    assertThat(bars("/labels/bins/a-03.pdf")).isEqualTo("A-03");
    assertThat(text("/labels/trays/8.pdf")).contains("tray T-0008", "AT-3", "Oil, three drains");
    assertThat(bars("/labels/trays/8.pdf")).isEqualTo("T-0008");
    assertThat(bars("/labels/machines/RT-04.pdf")).isEqualTo("RT-04");
    // RT-04's small and large service have their tray; the cold unit's is next
    assertThat(text("/labels/machines/RT-04/next.pdf"))
        .contains("next service of", "RT-04", "Cold unit service", "as of 2027-03-15");
    for (String none : new String[] {"/labels/bins/Z-99.pdf", "/labels/machines/XX-1.pdf"}) {
      assertThat(visitor.get(none).status()).as(none).isEqualTo(404);
    }
  }

  /**
   * A can into which oil is decanted says what it is, what it does to people and until when it may
   * be used; whatever the product, it is one label.
   */
  @Test
  void aCanThatIsFilledFromADrumSaysWhatIsInIt() throws Exception {
    assertThat(text("/labels/products/1.pdf"))
        .contains("Maretta", "Faro", "15W-40", "Hot oil: Burns skin.", "Used oil:")
        .contains("filled 2027-03-15", "use by", "see the safety data sheet");
    for (int product = 1; product <= 15; product++) {
      try (PDDocument label =
          Loader.loadPDF(visitor.bytes("/labels/products/" + product + ".pdf"))) {
        assertThat(label.getNumberOfPages()).as("product " + product).isEqualTo(1);
      }
    }
    assertThat(visitor.get("/labels/products/999.pdf").status()).isEqualTo(404);
  }

  /** AT-4's air filter went out on 10 March at 631.2 h; what still lies on a tray is not marked. */
  @Test
  void theFiltersOfAJobAreMarked() throws Exception {
    assertThat(visitor.get("/trays/4").document().select("a[href$=filters.pdf]")).hasSize(1);
    assertThat(text("/labels/trays/4/filters.pdf"))
        .contains("new on 2027-03-10", "AT-4", "hours 631.2 h");
    assertThat(bars("/labels/trays/4/filters.pdf")).isEqualTo("T-0004");
    assertThat(visitor.get("/trays/8").document().select("a[href$=filters.pdf]")).isEmpty();
    for (String none : new String[] {"8", "6", "99"}) {
      assertThat(visitor.get("/labels/trays/" + none + "/filters.pdf").status())
          .as(none)
          .isEqualTo(404);
    }
  }

  /** A job with its tray, its lots and its finding; what came back unused is not on it. */
  @Test
  void theServiceRecordSaysWhatTheMachineGot() throws IOException {
    assertThat(text("/fleet/WB-5/work/record.pdf"))
        .contains("WB-5 Service record", "2027-03-09", "bilge pump hose burst", "HC 16-25, lot")
        .contains("hose beside it is hard and cracked");
    assertThat(text("/fleet/VN-6/work/record.pdf"))
        .contains("2027-03-06", "Change engine oil", "workshop", "rear door seal", "lot Q7-5361");
    assertThat(visitor.get("/fleet/XX-1/work/record.pdf").status()).isEqualTo(404);
  }
}
