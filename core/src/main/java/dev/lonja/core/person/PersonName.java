package dev.lonja.core.person;

import dev.lonja.core.text.Lengths;
import dev.lonja.core.text.PlainText;
import java.text.Normalizer;
import java.util.Locale;
import java.util.Optional;

/**
 * What a person is called and signs in with: 1 to 60 characters, without blanks around it or two in
 * a row.
 */
public record PersonName(String text) {

  /** The longest name, in characters. */
  public static final int LONGEST = Lengths.NAME;

  /**
   * @throws IllegalArgumentException if it is no name; read what is typed with {@link #of}
   */
  public PersonName {
    if (!normal(text).equals(text) || text.isEmpty() || text.length() > LONGEST) {
      throw new IllegalArgumentException(
          "name is \"" + text + "\"; allowed is 1 to " + LONGEST + " characters");
    }
  }

  /** The name that somebody typed; empty if it is none. */
  public static Optional<PersonName> of(String typed) {
    return Optional.of(normal(typed))
        .filter(text -> !text.isEmpty() && text.length() <= LONGEST)
        .map(PersonName::new);
  }

  /**
   * The name as it is compared, so that two that look alike are one: composed by NFKC, in lower
   * case.
   */
  public String key() {
    return keyOf(text);
  }

  /** The same for anything that was typed, however long. */
  public static String keyOf(String typed) {
    return normal(Normalizer.normalize(normal(typed), Normalizer.Form.NFKC))
        .toLowerCase(Locale.ROOT);
  }

  private static String normal(String typed) {
    return PlainText.of(typed).strip().replaceAll("\\s+", " ");
  }
}
