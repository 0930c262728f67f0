package dev.lonja.web.frame;

import dev.lonja.core.policy.Choice;
import dev.lonja.core.policy.InForce;
import dev.lonja.core.policy.School;
import dev.lonja.core.quantity.PlainDecimal;
import dev.lonja.core.service.IntervalPolicy;
import java.math.BigDecimal;
import java.util.List;
import java.util.stream.Collectors;

/** How things are done where practitioners differ, in words. */
public final class WayWording {

  private WayWording() {}

  /** "shortened by a factor of 0.8", "replace every 3rd service". */
  public static String of(Choice choice) {
    return switch (choice.school()) {
      case SHORTENED -> choice.school().words() + " of " + PlainDecimal.of(number(choice));
      case EVERY_NTH -> "replace every " + Words.ordinal(choice.count()) + " service";
      default -> choice.school().words();
    };
  }

  private static BigDecimal number(Choice choice) {
    return choice.number().orElseThrow();
  }

  /** "always a new seal (the store's policy)". */
  public static String of(InForce way) {
    return of(way.choice()) + " (" + way.level().words() + ")";
  }

  /** The policies behind a line, each by name; empty if nothing was to be chosen. */
  public static String behind(List<InForce> ways) {
    return ways.stream()
        .map(way -> way.choice().question().words() + ": " + of(way))
        .collect(Collectors.joining("; "));
  }

  /** "maker's full interval, with its calendar limit". */
  public static String of(IntervalPolicy policy) {
    boolean makers = policy.interval().is(School.MAKERS_INTERVAL);
    return (makers ? "" : "maker's interval ")
        + of(policy.interval().choice())
        + (policy.calendar().is(School.WITH_CALENDAR_LIMIT)
            ? ", with its calendar limit"
            : ", by the meter alone");
  }
}
