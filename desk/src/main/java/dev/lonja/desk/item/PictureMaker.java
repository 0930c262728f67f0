package dev.lonja.desk.item;

import dev.lonja.core.quantity.Limits;
import dev.lonja.store.item.KeepingRepository.Picture;
import java.awt.Graphics2D;
import java.awt.RenderingHints;
import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.Iterator;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import javax.imageio.IIOImage;
import javax.imageio.ImageIO;
import javax.imageio.ImageReadParam;
import javax.imageio.ImageReader;
import javax.imageio.ImageWriteParam;
import javax.imageio.ImageWriter;
import javax.imageio.stream.ImageInputStream;
import javax.imageio.stream.ImageOutputStream;

/**
 * Decodes what should be a picture and writes it anew, smaller where it is large: whatever else was
 * in the file, where it was taken or a program in disguise, is gone.
 */
public final class PictureMaker {

  /** The longest side that is read at all. */
  private static final int LONGEST_READ = 20_000;

  private static final long MOST_DOTS = 60_000_000;

  /** From how well a picture is kept down to how well one that is all noise is. */
  private static final List<Float> QUALITIES = List.of(0.85f, 0.6f, 0.35f, 0.15f);

  private static final Set<String> READ = Set.of("png", "jpeg");

  private PictureMaker() {}

  /** The picture anew, as JPEG; empty if it is none that can be read. */
  public static Optional<Picture> anew(byte[] content) {
    try (ImageInputStream input =
        ImageIO.createImageInputStream(new ByteArrayInputStream(content))) {
      Iterator<ImageReader> readers = ImageIO.getImageReaders(input);
      if (!readers.hasNext()) {
        return Optional.empty();
      }
      ImageReader reader = readers.next();
      try {
        if (!READ.contains(reader.getFormatName().toLowerCase(java.util.Locale.ROOT))) {
          return Optional.empty();
        }
        reader.setInput(input, true, true);
        return decoded(reader).map(PictureMaker::written);
      } finally {
        reader.dispose();
      }
    } catch (IOException | RuntimeException e) {
      // a decoder says in many ways that it cannot make sense of a file
      return Optional.empty();
    }
  }

  private static Optional<BufferedImage> decoded(ImageReader reader) throws IOException {
    int width = reader.getWidth(0);
    int height = reader.getHeight(0);
    int longest = Math.max(width, height);
    if (longest > LONGEST_READ || (long) width * height > MOST_DOTS) {
      return Optional.empty();
    }
    ImageReadParam param = reader.getDefaultReadParam();
    int step = Math.max(1, longest / (2 * Limits.PICTURE_SIDE));
    param.setSourceSubsampling(step, step, 0, 0);
    return Optional.of(shrunk(reader.read(0, param)));
  }

  /** On white, at most {@link Limits#PICTURE_SIDE} long. */
  private static BufferedImage shrunk(BufferedImage whole) {
    double scale =
        Math.min(1, (double) Limits.PICTURE_SIDE / Math.max(whole.getWidth(), whole.getHeight()));
    int width = Math.max(1, (int) Math.round(whole.getWidth() * scale));
    int height = Math.max(1, (int) Math.round(whole.getHeight() * scale));
    BufferedImage small = new BufferedImage(width, height, BufferedImage.TYPE_INT_RGB);
    Graphics2D canvas = small.createGraphics();
    canvas.setRenderingHint(
        RenderingHints.KEY_INTERPOLATION, RenderingHints.VALUE_INTERPOLATION_BICUBIC);
    canvas.setBackground(java.awt.Color.WHITE);
    canvas.clearRect(0, 0, width, height);
    canvas.drawImage(whole, 0, 0, width, height, null);
    canvas.dispose();
    return small;
  }

  /** As well as fits into what is kept of a picture. */
  private static Picture written(BufferedImage image) {
    return QUALITIES.stream()
        .map(quality -> written(image, quality))
        .filter(content -> content.length <= Limits.PICTURE_BYTES)
        .findFirst()
        .map(content -> new Picture("image/jpeg", content))
        .orElseThrow(() -> new IllegalStateException("a picture cannot be made small enough"));
  }

  private static byte[] written(BufferedImage image, float quality) {
    ImageWriter writer = ImageIO.getImageWritersByFormatName("jpeg").next();
    ByteArrayOutputStream bytes = new ByteArrayOutputStream();
    try (ImageOutputStream output = ImageIO.createImageOutputStream(bytes)) {
      ImageWriteParam param = writer.getDefaultWriteParam();
      param.setCompressionMode(ImageWriteParam.MODE_EXPLICIT);
      param.setCompressionQuality(quality);
      writer.setOutput(output);
      writer.write(null, new IIOImage(image, null, null), param);
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    } finally {
      writer.dispose();
    }
    return bytes.toByteArray();
  }
}
