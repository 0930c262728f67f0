package dev.lonja.core.text;

/**
 * Text without what cannot be seen: no NUL or other control character, no byte-order mark, no soft
 * hyphen, no invisible space or mark of direction, no half of a character. What looks empty is
 * empty. Joiners stay between two visible characters, where scripts need them; tabs and line ends
 * stay as they are.
 */
public final class PlainText {

  private static final int ZERO_WIDTH_NON_JOINER = 0x200C;
  private static final int ZERO_WIDTH_JOINER = 0x200D;

  private PlainText() {}

  /** The text without what cannot be seen; other spaces become the usual one. */
  public static String of(String typed) {
    if (isPlain(typed)) {
      return typed;
    }
    int[] points = typed.codePoints().toArray();
    StringBuilder kept = new StringBuilder(typed.length());
    for (int i = 0; i < points.length; i++) {
      if (isSpace(points[i])) {
        kept.append(' ');
      } else if (isSeen(points, i)) {
        kept.appendCodePoint(points[i]);
      }
    }
    String text = kept.toString();
    return text.isBlank() ? "" : text;
  }

  /** True if {@link #of} would leave it as it is. */
  public static boolean isPlain(String text) {
    if (text.chars().allMatch(c -> c >= ' ' && c < 0x7F || isLayout(c))) {
      return text.isEmpty() || !text.isBlank();
    }
    int[] points = text.codePoints().toArray();
    for (int i = 0; i < points.length; i++) {
      if (isSpace(points[i]) || !isSeen(points, i)) {
        return false;
      }
    }
    return !text.isBlank();
  }

  private static boolean isLayout(int point) {
    return point == '\t' || point == '\n' || point == '\r';
  }

  private static boolean isSpace(int point) {
    return point != ' ' && Character.getType(point) == Character.SPACE_SEPARATOR;
  }

  private static boolean isSeen(int[] points, int i) {
    if (points[i] == ZERO_WIDTH_JOINER || points[i] == ZERO_WIDTH_NON_JOINER) {
      return i > 0
          && i < points.length - 1
          && Character.isLetter(points[i - 1]) == Character.isLetter(points[i + 1])
          && !Character.isWhitespace(points[i - 1])
          && !Character.isWhitespace(points[i + 1])
          && points[i - 1] >= 0x80;
    }
    return switch (Character.getType(points[i])) {
      case Character.CONTROL -> isLayout(points[i]);
      case Character.FORMAT,
          Character.SURROGATE,
          Character.UNASSIGNED,
          Character.PRIVATE_USE,
          Character.LINE_SEPARATOR,
          Character.PARAGRAPH_SEPARATOR ->
          false;
      default -> true;
    };
  }
}
