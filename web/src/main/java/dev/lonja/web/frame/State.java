package dev.lonja.web.frame;

/**
 * A state as shown: its mark comes with the style, its word always stands beside it.
 *
 * @param style one of ready, part, open, short, note
 */
public record State(String style, String word) {

  public static State ready(String word) {
    return new State("ready", word);
  }

  public static State part(String word) {
    return new State("part", word);
  }

  public static State open(String word) {
    return new State("open", word);
  }

  public static State ofShort(String word) {
    return new State("short", word);
  }

  public static State note(String word) {
    return new State("note", word);
  }
}
