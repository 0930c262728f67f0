package dev.lonja.core.part;

import dev.lonja.core.quantity.Length;
import dev.lonja.core.quantity.PlainDecimal;
import java.math.BigDecimal;
import java.math.MathContext;
import java.text.Normalizer;
import java.util.Locale;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * A screw thread as diameter, pitch and form, so that it compares however it is written: {@code
 * M20×1.5} is {@code M20x1,5}.
 *
 * @param size as it is named: millimetres for M, inches for all others, a fraction where it is one
 * @param diameter the nominal diameter; for a pipe thread its nominal size
 * @param pitch micrometres for M, threads per inch for UN; empty if it is not stated, and always
 *     for pipe threads, whose size fixes it
 */
public record ScrewThread(Form form, String size, Length diameter, Optional<Integer> pitch) {

  /** The form of a thread. {@code UN} stands for all its series. */
  public enum Form {
    M,
    UN,
    G,
    R,
    NPT;

    /** True if the size alone says what the pitch is. */
    public boolean isPipe() {
      return this == G || this == R || this == NPT;
    }
  }

  private static final String FRACTION = "(?:([0-9]{1,2})[ -])?([0-9]{1,2})/([0-9]{1,2})";
  private static final String DECIMAL_INCH = "([0-9]{1,2}(?:\\.[0-9]{1,4})?)";
  private static final Pattern FRACTION_ONLY = Pattern.compile(FRACTION);
  private static final Pattern DECIMAL_ONLY = Pattern.compile(DECIMAL_INCH);
  private static final Pattern METRIC =
      Pattern.compile(
          "M ?([0-9]{1,3}(?:\\.[0-9]{1,2})?)(?: ?[X*-] ?([0-9]{1,2}(?:\\.[0-9]{1,3})?))?"
              + "(?: ?-? ?[3-9][EFGH](?:/?[3-9][EFGH])?)?");
  private static final Pattern UNIFIED =
      Pattern.compile(
          "((?:[0-9]{1,2}[ -])?[0-9]{1,2}/[0-9]{1,2}|[0-9]{1,2}(?:\\.[0-9]{1,4})?)"
              + "\"?(?: ?[-X] ?([0-9]{1,2}))?(?: ?-? ?(UN[A-Z]{0,2}))?(?: ?-? ?[123][AB])?");
  private static final Pattern PIPE_AFTER =
      Pattern.compile(
          "(BSPP|BSPT|G|RP|RC|R) ?((?:[0-9] )?[0-9]{1,2}/[0-9]{1,2}|[0-9]{1,2})\"?"
              + "(?: ?-? ?([0-9]{2}))?(?: ?-? ?[AB])?");
  private static final Pattern NPT =
      Pattern.compile(
          "((?:[0-9] )?[0-9]{1,2}/[0-9]{1,2}|[0-9]{1,2})\"? ?-? ?(?:([0-9.]{1,4}) ?-? ?)?NPTF?"
              + "|NPTF? ?((?:[0-9] )?[0-9]{1,2}/[0-9]{1,2}|[0-9]{1,2})\"?");

  /** Major diameters of the parallel and taper pipe threads, in mm: ISO 228-1 and ISO 7-1. */
  private static final Map<String, String> PIPE_MAJOR =
      Map.of(
          "1/8", "9.73", "1/4", "13.16", "3/8", "16.66", "1/2", "20.96", "3/4", "26.44", "1",
          "33.25");

  /** Threads per inch of pipe threads by size: ISO 228-1 and ISO 7-1. */
  private static final Map<String, String> PIPE_PITCH =
      Map.of("1/8", "28", "1/4", "19", "3/8", "19", "1/2", "14", "3/4", "14", "1", "11");

  /** The same of NPT: ASME B1.20.1. */
  private static final Map<String, String> NPT_PITCH =
      Map.of("1/8", "27", "1/4", "18", "3/8", "18", "1/2", "14", "3/4", "14", "1", "11.5");

  /**
   * Reads a thread as people write it: with x or ×, a point or a comma, a space or none, its
   * tolerance ({@code -6g}, {@code -2A}, {@code A}) or threads per inch behind it. Both are passed
   * over, but for a pipe thread the threads per inch must be those of its size.
   *
   * @return empty if the text does not name a right-hand thread of a form known here: a left-hand
   *     one, or a fraction that is no size in 64ths of an inch, is not read as another
   */
  public static Optional<ScrewThread> parse(String text) {
    String plain =
        Normalizer.normalize(text, Normalizer.Form.NFKC)
            .toUpperCase(Locale.ROOT)
            .replace('×', 'X')
            .replace('⁄', '/')
            .replace(',', '.')
            .replaceAll("[–—]", "-")
            .replaceAll("\\s+", " ")
            .strip();
    return metric(plain).or(() -> pipe(plain)).or(() -> npt(plain)).or(() -> unified(plain));
  }

