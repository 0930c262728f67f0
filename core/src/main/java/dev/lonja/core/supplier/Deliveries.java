package dev.lonja.core.supplier;

import java.time.DayOfWeek;
import java.time.LocalDate;
import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/**
 * On which days a supplier takes orders and delivers (rules §8).
 *
 * @param arrivals the weekdays on which something arrives, as with a ferry; any day if empty
 * @param cutOff the last weekday of a week, from Monday on, whose orders count from their own day;
 *     empty if every day takes orders
 * @param closed days on which no order is taken and nothing arrives, both ends included
 */
public record Deliveries(Set<DayOfWeek> arrivals, Optional<DayOfWeek> cutOff, List<Closed> closed) {

  /** Every day. */
  public static final Deliveries ANY_DAY = new Deliveries(Set.of(), Optional.empty(), List.of());

  /** Longer than this nobody is closed. */
  public static final int MOST_CLOSED_DAYS = 400;

  public Deliveries {
    Set<DayOfWeek> sorted = EnumSet.noneOf(DayOfWeek.class);
    sorted.addAll(arrivals);
    arrivals = Set.copyOf(sorted);
    closed = List.copyOf(closed);
  }

  /**
   * Days on which a supplier is closed, both ends included.
   *
   * @param until not before {@code from}, and at most {@link #MOST_CLOSED_DAYS} after it
   */
  public record Closed(LocalDate from, LocalDate until) {
    public Closed {
      if (until.isBefore(from) || until.isAfter(from.plusDays(MOST_CLOSED_DAYS))) {
        throw new IllegalArgumentException(
            "closed from "
                + from
                + " until "
                + until
                + "; allowed is from 0 to "
                + MOST_CLOSED_DAYS
                + " days after");
      }
    }

    boolean holds(LocalDate day) {
      return !day.isBefore(from) && !day.isAfter(until);
    }
  }

  /** The day from which an order of such a day counts: that day, or the next that takes orders. */
  public LocalDate counted(LocalDate ordered) {
    LocalDate day = ordered;
    while (isClosed(day) || isPastCut(day)) {
      day = day.plusDays(1);
    }
    return day;
  }

  private boolean isPastCut(LocalDate day) {
    return cutOff.filter(last -> day.getDayOfWeek().compareTo(last) > 0).isPresent();
  }

  /** The first day at or after such a day on which something arrives. */
  public LocalDate arrival(LocalDate atTheEarliest) {
    LocalDate day = atTheEarliest;
    while (isClosed(day) || !arrivals.isEmpty() && !arrivals.contains(day.getDayOfWeek())) {
      day = day.plusDays(1);
    }
    return day;
  }

  /**
   * The day on which an order arrives.
   *
   * @param leadDays from the day it counts from, 0 or more
   */
  public LocalDate arrival(LocalDate ordered, int leadDays) {
    return arrival(counted(ordered).plusDays(leadDays));
  }

  /** The last day of the week, from such a day on, that takes orders; empty if every day does. */
  public Optional<LocalDate> nextCutOff(LocalDate today) {
    return cutOff.map(
        last -> {
          LocalDate day = counted(today);
          return day.plusDays(last.getValue() - (long) day.getDayOfWeek().getValue());
        });
  }

  private boolean isClosed(LocalDate day) {
    return closed.stream().anyMatch(days -> days.holds(day));
  }
}
