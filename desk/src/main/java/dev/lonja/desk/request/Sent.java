package dev.lonja.desk.request;

import java.security.Principal;

/**
 * What every state-changing request brings along.
 *
 * @param key tells this request from any other; the same key again is the same request
 * @param content all that the client sent, as text
 */
public record Sent(String key, String content, String actor) {

  public static Sent by(Principal person, String key, Object... content) {
    return new Sent(key, java.util.Arrays.toString(content), person.getName());
  }
}
