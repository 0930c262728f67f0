package dev.lonja.web.tank;

import dev.lonja.core.item.ItemId;
import dev.lonja.core.quantity.Length;
import dev.lonja.core.quantity.Spoken;
import dev.lonja.core.tank.Tank;
import dev.lonja.core.tank.TankShape;
import dev.lonja.core.text.Lengths;
import dev.lonja.desk.tank.TankSetUpDesk;
import dev.lonja.desk.tank.TankStand;
import dev.lonja.web.request.Typed;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;

/** The form of a tank: its fields filled in, and what was typed read. */
final class TankForm {

  private static final String SIDES = TankShape.LEAST_MM + " to " + TankShape.MOST_MM + " mm";

  private final Typed typed = new Typed();
  private final Map<String, String> fields;

  TankForm(Map<String, String> fields) {
    this.fields = fields;
  }

  /** A shape to choose. */
  record Choice(String value, String words) {}

  static List<Choice> shapes() {
    return Arrays.stream(TankShape.Kind.values())
        .map(kind -> new Choice(value(kind), words(kind)))
        .toList();
  }

  private static String value(TankShape.Kind kind) {
    return kind.name().toLowerCase(Locale.ROOT);
  }

  private static String words(TankShape.Kind kind) {
    return switch (kind) {
      case UPRIGHT -> "standing cylinder: diameter and height";
      case BOX -> "box: length, width and height";
      case LYING -> "lying cylinder, flat ends: diameter and length";
      case LYING_WITH_HEADS -> "lying cylinder, 2:1 elliptical heads: diameter and length";
      case TABLE -> "strapping table";
    };
  }

  /** What a new form starts with. */
  static Map<String, String> fresh() {
    return Map.of("safe", String.valueOf(Tank.USUAL_FILL), "error", Tank.USUAL_ERROR.exactText());
  }

  /** The form filled with a tank. */
  static Map<String, String> of(TankStand stand) {
    Tank tank = stand.tank();
    Map<String, String> fields = new HashMap<>();
    fields.put("name", tank.name());
    fields.put("bin", stand.bin().address());
    fields.put("item", String.valueOf(tank.itemId()));
    fields.put("shape", value(tank.shape().kind()));
    fields.put("safe", String.valueOf(tank.safeFillPercent()));
    fields.put("error", tank.dipError().exactText());
    fields.put("gauged", tank.gauged() ? "yes" : "");
    if (tank.shape() instanceof TankShape.Upright upright) {
      fields.put("diameter", upright.diameter().exactText());
      fields.put("high", upright.height().exactText());
    } else if (tank.shape() instanceof TankShape.Box box) {
      fields.put("length", box.length().exactText());
      fields.put("width", box.width().exactText());
      fields.put("high", box.height().exactText());
    } else if (tank.shape() instanceof TankShape.Lying lying) {
      fields.put("diameter", lying.diameter().exactText());
      fields.put("length", lying.length().exactText());
    } else if (tank.shape() instanceof TankShape.Table table) {
      fields.put("straps", table.written().replace("; ", "\n"));
    }
    return fields;
  }

  Typed typed() {
    return typed;
  }

  /** The tank that is wanted; empty if something is wrong with what was typed. */
  Optional<TankSetUpDesk.Wish> wish() {
    Optional<String> name = typed.text("name", "The name", text("name"), Lengths.SHORT);
    Optional<String> bin = typed.text("bin", "The bin", text("bin"), Lengths.ADDRESS);
    Optional<ItemId> item = typed.chosen("item", "what it holds", text("item"), ItemId::valueOf);
    Optional<TankShape> shape = shape();
    Optional<Integer> safe =
        typed.wholeBetween("safe", "The safe fill", text("safe"), Tank.LEAST_FILL, Tank.MOST_FILL);
    Optional<Length> error = error();
    return typed.all(
        () ->
            new TankSetUpDesk.Wish(
                name.orElseThrow(),
                bin.orElseThrow(),
                item.orElseThrow(),
                shape.orElseThrow(),
                safe.orElseThrow(),
                error.orElseThrow(),
                !text("gauged").isEmpty()));
  }

  private Optional<Length> error() {
    Optional<Length> error =
        typed.spoken("error", "The error of a dip", text("error"), "0.1 to 50 mm", Spoken.LENGTH);
    if (error.filter(e -> e.micrometres() < 100 || e.compareTo(Tank.MOST_ERROR) > 0).isPresent()) {
      typed.refuse(
          "error", "The error of a dip is " + error.get().display() + "; allowed is 0.1 to 50 mm.");
      return Optional.empty();
    }
    return error;
  }

  private Optional<TankShape> shape() {
    Optional<TankShape.Kind> kind =
        typed.choice("shape", "a shape", text("shape"), TankShape.Kind.class);
    return kind.flatMap(
        k ->
            switch (k) {
              case UPRIGHT -> both("diameter", "high").map(s -> upright(s));
              case BOX -> box();
              case LYING, LYING_WITH_HEADS ->
                  both("length", "diameter")
                      .map(s -> lying(s, k == TankShape.Kind.LYING_WITH_HEADS));
              case TABLE -> table();
            });
  }

  private static TankShape upright(List<Length> sides) {
    return new TankShape.Upright(sides.get(0), sides.get(1));
  }

  private static TankShape lying(List<Length> sides, boolean heads) {
    return new TankShape.Lying(sides.get(0), sides.get(1), heads);
  }

  private Optional<List<Length>> both(String one, String other) {
    Optional<Length> first = side(one);
    Optional<Length> second = side(other);
    return first.flatMap(f -> second.map(s -> List.of(f, s)));
  }

  private Optional<TankShape> box() {
    Optional<Length> length = side("length");
    Optional<Length> width = side("width");
    Optional<Length> height = side("high");
    return length.flatMap(
        l -> width.flatMap(w -> height.map(h -> (TankShape) new TankShape.Box(l, w, h))));
  }

  private Optional<Length> side(String field) {
    String what = "The " + (field.equals("high") ? "height" : field);
    Optional<Length> side = typed.spoken(field, what, text(field), SIDES, Spoken.LENGTH);
    if (side.filter(s -> !isSide(s)).isPresent()) {
      typed.refuse(field, what + " is " + side.get().display() + "; allowed is " + SIDES + ".");
      return Optional.empty();
    }
    return side;
  }

  private static boolean isSide(Length side) {
    return side.micrometres() >= TankShape.LEAST_MM * 1_000L
        && side.micrometres() <= TankShape.MOST_MM * 1_000L;
  }

  private Optional<TankShape> table() {
    try {
      return Optional.of(TankShape.Table.of(text("straps").replace("\r", "")));
    } catch (IllegalArgumentException e) {
      String words = e.getMessage();
      typed.refuse(
          "straps", words.substring(0, 1).toUpperCase(Locale.ROOT) + words.substring(1) + ".");
      return Optional.empty();
    }
  }

  private String text(String field) {
    return fields.getOrDefault(field, "").strip();
  }
}
