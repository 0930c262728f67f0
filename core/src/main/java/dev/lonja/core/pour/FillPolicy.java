package dev.lonja.core.pour;

import dev.lonja.core.fleet.Capacity;
import dev.lonja.core.fleet.Compartment;
import dev.lonja.core.quantity.Quantity;
import dev.lonja.core.quantity.Volume;
import java.math.BigDecimal;

/**
 * How a store reckons and pours a fill, and greases, where the compartment says nothing else.
 *
 * @param handlingLoss what is poured beyond the capacity, as a share of it, 0 to 0.2
 * @param holdBack what is kept until the machine has run, as a share of the capacity, 0 to 0.25
 * @param leastHoldBack at least so much is kept, but never more than a quarter of the capacity; 0
 *     to 5 L
 * @param jug the graduation of the jug that is poured from, 0.01 to 1 L
 * @param stroke the grease that one stroke of the gun gives, 0.1 to 20 g
 */
public record FillPolicy(
    BigDecimal handlingLoss,
    BigDecimal holdBack,
    Volume leastHoldBack,
    Volume jug,
    Quantity stroke) {

  public static final BigDecimal MOST_LOSS = new BigDecimal("0.2");

  /** Never more than a quarter is held back. */
  public static final BigDecimal MOST_HOLD_BACK = new BigDecimal("0.25");

  public static final Volume MOST_LEAST = Volume.ofLitres("5");
  public static final Volume FINEST_JUG = Volume.ofLitres("0.01");
  public static final Volume COARSEST_JUG = Volume.ofLitres("1");
  public static final Quantity LEAST_STROKE = Quantity.kilograms("0.0001");
  public static final Quantity MOST_STROKE = Quantity.kilograms("0.02");

  /** 2 % loss; 10 % and at least 0.30 L held back; a jug of 0.10 L; 1.2 g a stroke. */
  public static final FillPolicy DEFAULT =
      new FillPolicy(
          new BigDecimal("0.02"),
          new BigDecimal("0.1"),
          Volume.ofLitres("0.30"),
          Volume.ofLitres("0.10"),
          Quantity.kilograms("0.0012"));

  private static final BigDecimal HALF = new BigDecimal("0.5");

  /** Below this a jug is read to the finest graduation. */
  private static final Volume SMALL_FILL = Volume.ofLitres("1");

  public FillPolicy {
    check("handlingLoss", handlingLoss, BigDecimal.ZERO, MOST_LOSS);
    check("holdBack", holdBack, BigDecimal.ZERO, MOST_HOLD_BACK);
    check("leastHoldBack", leastHoldBack.litres(), BigDecimal.ZERO, MOST_LEAST.litres());
    check("stroke", stroke.amount(), LEAST_STROKE.amount(), MOST_STROKE.amount());
    check("jug", jug.litres(), FINEST_JUG.litres(), COARSEST_JUG.litres());
  }

  private static void check(String name, BigDecimal value, BigDecimal least, BigDecimal most) {
    if (value.compareTo(least) < 0 || value.compareTo(most) > 0) {
      throw new IllegalArgumentException(
          name + " is " + value + "; allowed is " + least + " to " + most);
    }
  }

  /**
   * Capacity less the hold-back, rounded down to the jug's graduation and not below zero; the
   * reserve is the rest. A fill below 1 L is read to 0.01 L.
   */
  public FirstPour firstPour(Volume capacity) {
    Volume atLeast = larger(capacity.times(holdBack), leastHoldBack);
    Volume kept = smaller(atLeast, capacity.times(MOST_HOLD_BACK));
    return pouredBut(capacity, kept);
  }

  /**
   * How a compartment's fill is poured (rules §6). Where all goes in at once nothing is held back.
   * Of a capacity that is stated as a range the low end goes in first, rounded down to the jug's
   * graduation, and the rest is the reserve. A compartment's own share is held back instead of the
   * store's, without its least and its quarter.
   *
   * @param capacity that goes in, what a new filter takes up included
   * @param laid what there is to pour, no less than the low end
   */
  public FirstPour firstPour(Compartment compartment, Capacity capacity, Volume laid) {
    if (compartment.takesAllAtOnce()) {
      return FirstPour.allAtOnce(laid);
    }
    if (capacity.isRange()) {
      Volume pour = capacity.low().roundedDownTo(graduation(capacity.low()));
      return new FirstPour(pour, laid.minus(pour));
    }
    return compartment
        .filling()
        .holdBack()
        .map(share -> pouredBut(capacity.low(), capacity.low().times(share)))
        .orElseGet(() -> firstPour(capacity.low()));
  }

  /** What greasing so many points takes with so many strokes at each. */
  public Quantity grease(int points, int strokes) {
    return stroke.times(BigDecimal.valueOf((long) points * strokes));
  }

  private FirstPour pouredBut(Volume capacity, Volume kept) {
    Volume pour = capacity.minus(kept).roundedDownTo(graduation(capacity));
    return new FirstPour(pour, capacity.minus(pour));
  }

  /** Half of what a filter takes up, rounded down to what a jug for so little shows. */
  public Volume halfOf(Volume filterVolume) {
    return filterVolume.times(HALF).roundedDownTo(graduation(filterVolume));
  }

  private Volume graduation(Volume measured) {
    return measured.compareTo(SMALL_FILL) < 0 ? smaller(jug, FINEST_JUG) : jug;
  }

  private static Volume larger(Volume one, Volume other) {
    return one.compareTo(other) < 0 ? other : one;
  }

  private static Volume smaller(Volume one, Volume other) {
    return one.compareTo(other) < 0 ? one : other;
  }
}
