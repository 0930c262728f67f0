package dev.lonja.web.fleet;

import dev.lonja.core.fleet.JudgedReading;
import dev.lonja.core.fleet.Reading;
import dev.lonja.core.fleet.ReadingFlag;
import dev.lonja.web.request.Problem;
import java.math.BigDecimal;
import java.util.Optional;

/** Why a reading is set aside, in words. */
public final class ReadingWording {

  private static final BigDecimal HIGHEST = BigDecimal.valueOf(9_999_999);

  private ReadingWording() {}

  /** A value that no meter shows. */
  public static Optional<Problem> outOfRange(String field, BigDecimal value) {
    boolean inRange = value.signum() >= 0 && value.compareTo(HIGHEST) <= 0;
    return inRange
        ? Optional.empty()
        : Optional.of(
            new Problem(
                field, "The reading is " + value.toPlainString() + "; allowed is 0 to 9,999,999."));
  }

  /** For a flagged reading: "1,402 h is below the last accepted reading, 1,410 h on 2027-03-01." */
  public static String why(JudgedReading judged) {
    Reading against = judged.against().orElseThrow();
    String last = against.value().display() + " on " + against.day();
    String value = judged.reading().value().display();
    return judged.flag().orElseThrow() == ReadingFlag.BACKWARDS
        ? value + " is below the last accepted reading, " + last + "."
        : value
            + " would be more than "
            + against.value().measure().highestPerDay().display()
            + " a day since "
            + last
            + ".";
  }
}
