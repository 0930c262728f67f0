package dev.lonja.core.waste;

import dev.lonja.core.quantity.Quantity;
import java.math.BigDecimal;
import java.math.RoundingMode;
import java.time.Instant;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.Stream;

/**
 * How full a waste container is, and by when its collector has to be called (rules §11).
 *
 * @param contents what stayed in it at the last collection and what was put in since
 * @param firstFilled the day something was put in first since it was last empty; empty if nothing
 *     is in it
 * @param weekly what comes a week, by the last eight weeks
 * @param call by when to call; empty if nothing makes it necessary
 */
public record ContainerStand(
    WasteContainer container,
    Quantity contents,
    Optional<LocalDate> firstFilled,
    Quantity weekly,
    Optional<Call> call) {

  /** So full it is to be fetched, in hundredths. */
  public static final int FULL_PERCENT = 85;

  private static final int WEEK = 7;
  private static final int LOOKED_BACK = 8 * WEEK;
  private static final BigDecimal HUNDRED = BigDecimal.valueOf(100);

  /** By when to call, and why. */
  public record Call(LocalDate by, LocalDate fetchedBy, Why why) {

    /** What makes it necessary. */
    public enum Why {
      /** It is 85 % full on that day. */
      FULL,
      /** What is in it may not be stored for longer. */
      LIMIT
    }

    /** So many days before it is due a call is called out. */
    private static final int SOON = 7;

    /** True from a week before it is due. */
    public boolean isSoon(LocalDate today) {
      return !by.isAfter(today.plusDays(SOON));
    }

    public boolean isLate(LocalDate today) {
      return by.isBefore(today);
    }
  }

  /**
   * @param entries that count, in any order
   * @param collections in any order
   * @param dayOf the store's day of an instant
   */
  public static ContainerStand of(
      WasteContainer container,
      List<WasteEntry> entries,
      List<WasteCollection> collections,
      LocalDate today,
      Function<Instant, LocalDate> dayOf) {
    Quantity zero = Quantity.zero(container.capacity().measure());
    Optional<WasteCollection> last =
        collections.stream().max(Comparator.comparing(WasteCollection::at));
    Instant since = last.map(WasteCollection::at).orElse(Instant.MIN);
    Quantity contents =
        entries.stream()
            .filter(entry -> entry.at().isAfter(since))
            .map(WasteEntry::quantity)
            .reduce(last.map(WasteCollection::left).orElse(zero), Quantity::plus);
    Optional<LocalDate> first =
        contents.isPositive() ? firstFilled(entries, collections, dayOf) : Optional.empty();
    Quantity weekly = weekly(entries, today, dayOf, zero);
    return new ContainerStand(
        container, contents, first, weekly, call(container, contents, first, weekly, today));
  }

  private static Optional<LocalDate> firstFilled(
      List<WasteEntry> entries,
      List<WasteCollection> collections,
      Function<Instant, LocalDate> dayOf) {
    Instant emptied =
        collections.stream()
            .filter(collection -> collection.left().isZero())
            .map(WasteCollection::at)
            .max(Comparator.naturalOrder())
            .orElse(Instant.MIN);
    return entries.stream()
        .map(WasteEntry::at)
        .filter(at -> at.isAfter(emptied))
        .min(Comparator.naturalOrder())
        .map(dayOf);
  }

  /** The mean of the last eight weeks, or of those since the first entry, one at least. */
  private static Quantity weekly(
      List<WasteEntry> entries,
      LocalDate today,
      Function<Instant, LocalDate> dayOf,
      Quantity zero) {
    LocalDate from = today.minusDays(LOOKED_BACK);
    Optional<LocalDate> first =
        entries.stream().map(WasteEntry::at).min(Comparator.naturalOrder()).map(dayOf);
    long days =
        first
            .map(
                day ->
                    Math.max(WEEK, ChronoUnit.DAYS.between(day.isAfter(from) ? day : from, today)))
            .orElse((long) WEEK);
    return entries.stream()
        .filter(entry -> dayOf.apply(entry.at()).isAfter(from))
        .map(WasteEntry::quantity)
        .reduce(zero, Quantity::plus)
        .times(BigDecimal.valueOf(WEEK).divide(BigDecimal.valueOf(days), 12, RoundingMode.HALF_UP));
  }

  private static Optional<Call> call(
      WasteContainer container,
      Quantity contents,
      Optional<LocalDate> first,
      Quantity weekly,
      LocalDate today) {
    Optional<Call> full =
        fullOn(container, contents, weekly, today)
            .map(day -> new Call(day.minusDays(container.leadDays()), day, Call.Why.FULL));
    Optional<Call> limit =
        container.stream()
            .limitDays()
            .flatMap(days -> first.map(day -> day.plusDays(days)))
            .map(day -> new Call(day.minusDays(container.leadDays()), day, Call.Why.LIMIT));
    return Stream.concat(full.stream(), limit.stream()).min(Comparator.comparing(Call::by));
  }

  /** The day its contents reach 85 %; today if they have. */
  private static Optional<LocalDate> fullOn(
      WasteContainer container, Quantity contents, Quantity weekly, LocalDate today) {
    Quantity full = container.capacity().times(BigDecimal.valueOf(FULL_PERCENT, 2));
    Quantity left = full.minus(contents);
    if (!left.isPositive()) {
      return Optional.of(today);
    }
    if (!weekly.isPositive()) {
      return Optional.empty();
    }
    long days =
        left.amount()
            .multiply(BigDecimal.valueOf(WEEK))
            .divide(weekly.amount(), 0, RoundingMode.CEILING)
            .longValueExact();
    return days > WasteStream.MOST_DAYS ? Optional.empty() : Optional.of(today.plusDays(days));
  }

  /** How full, in per cent of the capacity, rounded down; above 100 if it overflows. */
  public int percent() {
    return contents
        .amount()
        .multiply(HUNDRED)
        .divide(container.capacity().amount(), 0, RoundingMode.DOWN)
        .intValueExact();
  }
}
