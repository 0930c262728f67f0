package dev.lonja.web.variant;

import dev.lonja.core.part.Property;
import dev.lonja.core.quantity.Length;
import dev.lonja.core.quantity.Limits;
import dev.lonja.core.quantity.Spoken;
import dev.lonja.core.quantity.Torque;
import dev.lonja.core.quantity.TorqueRange;
import dev.lonja.web.request.Typed;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** Torques, lengths and materials as people type them. */
public final class PartEntry {

  private static final Pattern RANGE = Pattern.compile("([0-9.,/ ]+?) *[-–] *([0-9.,/]+)(.*)");

  private PartEntry() {}

  /** "32", "30-35 N·m", "24 lbf·ft" or "80-90 in-lb"; without a unit it is N·m. */
  public static Optional<TorqueRange> torque(Typed typed, String field, String text) {
    Matcher range = RANGE.matcher(text.strip());
    boolean isRange = range.matches();
    Optional<Torque> low =
        torqueOf(typed, field, isRange ? range.group(1) + range.group(3) : text.strip());
    Optional<Torque> high = isRange ? torqueOf(typed, field, range.group(2) + range.group(3)) : low;
    if (low.isEmpty() || high.isEmpty()) {
      return Optional.empty();
    }
    if (low.get().compareTo(high.get()) > 0) {
      typed.refuse(
          field,
          "The range runs from "
              + range.group(1)
              + " to "
              + range.group(2)
              + "; write the lower end first.");
      return Optional.empty();
    }
    return Optional.of(new TorqueRange(low.get(), high.get()));
  }

  private static Optional<Torque> torqueOf(Typed typed, String field, String text) {
    Optional<Torque> torque = Spoken.TORQUE.read(text);
    if (torque.isEmpty()) {
      typed.refuse(
          field,
          "The torque is \""
              + text
              + "\"; allowed is more than 0, up to "
              + Limits.TORQUE
              + " N·m, with "
              + Spoken.TORQUE.units()
              + ".");
    }
    return torque;
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
            .or(() -> Property.RUBBER.parse(word))
            .ifPresentOrElse(
                materials::add,
                () ->
                    typed.refuse(
                        field,
                        "\""
                            + word.strip()
                            + "\" is no material of a seal; allowed is "
                            + Property.MATERIAL.allowed()
                            + ", or the rubber of an O-ring, "
                            + Property.RUBBER.allowed()
                            + "."));
      }
    }
    return materials;
  }
}
