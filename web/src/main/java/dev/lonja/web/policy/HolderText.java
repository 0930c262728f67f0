package dev.lonja.web.policy;

import dev.lonja.core.cases.Cases;
import dev.lonja.core.fleet.CompartmentId;
import dev.lonja.core.fleet.PositionId;
import dev.lonja.core.fleet.UnitId;
import dev.lonja.core.policy.Holder;
import java.util.Map;
import java.util.Optional;
import java.util.function.LongFunction;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** Holders of policies as forms and addresses name them: "store", "class-3", "unit-12". */
final class HolderText {

  static final String STORE = "store";

  private static final Pattern NUMBERED = Pattern.compile("([a-z]+)-([0-9]{1,12})");

  private static final Map<String, LongFunction<Holder>> KINDS =
      Map.of(
          "class", Holder.OfClass::new,
          "unit", number -> new Holder.OfUnit(new UnitId(number)),
          "compartment", number -> new Holder.OfCompartment(new CompartmentId(number)),
          "position", number -> new Holder.OfPosition(new PositionId(number)));

  private static final Cases<Holder, String> TEXT =
      Cases.<Holder, String>over(Holder.class)
          .when(Holder.Store.class, store -> STORE)
          .when(Holder.OfClass.class, of -> "class-" + of.classId())
          .when(Holder.OfUnit.class, of -> "unit-" + of.unitId().value())
          .when(Holder.OfCompartment.class, of -> "compartment-" + of.compartmentId().value())
          .when(Holder.OfPosition.class, of -> "position-" + of.positionId().value())
          .all();

  private HolderText() {}

  static String of(Holder holder) {
    return TEXT.apply(holder);
  }

  /** Empty if it names none. */
  static Optional<Holder> read(String text) {
    if (text.equals(STORE)) {
      return Optional.of(Holder.STORE);
    }
    Matcher numbered = NUMBERED.matcher(text);
    return numbered.matches() && KINDS.containsKey(numbered.group(1))
        ? Optional.of(KINDS.get(numbered.group(1)).apply(Long.parseLong(numbered.group(2))))
        : Optional.empty();
  }
}
