package dev.lonja.core.policy;

import java.math.BigDecimal;
import java.util.Optional;

/**
 * A school that was chosen, complete with its number.
 *
 * @param number present exactly if the school needs one, within what it allows
 */
public record Choice(School school, Optional<BigDecimal> number) {

  public Choice {
    boolean fits =
        school.number().isPresent()
            ? number.filter(school.number().get()::allows).isPresent()
            : number.isEmpty();
    if (!fits) {
      throw new IllegalArgumentException(
          "number is " + number + "; allowed for " + school + " is " + school.number());
    }
    number = number.map(BigDecimal::stripTrailingZeros);
  }

  /** Of a school that needs no number. */
  public static Choice of(School school) {
    return new Choice(school, Optional.empty());
  }

  /** Of a school that needs a number. */
  public static Choice of(School school, BigDecimal number) {
    return new Choice(school, Optional.of(number));
  }

  public Question question() {
    return school.question();
  }

  /** The whole number of a school that counts. */
  public int count() {
    return number.orElseThrow().intValueExact();
  }
}
