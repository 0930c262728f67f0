package dev.lonja.core.tank;

import dev.lonja.core.item.ItemId;
import dev.lonja.core.place.BinId;
import dev.lonja.core.quantity.Length;
import dev.lonja.core.quantity.Volume;
import java.math.BigDecimal;

/**
 * A tank, tote or drum that a fluid is drawn from. It stands at a bin, where the ledger keeps what
 * is in it, and holds one item until it is emptied and cleaned.
 *
 * @param safeFillPercent of the full volume, {@value #LEAST_FILL} to {@value #MOST_FILL}: a fluid
 *     grows when it warms
 * @param dipError how far a dip may be off
 * @param gauged true if a gauge reports it
 * @param version counts the edits, so that two people do not overwrite each other
 */
public record Tank(
    TankId id,
    String name,
    BinId binId,
    ItemId itemId,
    TankShape shape,
    int safeFillPercent,
    Length dipError,
    boolean gauged,
    long version) {

  public static final int LEAST_FILL = 50;
  public static final int USUAL_FILL = 95;
  public static final int MOST_FILL = 98;

  /** How far a dip is usually off: 2 mm. */
  public static final Length USUAL_ERROR = new Length(2_000);

  /** The most that a dip may be off: 50 mm. */
  public static final Length MOST_ERROR = new Length(50_000);

  private static final int WHOLE = 100;

  public Tank {
    if (safeFillPercent < LEAST_FILL || safeFillPercent > MOST_FILL) {
      throw new IllegalArgumentException(
          "safe fill is "
              + safeFillPercent
              + " %; allowed is "
              + LEAST_FILL
              + " to "
              + MOST_FILL
              + " %");
    }
    if (dipError.micrometres() < 1 || dipError.compareTo(MOST_ERROR) > 0) {
      throw new IllegalArgumentException(
          "dip error is " + dipError.display() + "; allowed is up to " + MOST_ERROR.display());
    }
  }

  /** As much as is ever to be in it, rounded down to the millilitre. */
  public Volume safeFill() {
    return shape
        .full()
        .times(BigDecimal.valueOf(safeFillPercent, 2))
        .roundedDownTo(new Volume(1_000));
  }

  /** The room that is left for a delivery as it lies, zero or more. */
  public Volume room(Volume now) {
    Volume safe = safeFill();
    return now.compareTo(safe) >= 0 ? Volume.ZERO : safe.minus(now);
  }

  /** How full a volume makes it, in per cent of full, rounded down, 100 at most. */
  public int percent(Volume volume) {
    return (int) Math.min(WHOLE, volume.microlitres() * WHOLE / shape.full().microlitres());
  }
}
