package dev.lonja.web.unit;

import dev.lonja.core.fleet.Compartment;
import dev.lonja.core.fleet.Outline;
import dev.lonja.web.frame.Svg;

/** The outlines by which machines are drawn, 640 wide and 160 high, and where compartments sit. */
final class OutlineShapes {

  /** A place within an outline. */
  record Spot(double x, double y) {}

  private OutlineShapes() {}

  static void draw(Svg svg, Outline outline, double top, String look) {
    svg.line(20, top + 152, 620, top + 152, "stroke=\"#b9c8c5\" stroke-width=\"2\"");
    switch (outline) {
      case TRUCK -> {
        svg.path(at(top, "M205 12 H612 V112 H205 Z"), look);
        svg.path(at(top, "M60 124 V72 L92 36 H192 V124 Z"), look);
        svg.path(at(top, "M60 124 H612 V112"), look);
        wheels(svg, top, look, 116, 480, 24);
      }
      case VAN -> {
        svg.path(at(top, "M60 126 V86 L128 40 H560 L580 126 Z"), look);
        wheels(svg, top, look, 142, 470, 24);
      }
      case FORKLIFT -> {
        svg.path(at(top, "M190 4 V140 M176 4 V140 M176 140 H70"), look);
        svg.path(at(top, "M200 126 V74 H232 L252 10 H390 L404 74 H450 V126 Z"), look);
        wheels(svg, top, look, 246, 414, 22);
      }
      case BOAT -> {
        svg.path(at(top, "M30 66 H612 L560 144 H130 Z"), look);
        svg.path(at(top, "M200 66 L214 16 H380 L396 66"), look);
      }
      case HOIST -> {
        svg.path(at(top, "M70 10 H570 V28 H552 V130 H530 V28 H110 V130 H88 V28 H70 Z"), look);
        svg.path(at(top, "M220 28 L200 120 M420 28 L440 120 M200 120 Q320 150 440 120"), look);
        svg.path(at(top, "M440 78 H530 V126 H440 Z"), look);
        wheels(svg, top, look, 100, 540, 14);
      }
      case SMALL -> {
        svg.path(at(top, "M220 124 V56 H300 L312 30 H372 L384 56 H430 V124 Z"), look);
        svg.path(at(top, "M430 110 L560 24"), look);
        wheels(svg, top, look, 260, 400, 18);
      }
      case CARRIER -> {
        svg.path(at(top, "M90 118 V86 L190 72 L236 30 H340 L366 78 H540 V118 Z"), look);
        wheels(svg, top, look, 170, 460, 30);
      }
      case SET -> {
        svg.path(at(top, "M110 32 H530 V126 H110 Z"), look);
        svg.path(at(top, "M90 126 H550 V146 H90 Z M450 32 V8 H470"), look);
      }
      default -> svg.path(at(top, "M90 32 H550 V140 H90 Z"), look);
    }
  }

  private static void wheels(Svg svg, double top, String look, double x1, double x2, double r) {
    svg.circle(x1, top + 152 - r, r, look);
    svg.circle(x2, top + 152 - r, r, look);
  }

  /** The same path so much lower. */
  private static String at(double top, String path) {
    StringBuilder moved = new StringBuilder();
    char command = 'M';
    int index = 0;
    for (String token : path.replaceAll("([A-Z])", " $1 ").strip().split("\\s+")) {
      if (Character.isLetter(token.charAt(0))) {
        command = token.charAt(0);
        index = 0;
        moved.append(token).append(' ');
      } else {
        boolean vertical = command == 'V' || (command != 'H' && index % 2 == 1);
        double value = Double.parseDouble(token);
        moved.append(vertical ? value + top : value).append(' ');
        index++;
      }
    }
    return moved.toString().strip();
  }

  static Spot spot(Outline outline, Compartment.Kind kind) {
    return switch (outline) {
      case TRUCK, VAN -> road(kind);
      case BOAT -> boat(kind);
      case FORKLIFT -> forklift(kind);
      case HOIST -> kind == Compartment.Kind.HYDRAULIC ? new Spot(510, 92) : new Spot(462, 112);
      case CARRIER -> carrier(kind);
      default -> middle(kind);
    };
  }

  /** Where a further compartment of a kind sits: a truck's second engine cools its box. */
  static Spot another(Outline outline, Compartment.Kind kind) {
    return outline == Outline.TRUCK && kind == Compartment.Kind.ENGINE
        ? new Spot(230, 42)
        : spot(outline, kind);
  }

  private static Spot road(Compartment.Kind kind) {
    return switch (kind) {
      case ENGINE, ENGINE_CLUTCH -> new Spot(150, 104);
      case GEARBOX, PRIMARY_DRIVE -> new Spot(240, 112);
      case TRANSFER_CASE -> new Spot(300, 112);
      case FRONT_DRIVE -> new Spot(116, 128);
      case REAR_DRIVE -> new Spot(480, 126);
      case COOLING -> new Spot(78, 92);
      case POWER_STEERING -> new Spot(112, 66);
      case BRAKE_CIRCUIT -> new Spot(360, 112);
      case HYDRAULIC -> new Spot(400, 112);
      case EXHAUST_FLUID -> new Spot(420, 112);
      case WASHER -> new Spot(96, 64);
      case FUEL_TANK -> new Spot(330, 128);
    };
  }

  private static Spot boat(Compartment.Kind kind) {
    return switch (kind) {
      case ENGINE -> new Spot(330, 104);
      case GEARBOX -> new Spot(440, 116);
      case HYDRAULIC -> new Spot(200, 100);
      default -> new Spot(250, 92);
    };
  }

  private static Spot forklift(Compartment.Kind kind) {
    return switch (kind) {
      case ENGINE -> new Spot(370, 106);
      case HYDRAULIC -> new Spot(290, 98);
      case GEARBOX -> new Spot(320, 120);
      case COOLING -> new Spot(430, 92);
      default -> new Spot(260, 108);
    };
  }

  private static Spot carrier(Compartment.Kind kind) {
    return switch (kind) {
      case FRONT_DRIVE -> new Spot(170, 122);
      case REAR_DRIVE -> new Spot(460, 122);
      case ENGINE, ENGINE_CLUTCH -> new Spot(310, 98);
      case COOLING -> new Spot(130, 96);
      default -> new Spot(380, 98);
    };
  }

  private static Spot middle(Compartment.Kind kind) {
    return switch (kind) {
      case ENGINE, ENGINE_CLUTCH -> new Spot(330, 92);
      case COOLING -> new Spot(240, 86);
      case HYDRAULIC -> new Spot(400, 92);
      default -> new Spot(290, 104);
    };
  }
}
