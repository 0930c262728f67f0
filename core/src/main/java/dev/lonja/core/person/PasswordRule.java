package dev.lonja.core.person;

import java.util.Optional;
import java.util.function.Predicate;

/**
 * What a password must be: 12 characters at least, 72 bytes at most, and none that is easily
 * guessed. No rule says what it must be composed of (OWASP ASVS 5.0, 6.2).
 */
public final class PasswordRule {

  /** The shortest password, in characters. */
  public static final int LEAST_CHARACTERS = 12;

  /** The longest, in bytes of UTF-8; the hash would not see what is behind them. */
  public static final int MOST_BYTES = 72;

  /** Why a password is refused. */
  public enum Objection {
    TOO_SHORT,
    TOO_LONG,
    EASILY_GUESSED
  }

  private PasswordRule() {}

  /**
   * The first thing that speaks against a password.
   *
   * @param easilyGuessed knows the passwords that people use, and what is made of them
   */
  public static Optional<Objection> objection(String password, Predicate<String> easilyGuessed) {
    if (password.codePointCount(0, password.length()) < LEAST_CHARACTERS) {
      return Optional.of(Objection.TOO_SHORT);
    }
    if (password.codePoints().map(PasswordRule::bytes).sum() > MOST_BYTES) {
      return Optional.of(Objection.TOO_LONG);
    }
    return easilyGuessed.test(password) ? Optional.of(Objection.EASILY_GUESSED) : Optional.empty();
  }

  /** How many bytes a character takes in UTF-8. */
  private static int bytes(int point) {
    if (point < 0x80) {
      return 1;
    }
    if (point < 0x800) {
      return 2;
    }
    return point < 0x1_0000 ? 3 : 4;
  }
}
