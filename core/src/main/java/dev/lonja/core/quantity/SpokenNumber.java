package dev.lonja.core.quantity;

import java.math.BigDecimal;
import java.math.MathContext;
import java.text.Normalizer;
import java.util.Locale;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * A number as people write it, and the unit behind it: "6.4", "6,4 L", "-30 °F", "1 1/2 in", "¾\"",
 * "12psi". A point or a comma stands before the decimals; a comma before exactly three of them may
 * set off thousands just as well, so that nothing is read from it. There is no sign for thousands
 * and no exponent.
 *
 * @param amount exact; of a fraction to 16 digits
 * @param unit in small letters, without what people leave out or put in as they please: blanks,
 *     points, hyphens, degree signs; may be empty
 */
public record SpokenNumber(BigDecimal amount, String unit) {

  private static final Pattern DECIMAL =
      Pattern.compile("([-+]?)([0-9]{1,12}(?:[.,][0-9]{1,9})?)(.*)");
  private static final Pattern FRACTION =
      Pattern.compile("([-+]?)(?:([0-9]{1,4})[ -])?([0-9]{1,4})/([0-9]{1,4})(.*)");
  private static final Pattern THOUSANDS = Pattern.compile(".*,[0-9]{3}");
  private static final String LOOSE = "[\\s.·•*°⋅-]";

  /** Empty for what is no number, for a fraction of nothing, and for what may be thousands. */
  public static Optional<SpokenNumber> read(String text) {
    String plain =
        Normalizer.normalize(text.strip(), Normalizer.Form.NFKC)
            .replace('−', '-')
            .replace('⁄', '/')
            .replace('″', '"')
            .replace("''", "\"");
    Matcher fraction = FRACTION.matcher(plain);
    if (fraction.matches()) {
      return ofFraction(fraction);
    }
    Matcher decimal = DECIMAL.matcher(plain);
    if (!decimal.matches() || THOUSANDS.matcher(decimal.group(2)).matches()) {
      return Optional.empty();
    }
    BigDecimal amount = new BigDecimal(decimal.group(2).replace(',', '.'));
    return Optional.of(spoken(decimal.group(1), amount, decimal.group(3)));
  }

  private static Optional<SpokenNumber> ofFraction(Matcher fraction) {
    BigDecimal below = new BigDecimal(fraction.group(4));
    if (below.signum() == 0) {
      return Optional.empty();
    }
    BigDecimal whole =
        fraction.group(2) == null ? BigDecimal.ZERO : new BigDecimal(fraction.group(2));
    BigDecimal amount =
        whole.add(new BigDecimal(fraction.group(3)).divide(below, MathContext.DECIMAL64));
    return Optional.of(spoken(fraction.group(1), amount, fraction.group(5)));
  }

  private static SpokenNumber spoken(String sign, BigDecimal amount, String unit) {
    return new SpokenNumber(
        sign.equals("-") ? amount.negate() : amount,
        unit.replaceAll(LOOSE, "").toLowerCase(Locale.ROOT));
  }
}
