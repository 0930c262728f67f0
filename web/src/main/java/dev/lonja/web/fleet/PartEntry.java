package dev.lonja.web.fleet;

import dev.lonja.core.item.Item;
import dev.lonja.core.part.PartKey;
import dev.lonja.core.quantity.Measure;
import dev.lonja.core.quantity.Torque;
import dev.lonja.core.quantity.TorqueRange;
import dev.lonja.store.Session;
import dev.lonja.web.request.Typed;
import java.math.BigDecimal;
import java.util.List;
import java.util.Optional;

/** Part numbers and torques as people type them. */
final class PartEntry {

  private static final BigDecimal MOST_TORQUE = BigDecimal.valueOf(10_000);

  private PartEntry() {}

  /** By number, or by make and number where several makes use the number. */
  static Optional<Item> item(
      Session session, Typed typed, String field, String text, Measure measure) {
    Optional<PartKey> key = PartKey.of(text);
    List<Item> byNumber =
        key.map(session.items()::byKey).orElse(List.of()).stream()
            .filter(candidate -> candidate.measure() == measure)
            .toList();
    if (byNumber.size() == 1) {
      return Optional.of(byNumber.get(0));
    }
    Optional<Item> byMakeAndNumber =
        session.items().all().stream()
            .filter(candidate -> candidate.measure() == measure)
            .filter(candidate -> PartKey.of(candidate.make() + candidate.number()).equals(key))
            .findFirst();
    if (byMakeAndNumber.isEmpty()) {
      String kind = measure == Measure.LITRES ? "fluid" : "part";
      typed.refuse(
          field,
          byNumber.isEmpty()
              ? "No " + kind + " has the number \"" + text.strip() + "\"."
              : byNumber.size() + " makes use that number; write the make before it.");
    }
    return byMakeAndNumber;
  }

  /** "32" or "30-35", in N·m. */
  static Optional<TorqueRange> torque(Typed typed, String field, String text) {
    String[] ends = text.strip().split("(?<=[0-9])\\s*[-–]\\s*", 2);
    Optional<BigDecimal> low = typed.decimalUpTo(field, "The torque in N·m", ends[0], MOST_TORQUE);
    Optional<BigDecimal> high =
        ends.length == 1
            ? low
            : typed.decimalUpTo(field, "The torque in N·m", ends[1], MOST_TORQUE);
    if (low.isEmpty() || high.isEmpty()) {
      return Optional.empty();
    }
    if (low.get().compareTo(high.get()) > 0) {
      typed.refuse(
          field,
          "The range runs from " + ends[0] + " to " + ends[1] + "; write the lower end first.");
      return Optional.empty();
    }
    return Optional.of(
        new TorqueRange(Torque.ofNewtonMetres(low.get()), Torque.ofNewtonMetres(high.get())));
  }
}
