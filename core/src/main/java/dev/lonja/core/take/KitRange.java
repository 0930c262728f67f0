package dev.lonja.core.take;

import dev.lonja.core.fleet.Engine;
import dev.lonja.core.fleet.Variant;
import dev.lonja.core.quantity.Power;
import java.util.List;
import java.util.Optional;

/**
 * Machines that a kit is made for: those of which everything holds that is stated here.
 *
 * @param make of the machine; empty for any
 * @param model of it; empty for any
 * @param engine its code; empty for any
 * @param least the lowest power that the kit is for, included
 * @param most the highest, included
 */
public record KitRange(
    String make, String model, String engine, Optional<Power> least, Optional<Power> most) {

  /** Whether a machine is one that a kit is made for. */
  public enum Answer {
    IN,
    /** What decides it is not noted of the machine. */
    NOT_KNOWN,
    OUT
  }

  public KitRange {
    if (make.isEmpty()
        && model.isEmpty()
        && engine.isEmpty()
        && least.isEmpty()
        && most.isEmpty()) {
      throw new IllegalArgumentException("nothing is stated; allowed is one thing at least");
    }
    if (least.isPresent() && most.filter(high -> high.compareTo(least.get()) < 0).isPresent()) {
      throw new IllegalArgumentException(
          "most is "
              + most.get().display()
              + "; allowed is "
              + least.get().display()
              + " or more, the least");
    }
  }

  /**
   * The best answer of several ranges; a kit of which none is stated is for any machine that its
   * contents match.
   */
  public static Answer judge(List<KitRange> ranges, Variant machine) {
    return ranges.stream()
        .map(range -> range.judge(machine))
        .sorted()
        .findFirst()
        .orElse(Answer.IN);
  }

  /** Out as soon as one thing says so, whatever else is not noted. */
  Answer judge(Variant machine) {
    Engine its = machine.engine();
    boolean isOut =
        differs(make, machine.make())
            || differs(model, machine.model())
            || (!its.code().isEmpty() && differs(engine, its.code()))
            || its.power().filter(this::isOutside).isPresent();
    if (isOut) {
      return Answer.OUT;
    }
    boolean isNoted =
        (engine.isEmpty() || !its.code().isEmpty())
            && ((least.isEmpty() && most.isEmpty()) || its.power().isPresent());
    return isNoted ? Answer.IN : Answer.NOT_KNOWN;
  }

  private static boolean differs(String asked, String its) {
    return !asked.isEmpty() && !asked.equalsIgnoreCase(its);
  }

  private boolean isOutside(Power power) {
    return least.filter(low -> power.compareTo(low) < 0).isPresent()
        || most.filter(high -> power.compareTo(high) > 0).isPresent();
  }
}
