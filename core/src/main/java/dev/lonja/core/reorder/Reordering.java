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
import java.util.function.Function;
import java.util.function.IntUnaryOperator;
import java.util.stream.Stream;
import org.apache.commons.rng.sampling.distribution.ContinuousSampler;

/**
 * Whether one thing is to be ordered, by when and how much (rules §8), from the trials of what is
 * used and a lead time drawn in each of them. An order arrives on the day that its lead time ends
 * on, the begun one counted whole, or on the first day after it on which the supplier delivers;
 * what is used before that day has to come from what is there and from open orders promised until
 * then. Of supply that nobody may count on, level and quantity reckon with the lead time twice, as
 * after an order that never came.
 *
 * @param level below it an order is proposed; never below what the bins are to hold
 * @param isWanted true if what is there, with what is promised soon enough, lies below the level;
 *     what is overdue is not counted for that, since it may never come
 * @param timing by when to order, and when an order of today is expected
 * @param amount what to order beside all that is promised, the overdue too; zero or more
 * @param needed the same before it was raised to a quantity from which one costs less
 * @param limit what kept the amount below what is wanted, if anything did
 */
public record Reordering(
    Quantity level,
    boolean isWanted,
    Timing timing,
    Quantity amount,
    Quantity needed,
    Optional<Limit> limit) {

  /** How often somebody looks at what to order. */
  public static final int REVIEW_DAYS = 7;

  /** For how many days an order usually is to last. */
  public static final int COVER_DAYS = 56;

  /** For how many weeks at most an order may be asked to last. */
  public static final int MOST_COVER_WEEKS = 26;

  /**
   * By when to order.
   *
   * @param orderBy the last day on which ordering still keeps the chance of running out before it
   *     arrives within what the criticality allows; empty if that lies beyond the trials
   * @param isLate true if even an order of today does not: {@code orderBy} is then empty
   * @param shortfall what is expected to be lacking before an order of today arrives
   * @param arrival the day on which an order of today is expected, after the mean lead time
   */
  public record Timing(
      Optional<LocalDate> orderBy, boolean isLate, Quantity shortfall, LocalDate arrival) {}

  /** What keeps an order small. */
  public enum Limit {
    /** The bins hold no more. */
    ROOM,
    /** The bins hold less than the least that can be ordered, so nothing is. */
    NO_ROOM_FOR_THE_LEAST,
    /** More would go out of date before it is used. */
    SHELF_LIFE,
    /** The least that can be ordered would go out of date, so nothing is. */
    LEAST_GOES_OUT_OF_DATE
  }

  /**
   * @param planned how much the plan line expects to be used by a day, today's included
   * @param item whose lead times are drawn
   * @param seed of the trials
   */
  public static Reordering of(
      Band use,
      Position position,
      OrderTerms terms,
      Function<LocalDate, Quantity> planned,
      ItemId item,
      long seed) {
    return new Working(use, position, terms, planned, item, seed).result();
  }

  /** When to order. */
  public Optional<LocalDate> orderBy() {
    return timing.orderBy();
  }

  /** True if even an order of today comes too late. */
  public boolean isLate() {
    return timing.isLate();
  }

  /** The trials with a lead time each. */
  private static final class Working {

    private static final long YEAR_DAYS = 365;

    private final Band use;
    private final Position position;
    private final OrderTerms terms;
    private final Function<LocalDate, Quantity> planned;
    private final Measure measure;
    private final Arrivals arrivals;
    private final int[] once;
    private final int[] full;
    private final double[] there;

    Working(
        Band use,
        Position position,
        OrderTerms terms,
        Function<LocalDate, Quantity> planned,
        ItemId item,
        long seed) {
      this.use = use;
      this.position = position;
      this.terms = terms;
      this.planned = planned;
      this.measure = position.free().measure();
      this.once = new int[use.trials()];
      this.full = new int[use.trials()];
      Chance chance = new Chance();
      ContinuousSampler lead = terms.lead().draws(chance);
      for (int trial = 0; trial < once.length; trial++) {
        chance.begin(seed, Chance.Kind.LEAD, item.value(), trial);
        once[trial] = wholeDays(lead.sample());
        full[trial] = isTwice() ? once[trial] + wholeDays(lead.sample()) : once[trial];
      }
      int longest =
          Math.max(Arrays.stream(full).max().orElse(0), wholeDays(2 * terms.lead().mean()));
      this.arrivals =
          new Arrivals(terms.deliveries(), use.today(), Math.max(use.days(), REVIEW_DAYS), longest);
      this.there = new double[use.days() + 1];
      for (int day = 0; day < there.length; day++) {
        there[day] = position.by(use.today().plusDays(day)).amount().doubleValue();
      }
    }

    private boolean isTwice() {
      return terms.lead().isUnreliable();
    }

    private static int wholeDays(double days) {
      return (int) Math.ceil(days - 1e-9);
    }

    /** The day on which an order of so many days from now is expected. */
    private LocalDate expected(int ordered, int times) {
      return use.today().plusDays(arrivals.of(ordered, wholeDays(times * terms.lead().mean())));
    }

    Reordering result() {
      int times = isTwice() ? 2 : 1;
      LocalDate today = use.today();
      Quantity level = upTo(trial -> arrivals.of(REVIEW_DAYS, full[trial]));
      level = level.max(terms.room().least());
      boolean wanted = position.surelyBy(expected(REVIEW_DAYS, times), today).compareTo(level) < 0;
      Quantity have = position.by(expected(0, times).plusDays(terms.coverDays()));
      Quantity lacking =
          upTo(trial -> arrivals.of(0, full[trial]) + terms.coverDays())
              .max(level)
              .minus(have)
              .atLeastZero();
      Sized sized = sized(lacking, have);
      boolean late = !keeps(0);
      Timing timing =
          new Timing(late ? Optional.empty() : orderBy(), late, shortfall(), expected(0, 1));
      return new Reordering(
          level, wanted, timing, raised(sized, have), sized.amount(), sized.limit());
    }

    /** How much, and what kept it small. */
    private record Sized(Quantity amount, Optional<Limit> limit) {}

    private Sized sized(Quantity lacking, Quantity have) {
      if (!lacking.isPositive()) {
        return new Sized(lacking, Optional.empty());
      }
      Quantity amount = inPacks(lacking.max(terms.smallest()), RoundingMode.CEILING);
      Sized sized = capped(new Sized(amount, Optional.empty()), keeps(have), Limit.SHELF_LIFE);
      sized = capped(sized, room(have), Limit.ROOM);
      if (sized.limit().isPresent() && sized.amount().compareTo(terms.smallest()) < 0) {
        Limit none =
            sized.limit().get() == Limit.ROOM
                ? Limit.NO_ROOM_FOR_THE_LEAST
                : Limit.LEAST_GOES_OUT_OF_DATE;
        return new Sized(Quantity.zero(measure), Optional.of(none));
      }
      return sized;
    }

    /** What still goes into the bins, if they have a limit. */
    private Optional<Quantity> room(Quantity have) {
      return terms.room().most().map(most -> most.minus(have).atLeastZero());
    }

    /** What is used before it goes out of date, if that is within the trials. */
    private Optional<Quantity> keeps(Quantity have) {
      return terms
          .room()
          .shelfDays()
          .map(days -> expected(0, 1).plusDays(days))
          .filter(end -> end.isBefore(use.today().plusDays(use.days())))
          .map(end -> planned.apply(end).minus(have).atLeastZero());
    }

    /** To where one costs less, if that pays and nothing stands in the way. */
    private Quantity raised(Sized sized, Quantity have) {
      if (!sized.amount().isPositive() || sized.limit().isPresent()) {
        return sized.amount();
      }
      Quantity most =
          Stream.of(room(have), keeps(have))
              .flatMap(Optional::stream)
              .reduce(Quantity::min)
              .orElse(new Quantity(measure, Long.MAX_VALUE));
      Quantity yearly = planned.apply(use.today().plusDays(YEAR_DAYS - 1));
      return PriceBreaks.raised(sized.amount(), terms.prices(), terms.pack(), yearly, most);
    }

    private Sized capped(Sized sized, Optional<Quantity> cap, Limit because) {
      return cap.filter(most -> most.compareTo(sized.amount()) < 0)
          .map(most -> new Sized(inPacks(most, RoundingMode.FLOOR), Optional.of(because)))
          .orElse(sized);
    }

    /** The quantile of what is used until so many days from now, which each trial says. */
    private Quantity upTo(IntUnaryOperator days) {
      return use.quantileWithin(terms.criticality().service(), days);
    }

    private Quantity inPacks(Quantity amount, RoundingMode rounding) {
      return PriceBreaks.inPacks(amount, terms.pack(), rounding);
    }

    /** What is lacking in a trial before an order of so many days from now arrives. */
    private double lacking(int trial, int ordered) {
      int arrival = arrivals.of(ordered, once[trial]);
      return use.usedWithin(trial, arrival) - there[Math.min(arrival, there.length - 1)];
    }

    /** True if an order so many days from now comes soon enough in so many of the trials. */
    private boolean keeps(int ordered) {
      int lacking = 0;
      for (int trial = 0; trial < use.trials(); trial++) {
        lacking += lacking(trial, ordered) > 1e-9 ? 1 : 0;
      }
      return lacking <= (1 - terms.criticality().service()) * use.trials() + 1e-9;
    }

    /** The last day before the first on which it is too late; it is not too late today. */
    private Optional<LocalDate> orderBy() {
      int last = position.coming().isEmpty() ? lastHalved() : lastInTurn();
      return Optional.of(last)
          .filter(day -> day < use.days())
          .map(day -> use.today().plusDays(day));
    }

    /** What is there never grows and what is used never falls, so days are halved. */
    private int lastHalved() {
      int low = 0;
      int high = use.days() + 1;
      while (high - low > 1) {
        int middle = (low + high) / 2;
        if (keeps(middle)) {
          low = middle;
        } else {
          high = middle;
        }
      }
      return low;
    }

    /** Once something else arrives it may be soon enough again: the first time counts. */
    private int lastInTurn() {
      int day = 0;
      while (day < use.days() && keeps(day + 1)) {
        day++;
      }
      return day;
    }

    private Quantity shortfall() {
      double sum = 0;
      for (int trial = 0; trial < use.trials(); trial++) {
        sum += Math.max(0, lacking(trial, 0));
      }
      return Quantity.of(
          measure, BigDecimal.valueOf(sum / use.trials()).setScale(3, RoundingMode.HALF_UP));
    }
  }
}
