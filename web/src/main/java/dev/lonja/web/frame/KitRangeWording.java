package dev.lonja.web.frame;

import dev.lonja.core.fleet.Engine;
import dev.lonja.core.quantity.Power;
import dev.lonja.core.take.KitRange;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/** Says which machines a kit is made for, and what drives a machine. */
public final class KitRangeWording {

  private KitRangeWording() {}

  /** "Corvane T7, engine K4-42, 60 kW to 90 kW". */
  public static String of(KitRange range) {
    return Stream.of(
            (range.make() + " " + range.model()).strip(), engine(range.engine()), power(range))
        .filter(words -> !words.isEmpty())
        .collect(Collectors.joining(", "));
  }

  /** Each range, one after the other. */
  public static String of(List<KitRange> ranges) {
    return ranges.stream().map(KitRangeWording::of).collect(Collectors.joining("; "));
  }

  /** "engine K4-42, 80 kW"; empty if nothing is noted. */
  public static String of(Engine engine) {
    return Stream.of(engine(engine.code()), engine.power().map(Power::display).orElse(""))
        .filter(words -> !words.isEmpty())
        .collect(Collectors.joining(", "));
  }

  private static String engine(String code) {
    return code.isEmpty() ? "" : "engine " + code;
  }

  private static String power(KitRange range) {
    Optional<String> least = range.least().map(Power::display);
    Optional<String> most = range.most().map(Power::display);
    if (least.isPresent() && most.isPresent()) {
      return least.equals(most) ? least.get() : least.get() + " to " + most.get();
    }
    return least
        .map(low -> low + " or more")
        .or(() -> most.map(high -> "up to " + high))
        .orElse("");
  }
}
