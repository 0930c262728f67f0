package dev.lonja.desk.fluid;

/** What a signature keeps of the verdict it was given on. */
public final class SignOffs {

  private static final int LONGEST_VERDICT = 500;

  private SignOffs() {}

  /** A verdict in words, cut to what is kept. */
  public static String shortened(String verdict) {
    return verdict.length() <= LONGEST_VERDICT
        ? verdict
        : verdict.substring(0, LONGEST_VERDICT - 1) + "…";
  }
}
