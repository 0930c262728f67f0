package dev.lonja.web.variant;

import dev.lonja.core.quantity.Limits;
import dev.lonja.core.quantity.PlainDecimal;
import dev.lonja.store.fleet.VariantTasks.Span;
import dev.lonja.store.fleet.VariantTasks.WhileIn;
import dev.lonja.web.frame.Words;
import java.math.BigDecimal;
import java.math.RoundingMode;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** Intervals as the forms of a variant show and take them. */
final class VariantFormat {

  private static final Pattern WHILE_IN =
      Pattern.compile(
          "([^:]{1,40}):\\s*(?:([0-9]{1,7}(?:\\.[0-9])?)(?=\\s*(?:,|$)))?\\s*,?\\s*"
              + "(?:([0-9]{1,3})\\s*months?)?");

  private VariantFormat() {}

  static long tenths(BigDecimal amount) {
    return amount.movePointRight(1).setScale(0, RoundingMode.HALF_UP).longValueExact();
  }

  static String run(Span span) {
    return span.tenths().map(t -> PlainDecimal.of(t, 1)).orElse("");
  }

  static String months(Span span) {
    return span.months().map(String::valueOf).orElse("");
  }

  /** "30000, 12 months". */
  static String words(Span span) {
    List<String> parts = new ArrayList<>();
    if (span.tenths().isPresent()) {
      parts.add(run(span));
    }
    span.months().ifPresent(months -> parts.add(Words.count(months, "month", "months")));
    return String.join(", ", parts);
  }

  static String words(WhileIn entry) {
    return entry.fluidClass() + ": " + words(entry.span());
  }

  /** "E9: 30000, 12 months"; empty if it cannot be read. */
  static Optional<WhileIn> whileIn(String line) {
    Matcher matcher = WHILE_IN.matcher(line.strip());
    if (!matcher.matches()) {
      return Optional.empty();
    }
    Span span =
        new Span(
            Optional.ofNullable(matcher.group(2)).map(run -> tenths(new BigDecimal(run))),
            Optional.ofNullable(matcher.group(3)).map(Integer::valueOf));
    boolean good =
        !span.isNone()
            && span.tenths().filter(t -> t == 0 || t > 10L * Limits.RUN).isEmpty()
            && span.months().filter(m -> m < 1 || m > Limits.MONTHS).isEmpty();
    return good ? Optional.of(new WhileIn(matcher.group(1).strip(), span)) : Optional.empty();
  }
}
