package dev.lonja.desk.request;

/**
 * Something wrong with what was sent, in words for the person who sent it.
 *
 * @param field the form's field; empty if the whole is meant
 */
public record Problem(String field, String text) {

  public static Problem ofWhole(String text) {
    return new Problem("", text);
  }
}
