package dev.lonja.core.part;

import dev.lonja.core.quantity.Fineness;
import dev.lonja.core.quantity.Length;
import dev.lonja.core.quantity.Pressure;
import java.util.List;
import java.util.Optional;

/**
 * Something recorded of a part, such as its height, with the type of its values.
 *
 * @param <T> the type of a value
 */
public final class Property<T> {

  public static final Property<String> USE =
      new Property<>("use", "use", Values.choice("oil", "fuel", "hydraulic", "gearbox", "coolant"));
  public static final Property<ScrewThread> THREAD =
      new Property<>("thread", "thread", Values.thread());
  public static final Property<Length> GASKET_OD = length("gasket_od", "gasket outside");
  public static final Property<Length> GASKET_ID = length("gasket_id", "gasket inside");

  /** The pressure at which the bypass opens; an empty value says that there is no bypass. */
  public static final Property<Optional<Pressure>> BYPASS =
      new Property<>("bypass", "bypass opens at", Values.pressureOrNone());

  public static final Property<Boolean> ANTI_DRAIN_VALVE =
      new Property<>("anti_drain_valve", "anti-drain valve", Values.yesNo());
  public static final Property<Boolean> WATER_SEPARATOR =
      new Property<>("water_separator", "water separator", Values.yesNo());
  public static final Property<Length> HEIGHT = length("height", "height");
  public static final Property<Length> OUTER_DIAMETER = length("outer_diameter", "outside");
  public static final Property<Length> INNER_DIAMETER = length("inner_diameter", "inside");
  public static final Property<Length> TOP_ID = length("top_id", "inside at the top");
  public static final Property<Length> BOTTOM_ID = length("bottom_id", "inside at the bottom");
  public static final Property<String> END_CAP =
      new Property<>("end_cap", "end caps", Values.choice("plastic", "metal", "felt", "molded"));
  public static final Property<Fineness> FINENESS =
      new Property<>("fineness", "fineness", Values.fineness());

  /** The test behind the fineness; two values compare only if both name the same one. */
  public static final Property<String> FINENESS_TEST =
      new Property<>("fineness_test", "by the test", Values.text(30));

  /** Whether one end is closed; else both are open. */
  public static final Property<Boolean> CLOSED_END =
      new Property<>("closed_end", "one end closed", Values.yesNo());

  public static final Property<Boolean> PRE_CLEANER =
      new Property<>("pre_cleaner", "pre-cleaner", Values.yesNo());
  public static final Property<Length> LENGTH = length("length", "length");
  public static final Property<Length> WIDTH = length("width", "width");
  public static final Property<Boolean> CARBON = new Property<>("carbon", "carbon", Values.yesNo());
  public static final Property<Length> INLET = length("inlet", "inlet port");
  public static final Property<Length> OUTLET = length("outlet", "outlet port");
  public static final Property<Pressure> PRESSURE_CLASS =
      new Property<>("pressure_class", "pressure class", Values.pressure());
  public static final Property<Length> THICKNESS = length("thickness", "thickness");
  public static final Property<String> SEAL_FORM =
      new Property<>("seal_form", "form", Values.choice("flat", "filled", "bonded"));
  public static final Property<String> MATERIAL =
      new Property<>(
          "material", "material", Values.choice("copper", "aluminium", "fibre", "rubber–metal"));
  public static final Property<Length> CROSS_SECTION = length("cross_section", "cord");
  public static final Property<String> RUBBER =
      new Property<>("rubber", "rubber", Values.choice("NBR", "HNBR", "FKM", "EPDM", "VMQ"));
  public static final Property<Integer> HARDNESS =
      new Property<>("hardness", "hardness", Values.whole(10, 100, "Shore A"));
  public static final Property<String> SEALING =
      new Property<>(
          "sealing", "sealed by", Values.choice("washer", "taper", "O-ring", "own seal"));
  public static final Property<Length> SHANK_LENGTH =
      length("shank_length", "length under the head");
  public static final Property<Length> HEX = length("hex", "hex");

  /** Whether the maker of a seal allows that it is used again if it is sound. */
  public static final Property<Boolean> REUSABLE =
      new Property<>("reusable", "may be used again", Values.yesNo());

  /** How far a spin-on filter is turned after its gasket touches, as printed on it. */
  public static final Property<String> TURNS =
      new Property<>("turns", "turns after contact", Values.choice("1/2", "2/3", "3/4", "1"));

  /** The cross-section of a belt, with its ribs, as "10", "SPA" or "5 PK". */
  public static final Property<String> BELT_PROFILE =
      new Property<>("belt_profile", "profile", Values.text(20));

  /** How long the thread of a spark plug is. */
  public static final Property<Length> REACH = length("reach", "reach");

