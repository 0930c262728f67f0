package dev.lonja.store.fleet;

import static dev.lonja.store.schema.Tables.COMPARTMENT;

import dev.lonja.core.fleet.Capacity;
import dev.lonja.core.fleet.Filling;
import dev.lonja.core.fleet.LevelMethod;
import dev.lonja.core.fleet.TopUpRate;
import dev.lonja.core.quantity.Volume;
import java.math.BigDecimal;
import java.util.Optional;
import org.jooq.Record;
import org.jspecify.annotations.Nullable;

/** How a compartment is filled, as its columns have it. */
public final class FillingColumns {

  private static final int DECIMALS = 4;

  private FillingColumns() {}

  static void write(Record row, Filling filling) {
    row.set(
        COMPARTMENT.LEVEL_METHOD, filling.level().map(level -> level.kind().name()).orElse(null));
    Optional<LevelMethod.Dipstick> stick =
        filling
            .level()
            .filter(LevelMethod.Dipstick.class::isInstance)
            .map(LevelMethod.Dipstick.class::cast);
    row.set(COMPARTMENT.STICK_WARMTH, stick.map(s -> s.warmth().name()).orElse(null));
    row.set(COMPARTMENT.STICK_SEAT, stick.map(s -> s.seat().name()).orElse(null));
    row.set(COMPARTMENT.STICK_STANCE, stick.map(s -> s.stance().name()).orElse(null));
    row.set(
        COMPARTMENT.GAUGE_CELSIUS,
        filling
            .level()
            .filter(LevelMethod.Gauge.class::isInstance)
            .map(level -> (long) ((LevelMethod.Gauge) level).celsius())
            .orElse(null));
    row.set(
        COMPARTMENT.HOLD_BACK_E4,
        filling
            .holdBack()
            .map(share -> share.movePointRight(DECIMALS).longValueExact())
            .orElse(null));
    row.set(COMPARTMENT.FLUSH_ITEM_ID, filling.flush().map(Filling.Flush::itemId).orElse(null));
    row.set(COMPARTMENT.FLUSH_UL, filling.flush().map(f -> f.volume().microlitres()).orElse(null));
    row.set(
        COMPARTMENT.TOP_UP_UL, filling.topUps().map(t -> t.volume().microlitres()).orElse(null));
    row.set(COMPARTMENT.TOP_UP_METER, filling.topUps().map(TopUpRate::meter).orElse(null));
  }

  static Filling read(Record row) {
    return new Filling(
        Optional.ofNullable(row.get(COMPARTMENT.LEVEL_METHOD)).map(word -> level(word, row)),
        Optional.ofNullable(row.get(COMPARTMENT.HOLD_BACK_E4))
            .map(share -> BigDecimal.valueOf(share, DECIMALS)),
        Optional.ofNullable(row.get(COMPARTMENT.FLUSH_ITEM_ID))
            .map(item -> new Filling.Flush(item, new Volume(row.get(COMPARTMENT.FLUSH_UL)))),
        Optional.ofNullable(row.get(COMPARTMENT.TOP_UP_METER))
            .map(meter -> new TopUpRate(new Volume(row.get(COMPARTMENT.TOP_UP_UL)), meter)));
  }

  private static LevelMethod level(String word, Record row) {
    return switch (LevelMethod.Kind.valueOf(word)) {
      case DIPSTICK ->
          new LevelMethod.Dipstick(
              LevelMethod.Warmth.valueOf(row.get(COMPARTMENT.STICK_WARMTH)),
              LevelMethod.Seat.valueOf(row.get(COMPARTMENT.STICK_SEAT)),
              LevelMethod.Stance.valueOf(row.get(COMPARTMENT.STICK_STANCE)));
      case SIGHT_GLASS -> new LevelMethod.SightGlass();
      case GAUGE -> new LevelMethod.Gauge(Math.toIntExact(row.get(COMPARTMENT.GAUGE_CELSIUS)));
      case OVERFLOW -> new LevelMethod.Overflow();
      case MEASURED -> new LevelMethod.Measured();
    };
  }

  /** The high end of a range; none for an exact capacity. */
  public static @Nullable Long high(Capacity capacity) {
    return capacity.isRange() ? capacity.high().microlitres() : null;
  }

  /** A capacity of its low end, and its high end if it is a range. */
  public static Capacity capacity(long low, @Nullable Long high) {
    return new Capacity(new Volume(low), new Volume(high == null ? low : high));
  }
}
