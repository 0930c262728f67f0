package dev.lonja.core.place;

import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** The rack that a bin belongs to, by its address: what stands before its last part. */
public final class Rack {

  private static final Pattern ADDRESS = Pattern.compile("(.+)[-. /][^-. /]+");
  private static final Pattern LETTERS = Pattern.compile("([^0-9]+)[0-9].*");

  private Rack() {}

  /**
   * "A" of "A-05" and "C-2" of "C-2-14"; without a sign between, "B" of "B12"; the address itself
   * if it has but one part.
   */
  public static String of(String address) {
    for (Pattern pattern : new Pattern[] {ADDRESS, LETTERS}) {
      Matcher matcher = pattern.matcher(address);
      if (matcher.matches()) {
        return matcher.group(1);
      }
    }
    return address;
  }
}
