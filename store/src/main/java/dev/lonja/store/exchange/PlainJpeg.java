package dev.lonja.store.exchange;

import dev.lonja.core.quantity.Limits;
import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.nio.ByteBuffer;
import java.util.Set;
import javax.imageio.ImageIO;

/**
 * Tells whether bytes are a JPEG as Lonja keeps pictures: one that can be drawn, not too large, and
 * with nothing in it but the picture, so no place, no maker, no other file behind it. What comes
 * with a whole store was never seen by the desk that writes pictures anew.
 */
final class PlainJpeg {

  private static final int START = 0xFFD8;
  private static final int END = 0xFFD9;
  private static final int SCAN = 0xFFDA;

  /** JFIF's own header, tables, frames, the restart interval: what a picture needs. */
  private static final Set<Integer> NEEDED =
      Set.of(0xFFE0, 0xFFDB, 0xFFC0, 0xFFC1, 0xFFC2, 0xFFC4, 0xFFDD);

  private PlainJpeg() {}

  static boolean is(byte[] content) {
    return hasOnlyWhatIsNeeded(ByteBuffer.wrap(content)) && canBeDrawn(content);
  }

  private static boolean hasOnlyWhatIsNeeded(ByteBuffer bytes) {
    if (bytes.remaining() < 4
        || marker(bytes) != START
        || (bytes.getShort(bytes.limit() - 2) & 0xFFFF) != END) {
      return false;
    }
    while (bytes.remaining() >= 4) {
      int marker = marker(bytes);
      if (marker == SCAN) {
        return endsAtItsEnd(bytes);
      }
      int length = bytes.getShort(bytes.position()) & 0xFFFF;
      if (!NEEDED.contains(marker) || length < 2 || length > bytes.remaining()) {
        return false;
      }
      bytes.position(bytes.position() + length);
    }
    return false;
  }

  private static int marker(ByteBuffer bytes) {
    return bytes.getShort() & 0xFFFF;
  }

  /** True if the first end of the picture is the end of the file. */
  private static boolean endsAtItsEnd(ByteBuffer bytes) {
    while (bytes.remaining() > 2) {
      if ((bytes.getShort(bytes.position()) & 0xFFFF) == END) {
        return false;
      }
      bytes.get();
    }
    return true;
  }

  private static boolean canBeDrawn(byte[] content) {
    try {
      BufferedImage image = ImageIO.read(new ByteArrayInputStream(content));
      return image != null && Math.max(image.getWidth(), image.getHeight()) <= Limits.PICTURE_SIDE;
    } catch (IOException | RuntimeException e) {
      // a decoder says in many ways that it cannot make sense of a file
      return false;
    }
  }
}
