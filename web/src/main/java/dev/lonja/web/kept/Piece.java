package dev.lonja.web.kept;

import java.util.Map;
import java.util.Set;
import org.jspecify.annotations.Nullable;

/**
 * What the markup of a piece depends on.
 *
 * @param base the path that links start with
 * @param template the file that it stands in
 * @param names of the fragment in it
 * @param given the values that it is made of; they must be values, which are equal if they say the
 *     same
 */
record Piece(String base, String template, Set<String> names, Map<String, @Nullable Object> given) {

  /** What it takes in memory beside its markup, roughly, in characters. */
  private static final int OVERHEAD = 500;

  /** How much of the room for pieces its markup takes, with the values that it was made of. */
  static int weight(Piece piece, String markup) {
    return OVERHEAD + 2 * markup.length();
  }
}
