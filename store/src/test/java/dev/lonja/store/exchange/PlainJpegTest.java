package dev.lonja.store.exchange;

import static org.assertj.core.api.Assertions.assertThat;

import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.Arrays;
import java.util.Base64;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.Test;

class PlainJpegTest {

  private static byte[] picture(String format, int width) throws IOException {
    ByteArrayOutputStream bytes = new ByteArrayOutputStream();
    BufferedImage image = new BufferedImage(width, 30, BufferedImage.TYPE_INT_RGB);
    image.createGraphics().drawString("RV 2210-4", 2, 20);
    ImageIO.write(image, format, bytes);
    return bytes.toByteArray();
  }

  private static byte[] joined(byte[]... parts) {
    ByteArrayOutputStream bytes = new ByteArrayOutputStream();
    Arrays.stream(parts).forEach(bytes::writeBytes);
    return bytes.toByteArray();
  }

  @Test
  void apictureAndNothingElseIsTaken() throws IOException {
    assertThat(PlainJpeg.is(picture("jpg", 1_200))).isTrue();
  }

  /** After the two bytes of the start, a segment FFE1 of six bytes: where a camera says where. */
  @Test
  void whatACameraWroteBesideItIsNot() throws IOException {
    byte[] plain = picture("jpg", 40);
    byte[] said = {(byte) 0xFF, (byte) 0xE1, 0, 6, 'E', 'x', 'i', 'f'};
    byte[] tagged =
        joined(Arrays.copyOf(plain, 2), said, Arrays.copyOfRange(plain, 2, plain.length));
    assertThat(PlainJpeg.is(tagged)).isFalse();
  }

  /** A file behind the picture, even one that ends as a picture does. */
  @Test
  void aFileBehindItIsNot() throws IOException {
    byte[] plain = picture("jpg", 40);
    byte[] behind = {'P', 'K', (byte) 0xFF, (byte) 0xD9};
    assertThat(PlainJpeg.is(joined(plain, behind))).isFalse();
  }

  @Test
  void neitherIsAnotherFormatNorATornOneNorOneTooLarge() throws IOException {
    byte[] plain = picture("jpg", 40);
    assertThat(PlainJpeg.is(picture("png", 40))).isFalse();
    assertThat(PlainJpeg.is(Arrays.copyOf(plain, plain.length / 2))).isFalse();
    assertThat(PlainJpeg.is(picture("jpg", 1_201))).isFalse();
    assertThat(PlainJpeg.is("<svg/>".getBytes(StandardCharsets.UTF_8))).isFalse();
    assertThat(PlainJpeg.is(new byte[0])).isFalse();
  }

  @Test
  void theFormatTakesItAsBase64() throws IOException {
    String cell = Base64.getEncoder().encodeToString(picture("jpg", 40));
    assertThat(Format.picture().parse().apply(cell)).isPresent();
    assertThat(Format.picture().parse().apply("not base64!")).isEmpty();
  }
}
