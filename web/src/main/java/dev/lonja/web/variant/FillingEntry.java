package dev.lonja.web.variant;

import dev.lonja.core.fleet.Capacity;
import dev.lonja.core.fleet.Filling;
import dev.lonja.core.fleet.LevelMethod;
import dev.lonja.core.fleet.TopUpRate;
import dev.lonja.core.quantity.Limits;
import dev.lonja.core.quantity.PlainDecimal;
import dev.lonja.core.quantity.Volume;
import dev.lonja.web.request.Typed;
import java.math.BigDecimal;
import java.util.Arrays;
import java.util.HashMap;
import java.util.Map;
import java.util.Optional;

/** What a compartment takes and how it is filled, as people type it. */
public final class FillingEntry {

  private static final int PER_CENT = 2;
  private static final BigDecimal HUNDRED = BigDecimal.valueOf(100);

  private FillingEntry() {}

  /** "6.4", or "6-6.6" where a book states low and high; in litres. */
  public static Optional<Capacity> capacity(Typed typed, String field, String what, String text) {
    String[] ends = text.strip().split("(?<=[0-9])\\s*(?:[-–]|to)\\s*", 2);
    Optional<Volume> low = typed.litres(field, what, ends[0], Limits.LITRES);
    Optional<Volume> high =
        ends.length == 1 ? low : typed.litres(field, what, ends[1], Limits.LITRES);
    if (low.isEmpty() || high.isEmpty()) {
      return Optional.empty();
    }
    if (high.get().compareTo(low.get()) < 0) {
      typed.refuse(
          field,
          "The range runs from " + ends[0] + " to " + ends[1] + "; write the lower end first.");
      return Optional.empty();
    }
    return Optional.of(new Capacity(low.get(), high.get()));
  }

  /** How it is filled, of a form's fields; empty if something is wrong. */
  static Optional<Filling> filling(Typed typed, Map<String, String> form) {
    Optional<LevelMethod.Kind> kind =
        constant(typed, form, "level", "way of reading the level", LevelMethod.Kind.values());
    Optional<LevelMethod> level = kind.flatMap(k -> level(typed, form, k));
    String share = form.getOrDefault("holdBack", "").strip();
    Optional<BigDecimal> holdBack =
        share.isEmpty()
            ? Optional.empty()
            : typed
                .decimalBetween(
                    "holdBack",
                    "What is held back, in %,",
                    share,
                    BigDecimal.ZERO,
                    Filling.MOST_HOLD_BACK.multiply(HUNDRED),
                    PER_CENT)
                .map(percent -> percent.movePointLeft(2));
    Optional<TopUpRate> topUps = topUps(typed, form);
    return typed.all(() -> new Filling(level, holdBack, Optional.empty(), topUps));
  }

  /** Litres and their meter, or neither. */
  private static Optional<TopUpRate> topUps(Typed typed, Map<String, String> form) {
    String litres = form.getOrDefault("topUpLitres", "").strip();
    String meter = form.getOrDefault("meter", "").strip();
    if (litres.isEmpty() && meter.isEmpty()) {
      return Optional.empty();
    }
    if (meter.isEmpty()) {
      typed.refuse("meter", "Choose the meter by which it is added.");
    }
    return typed
        .litres("topUpLitres", "What is added between services", litres, Limits.LITRES)
        .filter(volume -> !meter.isEmpty())
        .map(volume -> new TopUpRate(volume, meter));
  }

  private static Optional<LevelMethod> level(
      Typed typed, Map<String, String> form, LevelMethod.Kind kind) {
    return switch (kind) {
      case DIPSTICK -> stick(typed, form);
      case SIGHT_GLASS -> Optional.of(new LevelMethod.SightGlass());
      case GAUGE ->
          typed
              .wholeBetween(
                  "gaugeAt",
                  "The temperature that the gauge needs, in °C,",
                  form.getOrDefault("gaugeAt", ""),
                  LevelMethod.Gauge.COOLEST,
                  LevelMethod.Gauge.HOTTEST)
              .map(LevelMethod.Gauge::new);
      case OVERFLOW -> Optional.of(new LevelMethod.Overflow());
      case MEASURED -> Optional.of(new LevelMethod.Measured());
    };
  }

  private static Optional<LevelMethod> stick(Typed typed, Map<String, String> form) {
    Optional<LevelMethod.Warmth> warmth =
        constant(typed, form, "stickWarmth", "state of the machine", LevelMethod.Warmth.values());
    Optional<LevelMethod.Seat> seat =
        constant(typed, form, "stickSeat", "seat of the stick", LevelMethod.Seat.values());
    Optional<LevelMethod.Stance> stance =
        constant(typed, form, "stickStance", "stance of the machine", LevelMethod.Stance.values());
    if (warmth.isEmpty() || seat.isEmpty() || stance.isEmpty()) {
      typed.refuse("stickWarmth", "Say of the stick how it is read: all three.");
      return Optional.empty();
    }
    return Optional.of(new LevelMethod.Dipstick(warmth.get(), seat.get(), stance.get()));
  }

  /** Empty if nothing is chosen; anything that is no choice is refused. */
  private static <E extends Enum<E>> Optional<E> constant(
      Typed typed, Map<String, String> form, String field, String what, E[] all) {
    String text = form.getOrDefault(field, "").strip();
    if (text.isEmpty()) {
      return Optional.empty();
    }
    Optional<E> found = Arrays.stream(all).filter(e -> e.name().equals(text)).findFirst();
    if (found.isEmpty()) {
      typed.refuse(field, "\"" + text + "\" is no " + what + ".");
    }
    return found;
  }

  /** A filling as the form shows it. */
  static Map<String, String> fields(Filling filling) {
    Map<String, String> fields = new HashMap<>();
    fields.put("level", filling.level().map(level -> level.kind().name()).orElse(""));
    if (filling.level().orElse(null) instanceof LevelMethod.Dipstick stick) {
      fields.put("stickWarmth", stick.warmth().name());
      fields.put("stickSeat", stick.seat().name());
      fields.put("stickStance", stick.stance().name());
    }
    if (filling.level().orElse(null) instanceof LevelMethod.Gauge gauge) {
      fields.put("gaugeAt", String.valueOf(gauge.celsius()));
    }
    fields.put(
        "holdBack",
        filling.holdBack().map(share -> PlainDecimal.of(share.movePointRight(2))).orElse(""));
    fields.put("topUpLitres", filling.topUps().map(t -> t.volume().exactText()).orElse(""));
    fields.put("meter", filling.topUps().map(TopUpRate::meter).orElse(""));
    fields.put("flushLitres", filling.flush().map(f -> f.volume().exactText()).orElse(""));
    return fields;
  }
}
