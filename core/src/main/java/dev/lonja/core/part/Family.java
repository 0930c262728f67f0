package dev.lonja.core.part;

import dev.lonja.core.quantity.Measure;
import java.util.List;

/** What kind of thing a part is, and which of its properties are compared and recorded. */
public enum Family {
  SPIN_ON_FILTER(
      "spin-on filter",
      List.of(
          Property.USE,
          Property.THREAD,
          Property.GASKET_OD,
          Property.GASKET_ID,
          Property.BYPASS,
          Property.ANTI_DRAIN_VALVE,
          Property.WATER_SEPARATOR,
          Property.HEIGHT,
          Property.OUTER_DIAMETER,
          Property.FINENESS,
          Property.FINENESS_TEST,
          Property.TURNS)),
  CARTRIDGE_FILTER(
      "cartridge filter",
      List.of(
          Property.USE,
          Property.HEIGHT,
          Property.OUTER_DIAMETER,
          Property.TOP_ID,
          Property.BOTTOM_ID,
          Property.END_CAP,
          Property.WATER_SEPARATOR,
          Property.FINENESS,
          Property.FINENESS_TEST)),
  ROUND_AIR_FILTER(
      "round air filter",
      List.of(
          Property.OUTER_DIAMETER,
          Property.INNER_DIAMETER,
          Property.HEIGHT,
          Property.CLOSED_END,
          Property.PRE_CLEANER)),
  PANEL_AIR_FILTER("panel air filter", List.of(Property.LENGTH, Property.WIDTH, Property.HEIGHT)),
  CABIN_FILTER(
      "cabin filter", List.of(Property.LENGTH, Property.WIDTH, Property.HEIGHT, Property.CARBON)),
  FOAM_FILTER("foam filter", List.of(Property.HEIGHT)),
  INLINE_FUEL_FILTER(
      "in-line fuel filter",
      List.of(
          Property.INLET,
          Property.OUTLET,
          Property.PRESSURE_CLASS,
          Property.WATER_SEPARATOR,
          Property.HEIGHT,
          Property.OUTER_DIAMETER,
          Property.FINENESS,
          Property.FINENESS_TEST)),
  SEAL(
      "washer",
      List.of(
          Property.INNER_DIAMETER,
          Property.OUTER_DIAMETER,
          Property.THICKNESS,
          Property.SEAL_FORM,
          Property.MATERIAL,
          Property.REUSABLE)),
  O_RING(
      "O-ring",
      List.of(
          Property.INNER_DIAMETER,
          Property.CROSS_SECTION,
          Property.RUBBER,
          Property.HARDNESS,
          Property.REUSABLE)),
  DRAIN_PLUG(
      "drain plug",
      List.of(
          Property.THREAD, Property.SEALING, Property.SHANK_LENGTH, Property.HEX, Property.MAGNET)),
  FLUID("fluid", List.of()),
  GASKET(
      "gasket",
      List.of(
          Property.LENGTH,
          Property.WIDTH,
          Property.THICKNESS,
          Property.HOLES,
          Property.GASKET_MATERIAL)),
  BELT("belt", List.of(Property.BELT_PROFILE, Property.LENGTH)),
  SPARK_PLUG(
      "spark plug",
      List.of(
          Property.THREAD,
          Property.REACH,
          Property.SEAT,
          Property.HEX,
          Property.RESISTOR,
          Property.HEAT_RANGE,
          Property.HEAT_SCALE,
          Property.GAP)),
  HOSE_CLIP("hose clip", List.of(Property.GRIPS_FROM, Property.GRIPS_TO, Property.WIDTH)),
  BLADE("blade", List.of(Property.LENGTH, Property.HOLE, Property.HOLE_FORM, Property.THICKNESS)),
  BULB("bulb", List.of(Property.CAP, Property.VOLTS, Property.WATTS)),
  WIPER("wiper", List.of(Property.LENGTH, Property.ARM)),
  GREASE("grease", List.of(Property.CONSISTENCY, Property.THICKENER)),
  CONSUMABLE("consumable", List.of()),
  KIT("kit", List.of());

  private final String words;
  private final List<Property<?>> properties;

  Family(String words, List<Property<?>> properties) {
    this.words = words;
    this.properties = properties;
  }

  public String words() {
    return words;
  }

  /** What is recorded of such parts, in the order in which people measure it. */
  public List<Property<?>> properties() {
    return properties;
  }

  /** What such things are counted in. */
  public Measure measure() {
    return switch (this) {
      case FLUID -> Measure.LITRES;
      case GREASE -> Measure.KILOGRAMS;
      default -> Measure.PIECES;
    };
  }

  /** True for filters of every kind. */
  public boolean isFilter() {
    return switch (this) {
      case SPIN_ON_FILTER,
          CARTRIDGE_FILTER,
          ROUND_AIR_FILTER,
          PANEL_AIR_FILTER,
          CABIN_FILTER,
          FOAM_FILTER,
          INLINE_FUEL_FILTER ->
          true;
      default -> false;
    };
  }
}
