package dev.lonja.app.card;

import static org.assertj.core.api.Assertions.assertThat;

import com.google.zxing.BinaryBitmap;
import com.google.zxing.RGBLuminanceSource;
import com.google.zxing.common.HybridBinarizer;
import com.google.zxing.datamatrix.DataMatrixReader;
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

/** The job card of FL-7's tray, a service of 250 h, on the screen and on paper. */
class JobCardTest {

  @RegisterExtension static final LonjaServer SERVER = LonjaServer.forReading();

  private final Visitor visitor = SERVER.signedInAs("storekeeper");

  private String tray() {
    return visitor.get("/").document().select("a.tray-block:contains(FL-7)").attr("href");
  }

  /** 30 to 35 N·m: the middle, 32.5, by a wrench marked every newton metre. 33 N·m / 1.3558. */
  @Test
  void theCardSaysWhatTheJobNeeds() throws IOException {
    Visitor.Page card = visitor.get(tray() + "/card");
    assertThat(card.words())
        .contains("250 h service", "Wednesday 2027-03-17", "last 7,015 h")
        .contains("Engine sump", "4.10 L", "4.60 L", "Copper washer", "33 N·m", "24.3 lbf·ft")
        .contains("Inspect air filter", "a qualified person decide");
    try (PDDocument paper = Loader.loadPDF(visitor.bytes(tray() + "/card.pdf"))) {
      assertThat(paper.getNumberOfPages()).isEqualTo(1);
      assertThat(new PDFTextStripper().getText(paper)).contains("33 N·m", "4.10 L", "T-00");
    }
    try (PDDocument small = Loader.loadPDF(visitor.bytes(tray() + "/card-a5.pdf"))) {
      assertThat(small.getNumberOfPages()).isEqualTo(1);
      // A5 is 148 mm wide, 25.4 mm to the inch, 72 points to the inch
      assertThat(small.getPage(0).getMediaBox().getWidth()).isBetween(419f, 420f);
    }
  }

  /** On the screen and on paper; with three drains the letters shrink until it is one page. */
  @Test
  void aFilterIsDrawnAsItSits() throws IOException {
    String drains = visitor.get("/").document().select("a.tray-block:contains(AT-3)").attr("href");
    Visitor.Page card = visitor.get(drains + "/card");
    assertThat(card.document().select("td:has(.card-seat svg)").text()).contains("sits sideways.");
    try (PDDocument paper = Loader.loadPDF(visitor.bytes(drains + "/card.pdf"))) {
      assertThat(new PDFTextStripper().getText(paper)).contains("sits sideways.");
      assertThat(paper.getNumberOfPages()).isEqualTo(1);
    }
  }

  /** The code on the paper is the tray's number. */
  @Test
  void theCodeOnThePaperIsReadByAScanner() throws Exception {
    try (PDDocument paper = Loader.loadPDF(visitor.bytes(tray() + "/card.pdf"))) {
      BufferedImage page = new PDFRenderer(paper).renderImageWithDPI(0, 200);
      BufferedImage corner =
          page.getSubimage(page.getWidth() * 3 / 4, 0, page.getWidth() / 4, page.getHeight() / 7);
      String read =
          new DataMatrixReader()
              .decode(new BinaryBitmap(new HybridBinarizer(luminance(corner))))
              .getText();
      assertThat(visitor.get(tray()).text(".title")).startsWith(read);
    }
  }

  private static RGBLuminanceSource luminance(BufferedImage image) {
    int width = image.getWidth();
    int height = image.getHeight();
    return new RGBLuminanceSource(width, height, image.getRGB(0, 0, width, height, null, 0, width));
  }
}
