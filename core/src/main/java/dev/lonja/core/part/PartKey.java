package dev.lonja.core.part;

import java.text.Normalizer;
import java.util.Locale;
import java.util.Optional;

/**
 * What of a part number counts when numbers are compared: Unicode NFKC, upper case, then only
 * letters and digits. {@code "kd 41-07/b"} becomes {@code KD4107B}. Never empty.
 */
public record PartKey(String text) implements Comparable<PartKey> {

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

  private static String lettersAndDigits(String number) {
    String upper = Normalizer.normalize(number, Normalizer.Form.NFKC).toUpperCase(Locale.ROOT);
    StringBuilder key = new StringBuilder();
    upper.codePoints().filter(Character::isLetterOrDigit).forEach(key::appendCodePoint);
    return key.toString();
  }

  @Override
  public int compareTo(PartKey other) {
    return text.compareTo(other.text);
  }
}
