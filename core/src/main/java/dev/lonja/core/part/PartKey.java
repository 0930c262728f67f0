package dev.lonja.core.part;

import java.text.Normalizer;
import java.util.Locale;
import java.util.Optional;

/**
 * What of a part number counts when numbers are compared: Unicode NFKC, upper case, the times sign
 * as the letter X, then only letters and digits. {@code "kd 41-07/b"} becomes {@code KD4107B}, and
 * {@code "Cu 14×18×1.5"} is {@code "cu 14x18x1.5"}. Never empty.
 */
public record PartKey(String text) implements Comparable<PartKey> {

  private static final char TIMES = '\u00d7';

  public PartKey {
    if (!text.equals(lettersAndDigits(text)) || text.isEmpty()) {
      throw new IllegalArgumentException(
          "text is \"" + text + "\"; allowed are upper-case letters and digits, at least one");
    }
  }

  /** The key of a number as printed or typed; empty if it holds no letter and no digit. */
  public static Optional<PartKey> of(String number) {
    String key = lettersAndDigits(number);
    return key.isEmpty() ? Optional.empty() : Optional.of(new PartKey(key));
  }

  /**
   * What is left when marks that an oily label confuses count as one: O and 0, I, L and 1, S and 5,
   * B and 8, Z and 2, G and 6; leading zeros go, but never the last character. For suggestions
   * only, never for a match.
   */
  public String near() {
    StringBuilder near = new StringBuilder();
    text.codePoints().forEach(c -> near.appendCodePoint(alike(c)));
    int first = 0;
    while (first < near.length() - 1 && near.charAt(first) == '0') {
      first++;
    }
    return near.substring(first);
  }

  private static int alike(int letter) {
    return switch (letter) {
      case 'O' -> '0';
      case 'I', 'L' -> '1';
      case 'S' -> '5';
      case 'B' -> '8';
      case 'Z' -> '2';
      case 'G' -> '6';
      default -> letter;
    };
  }

  /**
   * True if one character more, less or other, or one swap of neighbours, makes the other key of
   * this one. A key is not one edit from itself.
   */
  public boolean isOneEditFrom(PartKey other) {
    int[] a = text.codePoints().toArray();
    int[] b = other.text.codePoints().toArray();
    int same = 0;
    while (same < a.length && same < b.length && a[same] == b[same]) {
      same++;
    }
    int tail = 0;
    while (tail < a.length - same
        && tail < b.length - same
        && a[a.length - 1 - tail] == b[b.length - 1 - tail]) {
      tail++;
    }
    int restOfA = a.length - same - tail;
    int restOfB = b.length - same - tail;
    boolean swap = restOfA == 2 && restOfB == 2 && a[same] == b[same + 1] && a[same + 1] == b[same];
    return swap || Math.max(restOfA, restOfB) == 1;
  }

  private static String lettersAndDigits(String number) {
    String upper =
        Normalizer.normalize(number, Normalizer.Form.NFKC)
            .toUpperCase(Locale.ROOT)
            .replace(TIMES, 'X');
    StringBuilder key = new StringBuilder();
    upper.codePoints().filter(Character::isLetterOrDigit).forEach(key::appendCodePoint);
    return key.toString();
  }

  @Override
  public int compareTo(PartKey other) {
    return text.compareTo(other.text);
  }
}
