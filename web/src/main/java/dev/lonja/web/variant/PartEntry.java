package dev.lonja.web.variant;

import dev.lonja.core.part.Property;
import dev.lonja.core.quantity.Length;
import dev.lonja.core.quantity.Limits;
import dev.lonja.core.quantity.Torque;
import dev.lonja.core.quantity.TorqueRange;
import dev.lonja.web.request.Typed;
import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.function.Function;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** Torques, lengths and materials as people type them. */
public final class PartEntry {

  private static final Pattern TORQUE_UNIT =
      Pattern.compile("lbf?[·. -]?(ft|in)$", Pattern.CASE_INSENSITIVE);
  private static final Pattern NEWTON_METRES =
      Pattern.compile("n[·. ]?m$", Pattern.CASE_INSENSITIVE);

  private PartEntry() {}

  /** "32", "30-35 N·m", "24 lbf·ft" or "80-90 lbf·in"; without a unit it is N·m. */
  public static Optional<TorqueRange> torque(Typed typed, String field, String text) {
    Matcher unit = TORQUE_UNIT.matcher(text.strip());
    Function<BigDecimal, Torque> inUnit = Torque::ofNewtonMetres;
    String symbol = "N·m";
    String numbers = text.strip();
    if (unit.find()) {
      boolean inches = unit.group(1).toLowerCase(Locale.ROOT).startsWith("in");
      inUnit = inches ? Torque::ofPoundInches : Torque::ofPoundFeet;
      symbol = inches ? "lbf·in" : "lbf·ft";
      numbers = text.strip().substring(0, unit.start()).strip();
    } else {
      numbers = NEWTON_METRES.matcher(numbers).replaceFirst("").strip();
    }
    String[] ends = numbers.split("(?<=[0-9])\\s*[-–]\\s*", 2);
    String what = "The torque in " + symbol;
    Optional<BigDecimal> low = typed.decimalUpTo(field, what, ends[0], Limits.TORQUE, 3);
    Optional<BigDecimal> high =
        ends.length == 1 ? low : typed.decimalUpTo(field, what, ends[1], Limits.TORQUE, 3);
    if (low.isEmpty() || high.isEmpty()) {
      return Optional.empty();
    }
    if (low.get().compareTo(high.get()) > 0) {
      typed.refuse(
          field,
          "The range runs from " + ends[0] + " to " + ends[1] + "; write the lower end first.");
      return Optional.empty();
    }
    return Optional.of(new TorqueRange(inUnit.apply(low.get()), inUnit.apply(high.get())));
  }

  /** A length that may be left out. */
  static Optional<Length> length(Typed typed, String field, String what, String text) {
    if (text.isBlank()) {
      return Optional.empty();
    }
    Optional<Length> length = Property.HEIGHT.parse(text);
    if (length.isEmpty()) {
      typed.refuse(
          field,
          what
              + " is \""
              + text.strip()
              + "\"; allowed is "
              + Property.HEIGHT.allowed()
              + ", or nothing.");
    }
    return length;
  }

  /** Materials with commas between them; none stands for no list. */
  static List<String> materials(Typed typed, String field, String text) {
    List<String> materials = new ArrayList<>();
    for (String word : text.split(",")) {
      if (!word.isBlank()) {
        Property.MATERIAL
            .parse(word)
            .ifPresentOrElse(
                materials::add,
                () ->
                    typed.refuse(
                        field,
                        "\""
                            + word.strip()
                            + "\" is no material of a seal; allowed is "
                            + Property.MATERIAL.allowed()
                            + "."));
      }
    }
    return materials;
  }
}
