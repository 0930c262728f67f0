package dev.lonja.web.document;

import com.google.zxing.BarcodeFormat;
import com.google.zxing.EncodeHintType;
import com.google.zxing.common.BitMatrix;
import com.google.zxing.datamatrix.DataMatrixWriter;
import com.google.zxing.datamatrix.encoder.SymbolShapeHint;
import com.google.zxing.oned.Code128Writer;
import dev.lonja.web.frame.Svg;
import java.util.Map;

/**
 * Codes that a scanner reads, drawn: Data Matrix (ISO/IEC 16022) and Code 128 (ISO/IEC 15417). A
 * quiet zone of one module stands around a matrix, of ten beside bars.
 */
public final class ScanCode {

  private static final int BAR_HEIGHT = 40;
  private static final int QUIET_BARS = 10;
  private static final String BLACK = "fill=\"#000\"";

  private ScanCode() {}

  /**
   * A square Data Matrix of a short text.
   *
   * @throws IllegalArgumentException if the text is empty or does not fit one
   */
  public static String dataMatrix(String text) {
    BitMatrix matrix =
        new DataMatrixWriter()
            .encode(
                text,
                BarcodeFormat.DATA_MATRIX,
                0,
                0,
                Map.of(EncodeHintType.DATA_MATRIX_SHAPE, SymbolShapeHint.FORCE_SQUARE));
    int size = matrix.getWidth() + 2;
    Svg svg = new Svg(size, size, "Data Matrix of " + text);
    for (int y = 0; y < matrix.getHeight(); y++) {
      bars(svg, matrix, y, 1, y + 1, 1);
    }
    return svg.done();
  }

  /**
   * The bars of a text by Code 128.
   *
   * @throws IllegalArgumentException if the text is empty, longer than 80 or not ASCII
   */
  public static String code128(String text) {
    BitMatrix bars =
        new Code128Writer()
            .encode(text, BarcodeFormat.CODE_128, 0, 1, Map.of(EncodeHintType.MARGIN, 0));
    Svg svg = new Svg(bars.getWidth() + 2 * QUIET_BARS, BAR_HEIGHT, "Code 128 of " + text);
    bars(svg, bars, 0, QUIET_BARS, 0, BAR_HEIGHT);
    return svg.done();
  }

  /** One rectangle for each run of dark modules in a row. */
  private static void bars(Svg svg, BitMatrix matrix, int row, int left, int top, int height) {
    int from = 0;
    while (from < matrix.getWidth()) {
      int to = from;
      while (to < matrix.getWidth() && matrix.get(to, row)) {
        to++;
      }
      if (to > from) {
        svg.rect(left + from, top, to - from, height, BLACK);
      }
      from = to + 1;
    }
  }
}
