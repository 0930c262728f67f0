package dev.lonja.web.crossref;

import dev.lonja.core.part.Family;
import dev.lonja.core.part.Part;
import dev.lonja.core.part.Property;
import dev.lonja.core.quantity.Length;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * What of a part can be drawn to scale, in millimetres: how wide and how high it is from the side,
 * and what is seen of it from below.
 *
 * @param width across, from the side; empty if it is not recorded
 * @param height from the side
 * @param depth the other side of a flat part; empty for a round one
 * @param rings circles on the face, the widest first
 */
record PartShape(
    Optional<Dimension> width,
    Optional<Dimension> height,
    Optional<Dimension> depth,
    List<Dimension> rings,
    boolean plug) {

  private static final double MICROMETRES = 1_000.0;

  /** A measure with the property that it is. */
  record Dimension(Property<?> property, double millimetres, String label) {}

  static PartShape of(Part part) {
    return switch (part.family().orElse(Family.CONSUMABLE)) {
      case SPIN_ON_FILTER ->
          round(
              part,
              Property.OUTER_DIAMETER,
              Property.HEIGHT,
              Property.GASKET_OD,
              Property.GASKET_ID);
      case CARTRIDGE_FILTER ->
          round(
              part, Property.OUTER_DIAMETER, Property.HEIGHT, Property.TOP_ID, Property.BOTTOM_ID);
      case ROUND_AIR_FILTER ->
          round(part, Property.OUTER_DIAMETER, Property.HEIGHT, Property.INNER_DIAMETER);
      case SEAL ->
          round(part, Property.OUTER_DIAMETER, Property.THICKNESS, Property.INNER_DIAMETER);
      case O_RING -> ring(part);
      case DRAIN_PLUG -> plug(part);
      case PANEL_AIR_FILTER, CABIN_FILTER ->
          new PartShape(
              length(part, Property.LENGTH),
              length(part, Property.HEIGHT),
              length(part, Property.WIDTH),
              List.of(),
              false);
      case INLINE_FUEL_FILTER ->
          new PartShape(
              Optional.empty(),
              Optional.empty(),
              Optional.empty(),
              rings(part, Property.INLET, Property.OUTLET),
              false);
      case FOAM_FILTER,
          FLUID,
          GASKET,
          BELT,
          SPARK_PLUG,
          HOSE_CLIP,
          BLADE,
          BULB,
          WIPER,
          GREASE,
          CONSUMABLE,
          KIT ->
          new PartShape(Optional.empty(), Optional.empty(), Optional.empty(), List.of(), false);
    };
  }

  @SafeVarargs
  private static PartShape round(
      Part part, Property<Length> width, Property<Length> height, Property<Length>... rings) {
    List<Dimension> all = new ArrayList<>(rings(part, rings));
    thread(part).ifPresent(all::add);
    return new PartShape(length(part, width), length(part, height), Optional.empty(), all, false);
  }

  private static PartShape ring(Part part) {
    Optional<Dimension> cord = length(part, Property.CROSS_SECTION);
    Optional<Dimension> inside = length(part, Property.INNER_DIAMETER);
    Optional<Dimension> outside =
        cord.flatMap(
            c ->
                inside.map(
                    i ->
                        dimension(
                            Property.INNER_DIAMETER,
                            i.millimetres() + 2 * c.millimetres(),
                            "over the cord")));
    return new PartShape(outside, cord, Optional.empty(), inside.stream().toList(), false);
  }

  private static PartShape plug(Part part) {
    List<Dimension> rings = new ArrayList<>(rings(part, Property.HEX));
    thread(part).ifPresent(rings::add);
    return new PartShape(
        length(part, Property.HEX),
        length(part, Property.SHANK_LENGTH),
        Optional.empty(),
        rings,
        true);
  }

  private static Optional<Dimension> thread(Part part) {
    return part.properties()
        .get(Property.THREAD)
        .flatMap(
            thread ->
                thread
                    .major()
                    .map(
                        major ->
                            new Dimension(
                                Property.THREAD,
                                major.micrometres() / MICROMETRES,
                                thread.display())));
  }

  @SafeVarargs
  private static List<Dimension> rings(Part part, Property<Length>... rings) {
    List<Dimension> found = new ArrayList<>();
    for (Property<Length> ring : rings) {
      length(part, ring).ifPresent(found::add);
    }
    return found;
  }

  private static Optional<Dimension> length(Part part, Property<Length> property) {
    return part.properties()
        .get(property)
        .map(length -> dimension(property, length.micrometres() / MICROMETRES, property.words()));
  }

  private static Dimension dimension(Property<?> property, double millimetres, String words) {
    String plain = new Length(Math.round(millimetres * MICROMETRES)).display();
    return new Dimension(property, millimetres, words + " " + plain);
  }

  boolean isDrawable() {
    return width.isPresent() || !rings.isEmpty();
  }

  /** The widest measure of all, for choosing a scale. */
  double across() {
    double widest = width.map(Dimension::millimetres).orElse(0.0);
    for (Dimension ring : rings) {
      widest = Math.max(widest, ring.millimetres());
    }
    return widest;
  }

  /** How far down the face reaches. */
  double faceHeight() {
    return depth.map(Dimension::millimetres).orElse(across());
  }

  double sideHeight() {
    return height.map(Dimension::millimetres).orElse(0.0);
  }

  /** The thread, where there is one. */
  static boolean isThread(Dimension dimension) {
    return dimension.property() == Property.THREAD;
  }
}