  private static Optional<ScrewThread> metric(String text) {
    Matcher m = METRIC.matcher(text);
    if (!m.matches()) {
      return Optional.empty();
    }
    BigDecimal diameter = new BigDecimal(m.group(1));
    Optional<Integer> pitch =
        Optional.ofNullable(m.group(2))
            .map(p -> new BigDecimal(p).movePointRight(3).intValueExact());
    boolean possible = diameter.signum() > 0 && pitch.filter(p -> p <= 0).isEmpty();
    return possible
        ? Optional.of(
            new ScrewThread(
                Form.M, PlainDecimal.of(diameter), Length.ofMillimetres(diameter), pitch))
        : Optional.empty();
  }

  private static Optional<ScrewThread> unified(String text) {
    Matcher m = UNIFIED.matcher(text);
    // "20" alone is a number, not a thread
    if (!m.matches() || (m.group(2) == null && m.group(3) == null)) {
      return Optional.empty();
    }
    return inch(Form.UN, m.group(1), Optional.ofNullable(m.group(2)).map(Integer::valueOf))
        .filter(thread -> thread.pitch.filter(tpi -> tpi == 0).isEmpty());
  }

  private static Optional<ScrewThread> pipe(String text) {
    Matcher m = PIPE_AFTER.matcher(text);
    if (!m.matches()) {
      return Optional.empty();
    }
    Form form = m.group(1).equals("G") || m.group(1).equals("BSPP") ? Form.G : Form.R;
    return pipe(form, m.group(2), Optional.ofNullable(m.group(3)), PIPE_PITCH);
  }

  private static Optional<ScrewThread> npt(String text) {
    Matcher m = NPT.matcher(text);
    return m.matches()
        ? pipe(
            Form.NPT,
            Objects.requireNonNullElse(m.group(1), m.group(3)),
            Optional.ofNullable(m.group(2)),
            NPT_PITCH)
        : Optional.empty();
  }

  /** A pipe thread; empty if it is said to have another pitch than its size has. */
  private static Optional<ScrewThread> pipe(
      Form form, String size, Optional<String> perInch, Map<String, String> pitches) {
    return inch(form, size, Optional.empty())
        .filter(
            thread ->
                perInch.isEmpty()
                    || perInch.equals(Optional.ofNullable(pitches.get(thread.size()))));
  }

  private static Optional<ScrewThread> inch(Form form, String size, Optional<Integer> pitch) {
    return inches(size, FRACTION_ONLY, DECIMAL_ONLY)
        .filter(value -> value.signum() > 0)
        .filter(value -> !size.contains("/") || isIn64ths(value))
        .map(value -> new ScrewThread(form, sizeOf(size, value), Length.ofInches(value), pitch));
  }

  private static boolean isIn64ths(BigDecimal inches) {
    return inches.multiply(BigDecimal.valueOf(64)).stripTrailingZeros().scale() <= 0;
  }

  /** Inches written as a fraction, mixed or plain, or as a decimal; 0 below the line is no size. */
  static Optional<BigDecimal> inches(String text, Pattern fraction, Pattern decimal) {
    Matcher f = fraction.matcher(text);
    if (f.matches()) {
      int below = Integer.parseInt(f.group(3));
      if (below == 0) {
        return Optional.empty();
      }
      BigDecimal whole = f.group(1) == null ? BigDecimal.ZERO : new BigDecimal(f.group(1));
      BigDecimal part =
          new BigDecimal(f.group(2)).divide(BigDecimal.valueOf(below), MathContext.DECIMAL64);
      return Optional.of(whole.add(part));
    }
    Matcher d = decimal.matcher(text);
    return d.matches() ? Optional.of(new BigDecimal(d.group(1))) : Optional.empty();
  }

  /** Sizes that are written in two ways get one name: 0.75 and 12/16 are 3/4. */
  private static String sizeOf(String text, BigDecimal inches) {
    BigDecimal sixtyFourths = inches.multiply(BigDecimal.valueOf(64));
    if (!isIn64ths(inches)) {
      return PlainDecimal.of(new BigDecimal(text));
    }
    long above = sixtyFourths.longValueExact();
    long whole = above / 64;
    long rest = above % 64;
    long below = 64;
    while (rest > 0 && rest % 2 == 0) {
      rest /= 2;
      below /= 2;
    }
    String part = rest + "/" + below;
    if (rest == 0) {
      return String.valueOf(whole);
    }
    return whole == 0 ? part : whole + " " + part;
  }

  /**
   * The major diameter, as a caliper finds it on a sound plug; empty for NPT, which tapers, and for
   * pipe sizes outside 1/8 to 1.
   */
  public Optional<Length> major() {
    return switch (form) {
      case M, UN -> Optional.of(diameter);
      case G, R ->
          Optional.ofNullable(PIPE_MAJOR.get(size))
              .map(mm -> Length.ofMillimetres(new BigDecimal(mm)));
      case NPT -> Optional.empty();
    };
  }

  /** "M20×1.5", "3/4-16 UN", "G 1/2", "R 1/4", "1/2 NPT". */
  public String display() {
    return switch (form) {
      case M -> "M" + size + pitch.map(p -> "×" + PlainDecimal.of(p, 3)).orElse("");
      case UN -> size + pitch.map(tpi -> "-" + tpi).orElse("") + " UN";
      case G, R -> form + " " + size;
      case NPT -> size + " NPT";
    };
  }
}
