package dev.lonja.web.request;

import java.time.LocalDate;

/**
 * Something wrong with what was sent, in words for the person who sent it.
 *
 * @param field the form's field; empty if the whole is meant
 */
public record Problem(String field, String text) {

  public static Problem ofWhole(String text) {
    return new Problem("", text);
  }

  /** A day that may not be after today, and is. */
  public static Problem inFuture(String field, LocalDate day, LocalDate today) {
    return new Problem(
        field, day + " is in the future; the latest allowed is today, " + today + ".");
  }
}
