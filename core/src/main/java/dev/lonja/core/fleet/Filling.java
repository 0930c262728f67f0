package dev.lonja.core.fleet;

import dev.lonja.core.item.ItemId;
import dev.lonja.core.quantity.Volume;
import java.math.BigDecimal;
import java.util.Optional;

/**
 * How a compartment is filled, where that is said of it.
 *
 * @param level how its level is read; empty if nobody has said
 * @param holdBack its own share of the capacity that is kept until the machine has run, 0 to 0.5,
 *     instead of the store's with its least and its quarter
 * @param flush what it is flushed with before it is drained, where a policy asks for that
 * @param topUps what is added between services, where that is stated
 */
public record Filling(
    Optional<LevelMethod> level,
    Optional<BigDecimal> holdBack,
    Optional<Flush> flush,
    Optional<TopUpRate> topUps) {

  /**
   * What goes into the old fluid and comes out with it.
   *
   * @param volume of it, above zero
   */
  public record Flush(ItemId itemId, Volume volume) {}

  public static final BigDecimal MOST_HOLD_BACK = new BigDecimal("0.5");

  /** Nothing is said. */
  public static final Filling UNSAID =
      new Filling(Optional.empty(), Optional.empty(), Optional.empty(), Optional.empty());

  public Filling {
    if (holdBack
        .filter(share -> share.signum() < 0 || share.compareTo(MOST_HOLD_BACK) > 0)
        .isPresent()) {
      throw new IllegalArgumentException(
          "holdBack is " + holdBack.get() + "; allowed is 0 to " + MOST_HOLD_BACK);
    }
  }

  /** Read so, with the store's hold-back. */
  public static Filling by(LevelMethod level) {
    return new Filling(Optional.of(level), Optional.empty(), Optional.empty(), Optional.empty());
  }

  /** True if nothing is to be read after a first part, so that all goes in at once. */
  public boolean takesAllAtOnce() {
    return level.filter(LevelMethod::takesAllAtOnce).isPresent();
  }

  /** False if a share is held back where all goes in at once. */
  public boolean agrees() {
    return holdBack.isEmpty() || !takesAllAtOnce();
  }
}
