package dev.lonja.desk.request;

import java.nio.charset.StandardCharsets;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.util.HexFormat;
import java.util.UUID;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * The key that a form carries: it tells one request from any other, and whose form it was, so that
 * nobody sends what another has typed.
 */
public final class RequestKey {

  private static final Pattern OWNED = Pattern.compile("by([0-9a-f]{12})-.*");
  private static final int OWNER_LETTERS = 12;

  private RequestKey() {}

  /** A new key for a form that is shown to this person. */
  public static String of(String actor) {
    return "by" + owner(actor) + "-" + UUID.randomUUID();
  }

  /** False if a form with this key was shown to somebody else. */
  public static boolean mayBeSentBy(String key, String actor) {
    Matcher owned = OWNED.matcher(key);
    return !owned.matches() || owned.group(1).equals(owner(actor));
  }

  private static String owner(String actor) {
    try {
      byte[] digest =
          MessageDigest.getInstance("SHA-256").digest(actor.getBytes(StandardCharsets.UTF_8));
      return HexFormat.of().formatHex(digest).substring(0, OWNER_LETTERS);
    } catch (NoSuchAlgorithmException e) {
      throw new IllegalStateException(e);
    }
  }
}
