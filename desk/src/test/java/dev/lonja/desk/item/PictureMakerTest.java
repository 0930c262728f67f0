package dev.lonja.desk.item;

import static org.assertj.core.api.Assertions.assertThat;

import dev.lonja.core.quantity.Limits;
import dev.lonja.store.item.KeepingRepository.Picture;
import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.Random;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.Test;

class PictureMakerTest {

  private static byte[] png(BufferedImage image) throws IOException {
    ByteArrayOutputStream bytes = new ByteArrayOutputStream();
    ImageIO.write(image, "png", bytes);
    return bytes.toByteArray();
  }

  /** Noise is what a JPEG compresses least; 1,600 by 1,200 dots become 1,200 by 900. */
  @Test
  void evenNoiseFitsIntoWhatIsKept() throws IOException {
    BufferedImage noise = new BufferedImage(1_600, 1_200, BufferedImage.TYPE_INT_RGB);
    Random random = new Random(7);
    for (int x = 0; x < noise.getWidth(); x++) {
      for (int y = 0; y < noise.getHeight(); y++) {
        noise.setRGB(x, y, random.nextInt(1 << 24));
      }
    }
    Picture kept = PictureMaker.anew(png(noise)).orElseThrow();
    assertThat(kept.content().length).isLessThanOrEqualTo(Limits.PICTURE_BYTES);
    BufferedImage read = ImageIO.read(new ByteArrayInputStream(kept.content()));
    assertThat(read.getWidth()).isEqualTo(1_200);
    assertThat(read.getHeight()).isEqualTo(900);
  }

  @Test
  void whatIsNoPictureIsNone() {
    assertThat(PictureMaker.anew("GIF89a".getBytes(StandardCharsets.UTF_8))).isEmpty();
    assertThat(PictureMaker.anew(new byte[0])).isEmpty();
  }
}
