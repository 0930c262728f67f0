package dev.lonja.web.tank;

import dev.lonja.core.quantity.Volume;
import dev.lonja.core.tank.Tank;
import dev.lonja.core.tank.TankLevel;
import dev.lonja.core.tank.TankShape;
import dev.lonja.web.frame.Svg;
import java.util.Optional;

/**
 * Draws a tank by its shape, with its level, what open orders bring on top of it, where to order
 * and how far it is filled.
 */
final class TankDrawing {

  private static final double HIGH = 170;
  private static final double TOP = 14;
  private static final double GROUND = 206;
  private static final double MARGIN = 46;
  private static final double NARROWEST = 90;
  private static final double WIDEST = 300;
  private static final int STEPS = 24;
  private static final String INK = "#0e2b33";

  private final TankLevel level;
  private final Marks marks;
  private final double height;
  private final double width;

  /** How far a lying tank's ends bulge. */
  private final double bulge;

  private TankDrawing(TankLevel level, Marks marks) {
    this.level = level;
    this.marks = marks;
    TankShape shape = level.tank().shape();
    double tall = shape.height().micrometres();
    this.height = shape.kind() == TankShape.Kind.LYING_WITH_HEADS || isLying(shape) ? 124 : HIGH;
    this.width = Math.max(NARROWEST, Math.min(WIDEST, height * broad(shape) / tall));
    this.bulge = shape.kind() == TankShape.Kind.LYING_WITH_HEADS ? height / 4 : 0;
  }

  /**
   * What is drawn beside the level.
   *
   * @param order the level at which more is to be ordered
   * @param delivery what is to come, zero or more
   */
  record Marks(Optional<Volume> order, Volume delivery) {}

  static String of(TankLevel level, Marks marks, String title) {
    return new TankDrawing(level, marks).drawn(title);
  }

  private static boolean isLying(TankShape shape) {
    return shape instanceof TankShape.Lying;
  }

  /** As broad as it looks from the side, in micrometres. */
  private static double broad(TankShape shape) {
    if (shape instanceof TankShape.Upright upright) {
      return upright.diameter().micrometres();
    }
    if (shape instanceof TankShape.Box box) {
      return box.length().micrometres();
    }
    if (shape instanceof TankShape.Lying lying) {
      return lying.length().micrometres();
    }
    return shape.height().micrometres();
  }

  private String drawn(String title) {
    Tank tank = level.tank();
    Svg svg = new Svg((int) Math.round(width + 2 * (MARGIN + bulge)), (int) GROUND + 10, title);
    stand(svg);
    svg.path(outline(0, height), "fill=\"#ffffff\"");
    double stands = share(level.now());
    if (stands > 0) {
      svg.path(outline(0, stands), "fill=\"#2f7c88\"");
    }
    Volume all = level.now().plus(marks.delivery());
    Volume full = tank.shape().full();
    double filled = share(all.compareTo(full) < 0 ? all : full);
    if (filled > stands) {
      svg.path(
          outline(stands, filled),
          "fill=\"#2f7c88\" fill-opacity=\"0.3\" stroke=\"#2f7c88\" stroke-dasharray=\"5 4\"");
    }
    double safe = share(tank.safeFill());
    svg.path(outline(safe, height), "fill=\"#b8361c\" fill-opacity=\"0.16\"");
    svg.path(outline(0, height), "fill=\"none\" stroke=\"" + INK + "\" stroke-width=\"3\"");
    marks.order().ifPresent(volume -> orderLine(svg, y(share(volume))));
    return svg.done();
  }

  private void orderLine(Svg svg, double y) {
    double left = left() - bulge - 12;
    svg.line(
        left,
        y,
        left() + width + bulge + 12,
        y,
        "stroke=\"#835609\" stroke-width=\"2\" stroke-dasharray=\"6 4\"");
    svg.label(
        left() - bulge - 4,
        y - 5,
        "order",
        "font-size=\"13\" fill=\"#835609\" text-anchor=\"end\"");
  }

  private void stand(Svg svg) {
    double bottom = TOP + (HIGH - height) + height;
    String line = "stroke=\"" + INK + "\" stroke-width=\"2.5\" fill=\"none\"";
    if (isLying(level.tank().shape())) {
      for (double share : new double[] {0.2, 0.8}) {
        double x = left() + width * share;
        svg.path(
            new Svg.Path()
                    .moveTo(x, bottom)
                    .lineTo(x - 14, GROUND - 2)
                    .lineTo(x + 14, GROUND - 2)
                    .data()
                + "Z",
            line);
      }
      return;
    }
    svg.line(left() - 14, bottom, left() + width + 14, bottom, line);
    svg.line(left() + 2, bottom, left() + 2, GROUND, line);
    svg.line(left() + width - 2, bottom, left() + width - 2, GROUND, line);
  }

  private double left() {
    return MARGIN + bulge;
  }

  /** From the bottom, in the drawing's units. */
  private double share(Volume volume) {
    TankShape shape = level.tank().shape();
    return height * shape.dipOf(volume).micrometres() / shape.height().micrometres();
  }

  private double y(double fromBottom) {
    return TOP + HIGH - fromBottom;
  }

  /** The part of the tank between two heights from its bottom. */
  private String outline(double from, double to) {
    Svg.Path path = new Svg.Path().moveTo(left() - out(from), y(from));
    for (int i = 1; i <= STEPS; i++) {
      double at = from + (to - from) * i / STEPS;
      path.lineTo(left() - out(at), y(at));
    }
    for (int i = STEPS; i >= 0; i--) {
      double at = from + (to - from) * i / STEPS;
      path.lineTo(left() + width + out(at), y(at));
    }
    return path.data() + "Z";
  }

  /** How far an end bulges at a height. */
  private double out(double fromBottom) {
    double from = 2 * fromBottom / height - 1;
    return bulge * Math.sqrt(Math.max(0, 1 - from * from));
  }
}
