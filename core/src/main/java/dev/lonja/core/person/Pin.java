package dev.lonja.core.person;

import java.util.Optional;
import java.util.regex.Pattern;

/** The digits by which someone says at the counter that it is they: 4 to 8, not all in a row. */
public record Pin(String digits) {

  /** The fewest and the most digits. */
  public static final int LEAST = 4;

  public static final int MOST = 8;

  private static final Pattern DIGITS = Pattern.compile("[0-9]{" + LEAST + "," + MOST + "}");
  private static final String RUN = "0123456789012345678";

  /**
   * @throws IllegalArgumentException if it is none; read what is typed with {@link #of}
   */
  public Pin {
    if (!isPin(digits)) {
      throw new IllegalArgumentException(
          "a PIN has " + LEAST + " to " + MOST + " digits, not all alike and not in a row");
    }
  }

  /** The PIN that somebody typed; empty if it is none. */
  public static Optional<Pin> of(String typed) {
    return Optional.of(typed.strip()).filter(Pin::isPin).map(Pin::new);
  }

  private static boolean isPin(String text) {
    return DIGITS.matcher(text).matches()
        && text.chars().distinct().count() > 1
        && !RUN.contains(text)
        && !RUN.contains(new StringBuilder(text).reverse());
  }
}
