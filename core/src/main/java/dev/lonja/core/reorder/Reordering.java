package dev.lonja.core.reorder;

import dev.lonja.core.item.ItemId;
import dev.lonja.core.quantity.Measure;
import dev.lonja.core.quantity.Quantity;
import dev.lonja.core.trial.Band;
import dev.lonja.core.trial.Chance;
import java.math.BigDecimal;
import java.math.RoundingMode;
import java.time.LocalDate;
import java.util.Arrays;
import java.util.Optional;
import java.util.function.IntToDoubleFunction;
import org.apache.commons.rng.sampling.distribution.ContinuousSampler;

/**
 * Whether one thing is to be ordered, by when and how much (rules §8), from the trials of what is
 * used and a lead time drawn in each of them. An order arrives on the day that its lead time ends
 * on, the begun one counted whole; what is used before that day has to come from what is there. Of
 * supply that nobody may count on, level and quantity reckon with the lead time twice, as after an
 * order that never came.
 *
 * @param level below it an order is proposed; never below what the bins are to hold
 * @param orderBy the last day on which ordering still keeps the chance of running out before it
 *     arrives within what the criticality allows; empty if that lies beyond the trials
 * @param isLate true if even an order of today does not: {@code orderBy} is then empty
 * @param shortfall what is expected to be lacking before an order of today arrives
 * @param amount what to order, zero or more
 * @param limit what kept the amount below what is wanted, if anything did
 */
public record Reordering(
    Quantity level,
    Optional<LocalDate> orderBy,
    boolean isLate,
    Quantity shortfall,
    Quantity amount,
    Optional<Limit> limit) {

  /** How often somebody looks at what to order. */
  public static final int REVIEW_DAYS = 7;

  /** For how long an order is to last. */
  public static final int COVER_DAYS = 56;

  /** What keeps an order small. */
  public enum Limit {
    /** The bins hold no more. */
    ROOM,
    /** The bins hold less than the least that can be ordered, so nothing is. */
    NO_ROOM_FOR_THE_LEAST
  }

  /**
   * @param position what is free and on order
   * @param item whose lead times are drawn
   * @param seed of the trials
   */
  public static Reordering of(
      Band use, Quantity position, OrderTerms terms, ItemId item, long seed) {
    return new Working(use, position, terms, item, seed).result();
  }

  /** True if what is there and on order lies below the level. */
  public boolean isWanted(Quantity position) {
    return position.compareTo(level) < 0;
  }

  /** The trials with a lead time each. */
  private static final class Working {

    private static final double THOUSANDTHS = 1_000.0;

    private final Band use;
    private final Quantity position;
    private final OrderTerms terms;
    private final Measure measure;
    private final int[] once;
    private final int[] full;

    Working(Band use, Quantity position, OrderTerms terms, ItemId item, long seed) {
      this.use = use;
      this.position = position;
      this.terms = terms;
      this.measure = position.measure();
      this.once = new int[use.trials()];
      this.full = new int[use.trials()];
      Chance chance = new Chance();
      ContinuousSampler lead = terms.lead().draws(chance);
      for (int trial = 0; trial < once.length; trial++) {
        chance.begin(seed, Chance.Kind.LEAD, item.value(), trial);
        once[trial] = wholeDays(lead.sample());
        full[trial] =
            terms.lead().isUnreliable() ? once[trial] + wholeDays(lead.sample()) : once[trial];
      }
    }

    private static int wholeDays(double days) {
      return (int) Math.ceil(days - 1e-9);
    }

    Reordering result() {
      Quantity level = upTo(REVIEW_DAYS).max(terms.least());
      Quantity wanted = upTo(COVER_DAYS).max(level).minus(position).atLeastZero();
      Optional<Limit> limit = Optional.empty();
      Quantity amount = wanted;
      if (wanted.isPositive()) {
        amount = inPacks(wanted.max(terms.smallest()), RoundingMode.CEILING);
        Quantity room = terms.most().map(most -> most.minus(position).atLeastZero()).orElse(amount);
        if (room.compareTo(amount) < 0) {
          amount = inPacks(room, RoundingMode.FLOOR);
          limit = Optional.of(Limit.ROOM);
          if (amount.compareTo(terms.smallest()) < 0) {
            amount = Quantity.zero(measure);
            limit = Optional.of(Limit.NO_ROOM_FOR_THE_LEAST);
          }
        }
      }
      boolean late = !keeps(0);
      return new Reordering(
          level, late ? Optional.empty() : orderBy(), late, shortfall(), amount, limit);
    }

    /** The quantile of what is used within the lead time and so many days more. */
    private Quantity upTo(int days) {
      double[] used = new double[use.trials()];
      for (int trial = 0; trial < used.length; trial++) {
        used[trial] = use.usedWithin(trial, full[trial] + days);
      }
      Arrays.sort(used);
      return quantity(used[Band.rank(terms.criticality().service(), used.length)]);
    }

    /** Pieces are whole: a part of one is one more. */
    private Quantity quantity(double amount) {
      BigDecimal exact = BigDecimal.valueOf(Math.round(amount * THOUSANDTHS), 3);
      return Quantity.of(
          measure, measure == Measure.PIECES ? exact.setScale(0, RoundingMode.CEILING) : exact);
    }

    private Quantity inPacks(Quantity amount, RoundingMode rounding) {
      BigDecimal packs = amount.amount().divide(terms.pack().amount(), 0, rounding);
      return Quantity.of(measure, packs.multiply(terms.pack().amount()));
    }

    /** True if an order so many days from now comes soon enough in so many of the trials. */
    private boolean keeps(int days) {
      double there = position.amount().doubleValue();
      int lacking = count(trial -> use.usedWithin(trial, once[trial] + days) - there);
      return lacking <= (1 - terms.criticality().service()) * use.trials() + 1e-9;
    }

    private int count(IntToDoubleFunction over) {
      int count = 0;
      for (int trial = 0; trial < use.trials(); trial++) {
        count += over.applyAsDouble(trial) > 1e-9 ? 1 : 0;
      }
      return count;
    }

    /** What is used never falls, so days are halved; it holds today. */
    private Optional<LocalDate> orderBy() {
      int low = 0;
      int high = use.days();
      if (keeps(high)) {
        return Optional.empty();
      }
      while (high - low > 1) {
        int middle = (low + high) / 2;
        if (keeps(middle)) {
          low = middle;
        } else {
          high = middle;
        }
      }
      return Optional.of(use.today().plusDays(low));
    }

    private Quantity shortfall() {
      double there = position.amount().doubleValue();
      double sum = 0;
      for (int trial = 0; trial < use.trials(); trial++) {
        sum += Math.max(0, use.usedWithin(trial, once[trial]) - there);
      }
      return Quantity.of(
          measure, BigDecimal.valueOf(sum / use.trials()).setScale(3, RoundingMode.HALF_UP));
    }
  }
}
