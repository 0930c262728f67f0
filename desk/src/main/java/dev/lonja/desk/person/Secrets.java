package dev.lonja.desk.person;

import com.nulabinc.zxcvbn.Zxcvbn;
import dev.lonja.core.person.PasswordRule;
import dev.lonja.core.person.PersonName;
import java.nio.charset.StandardCharsets;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.security.SecureRandom;
import java.util.HexFormat;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import org.springframework.security.crypto.password.PasswordEncoder;
import org.springframework.stereotype.Component;

/** Makes, hashes and checks what people know: passwords, PINs, codes that are given once. */
@Component
public class Secrets {

  /** Letters and digits that are not mistaken for one another when they are copied by hand. */
  private static final String LETTERS = "23456789ABCDEFGHJKMNPQRSTVWXYZ";

  private static final int CODE_LETTERS = 10;

  /** Fewer guesses than this are made within days, even against a slow hash that was stolen. */
  private static final double LEAST_GUESSES = 1e8;

  private final PasswordEncoder encoder;
  private final SecureRandom random = new SecureRandom();

  /** Its lists of words are read when the first new password is judged. */
  private static final class Guesser {
    static final Zxcvbn AT_HAND = new Zxcvbn();
  }

  public Secrets(PasswordEncoder encoder) {
    this.encoder = encoder;
  }

  /** What speaks against a password for someone of this name. */
  Optional<PasswordRule.Objection> objection(String password, PersonName name) {
    List<String> theirs = List.of(name.key(), "lonja", "store", "storekeeper", "workshop");
    return PasswordRule.objection(
        password, typed -> Guesser.AT_HAND.measure(typed, theirs).getGuesses() < LEAST_GUESSES);
  }

  /** A password or PIN as it is kept. */
  String hash(String secret) {
    return encoder.encode(secret);
  }

  boolean matches(String typed, String hash) {
    return typed.getBytes(StandardCharsets.UTF_8).length <= PasswordRule.MOST_BYTES
        && encoder.matches(typed, hash);
  }

  /**
   * A code of 10 letters and digits out of 30, that is 49 bits, in two halves: {@code K7MPD-2QWXA}.
   */
  String code() {
    StringBuilder code = new StringBuilder();
    for (int i = 0; i < CODE_LETTERS; i++) {
      code.append(LETTERS.charAt(random.nextInt(LETTERS.length())));
    }
    return code.insert(CODE_LETTERS / 2, '-').toString();
  }

  /** A code or badge as it is kept; it is too long to be guessed, or found by it, so never slow. */
  static String digest(String code) {
    try {
      byte[] digest =
          MessageDigest.getInstance("SHA-256")
              .digest(code.strip().toUpperCase(Locale.ROOT).getBytes(StandardCharsets.UTF_8));
      return HexFormat.of().formatHex(digest);
    } catch (NoSuchAlgorithmException e) {
      throw new IllegalStateException(e);
    }
  }

  /** True if somebody typed this code, letter by letter, whatever the case. */
  static boolean isCode(String typed, String digest) {
    return MessageDigest.isEqual(
        digest(typed).getBytes(StandardCharsets.US_ASCII),
        digest.getBytes(StandardCharsets.US_ASCII));
  }
}