  public static final Property<String> SEAT =
      new Property<>("seat", "seat", Values.choice("flat", "tapered"));
  public static final Property<Boolean> RESISTOR =
      new Property<>("resistor", "resistor", Values.yesNo());
  public static final Property<String> HEAT_RANGE =
      new Property<>("heat_range", "heat range", Values.text(10));

  /** Whose scale the heat range is on; two compare only if both name the same one. */
  public static final Property<String> HEAT_SCALE =
      new Property<>("heat_scale", "on the scale of", Values.text(30));

  public static final Property<Length> GAP = length("gap", "gap");
  public static final Property<Length> GRIPS_FROM = length("grips_from", "grips from");
  public static final Property<Length> GRIPS_TO = length("grips_to", "grips up to");
  public static final Property<Length> HOLE = length("hole", "hole");
  public static final Property<String> HOLE_FORM =
      new Property<>("hole_form", "form of the hole", Values.choice("round", "star", "slotted"));
  public static final Property<Integer> HOLES =
      new Property<>("holes", "bolt holes", Values.whole(0, 100, "holes"));
  public static final Property<String> GASKET_MATERIAL =
      new Property<>(
          "gasket_material", "made of", Values.choice("paper", "cork", "rubber", "metal"));
  public static final Property<String> CAP = new Property<>("cap", "cap", Values.text(20));
  public static final Property<Integer> VOLTS =
      new Property<>("volts", "voltage", Values.whole(1, 1_000, "V"));
  public static final Property<Integer> WATTS =
      new Property<>("watts", "power", Values.whole(1, 2_000, "W"));
  public static final Property<String> ARM = new Property<>("arm", "arm", Values.text(20));

  /** How stiff a grease is, by NLGI. */
  public static final Property<String> CONSISTENCY =
      new Property<>("nlgi", "NLGI", Values.choice("000", "00", "0", "1", "2", "3", "4", "5", "6"));

  /** The soap that holds a grease together, such as "lithium complex". */
  public static final Property<String> THICKENER =
      new Property<>("thickener", "thickener", Values.text(30));

  public static final Property<Boolean> MAGNET = new Property<>("magnet", "magnet", Values.yesNo());

  private static final List<Property<?>> ALL =
      List.of(
          USE,
          THREAD,
          GASKET_OD,
          GASKET_ID,
          BYPASS,
          ANTI_DRAIN_VALVE,
          WATER_SEPARATOR,
          HEIGHT,
          OUTER_DIAMETER,
          INNER_DIAMETER,
          TOP_ID,
          BOTTOM_ID,
          END_CAP,
          FINENESS,
          FINENESS_TEST,
          CLOSED_END,
          PRE_CLEANER,
          LENGTH,
          WIDTH,
          CARBON,
          INLET,
          OUTLET,
          PRESSURE_CLASS,
          THICKNESS,
          SEAL_FORM,
          MATERIAL,
          CROSS_SECTION,
          RUBBER,
          HARDNESS,
          SEALING,
          SHANK_LENGTH,
          HEX,
          MAGNET,
          REUSABLE,
          TURNS,
          BELT_PROFILE,
          REACH,
          SEAT,
          RESISTOR,
          HEAT_RANGE,
          HEAT_SCALE,
          GAP,
          GRIPS_FROM,
          GRIPS_TO,
          HOLE,
          HOLE_FORM,
          HOLES,
          GASKET_MATERIAL,
          CAP,
          VOLTS,
          WATTS,
          ARM,
          CONSISTENCY,
          THICKENER);

  private final String name;
  private final String words;
  private final Values<T> values;

  private Property(String name, String words, Values<T> values) {
    this.name = name;
    this.words = words;
    this.values = values;
  }

  private static Property<Length> length(String name, String words) {
    return new Property<>(name, words, Values.length());
  }

  public static List<Property<?>> all() {
    return ALL;
  }

  /** The property with this name in files and the database. */
  public static Optional<Property<?>> named(String name) {
    return ALL.stream().filter(property -> property.name.equals(name)).findFirst();
  }

  public String name() {
    return name;
  }

  public String words() {
    return words;
  }

  /** What a value may be, in words. */
  public String allowed() {
    return values.allowed();
  }

  /** The words to choose a value from; empty if it is written freely. */
  public List<String> choices() {
    return values.choices();
  }

  /** Reads a value as written; empty if it is not {@link #allowed}. */
  public Optional<T> parse(String text) {
    return values.parse().apply(text.strip());
  }

  /** Writes a value so that {@link #parse} reads the same. */
  public String print(T value) {
    return values.print().apply(value);
  }

  /** A value for people, with its unit. */
  public String display(T value) {
    return values.display().apply(value);
  }

  @Override
  public String toString() {
    return name;
  }
}
