package dev.lonja.app.browser;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.google.zxing.BarcodeFormat;
import com.google.zxing.MultiFormatWriter;
import com.google.zxing.WriterException;
import com.google.zxing.common.BitMatrix;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.assertions.LocatorAssertions;
import dev.lonja.app.server.LonjaServer;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Arrays;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;

/** A phone's camera reads a shelf label in the aisle; here it sees a film of one. */
class CameraTest {

  /** Its air filter, which is not laid yet. */
  private static final String NUMBER = "TM-7150";

  @RegisterExtension static final LonjaServer SERVER = LonjaServer.withDemo();

  @RegisterExtension
  static final HarbourBrowser BROWSER =
      HarbourBrowser.filming(film(BarcodeFormat.CODE_128, NUMBER));

  @Test
  void aLabelInViewIsLaidOnce() {
    Page page = BROWSER.inAisle("storekeeper", SERVER.url());
    page.click("a.tray-block:has-text('GN-2')");
    page.waitForLoadState();
    page.click("button:has-text('Camera')");
    assertThat(page.locator(".title"))
        .containsText(
            "4 of 6 laid", new LocatorAssertions.ContainsTextOptions().setTimeout(20_000));
    // it is still in view, and the camera still on
    assertThat(page.locator("button:has-text('Put away')")).isVisible();
    page.waitForTimeout(2_500);
    assertThat(page.locator(".notice.bad")).hasCount(0);
    page.click("button:has-text('Put away')");
    assertThat(page.locator("video")).isHidden();
  }

  /** On the page that finds it opens what the label names. */
  @Test
  void aLabelInViewIsFound() {
    Page page = BROWSER.inAisle("storekeeper", SERVER.url());
    page.navigate(SERVER.url() + "/find");
    page.click("button:has-text('Camera')");
    assertThat(page.locator("main h1"))
        .not()
        .hasText("Find", new LocatorAssertions.HasTextOptions().setTimeout(20_000));
    assertThat(page.locator("main")).containsText(NUMBER);
  }

  /** Black on white, as a printer would have it, in the middle of the picture. */
  private static Path film(BarcodeFormat format, String code) {
    int width = 640;
    int height = 480;
    byte[] light = new byte[width * height];
    Arrays.fill(light, (byte) 235);
    byte[] colour = new byte[width * height / 2];
    Arrays.fill(colour, (byte) 128);
    try {
      BitMatrix bars = new MultiFormatWriter().encode(code, format, 480, 200);
      int left = (width - bars.getWidth()) / 2;
      int top = (height - bars.getHeight()) / 2;
      for (int y = 0; y < bars.getHeight(); y++) {
        for (int x = 0; x < bars.getWidth(); x++) {
          if (bars.get(x, y)) {
            light[(top + y) * width + left + x] = 16;
          }
        }
      }
      ByteArrayOutputStream film = new ByteArrayOutputStream();
      film.write(
          ("YUV4MPEG2 W" + width + " H" + height + " F10:1 Ip A1:1 C420jpeg\n")
              .getBytes(StandardCharsets.US_ASCII));
      for (int frame = 0; frame < 5; frame++) {
        film.write("FRAME\n".getBytes(StandardCharsets.US_ASCII));
        film.write(light);
        film.write(colour);
      }
      Path file = Files.createTempFile("label", ".y4m");
      file.toFile().deleteOnExit();
      return Files.write(file, film.toByteArray());
    } catch (WriterException e) {
      throw new IllegalArgumentException(code + " cannot be drawn", e);
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }
}
