package dev.lonja.core.service;

import dev.lonja.core.calendar.LayUp;
import dev.lonja.core.meter.MeterId;
import dev.lonja.core.quantity.MeterSpan;
import java.time.LocalDate;
import java.time.MonthDay;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;

/** When a task comes round. */
public sealed interface Timing {

  /** What is done up to so many days before a season or lay-up counts as done for it. */
  int EARLY_DAYS = 60;

  /**
   * After so much run or so many months, whichever comes first.
   *
   * @param meterId the meter that counts; present exactly if the regular interval has a span
   * @param first the running-in interval, where there is one
   * @param severity shortens the meter span; it leaves the calendar alone
   * @param byFluid intervals that hold while a fluid of a class is in, the preferred one first
   * @param fluid the class of fluid that picked the regular interval, if one did
   */
  record ByInterval(
      Optional<MeterId> meterId,
      Interval regular,
      Optional<Interval> first,
      Severity severity,
      List<FluidInterval> byFluid,
      Optional<String> fluid)
      implements Timing {

    public ByInterval {
      byFluid = List.copyOf(byFluid);
      if (meterId.isPresent() != regular.run().isPresent()) {
        throw new IllegalArgumentException(
            "meterId is " + meterId + "; allowed is one exactly if the interval has a span");
      }
    }

    /** Of one interval, whatever fluid is in. */
    public ByInterval(
        Optional<MeterId> meterId, Interval regular, Optional<Interval> first, Severity severity) {
      this(meterId, regular, first, severity, List.of(), Optional.empty());
    }

    /** The interval in force: the first one until the task has been done once. */
    public Interval interval(boolean doneBefore) {
      return doneBefore ? regular : first.map(early -> early.orElse(regular)).orElse(regular);
    }

    /** The meter span of {@code interval} as shortened by the severity, rounded to a tenth. */
    public Optional<MeterSpan> spanInForce(Interval interval) {
      return interval.run().map(span -> span.times(severity.factor()));
    }

    ByInterval with(Interval other, Optional<Interval> otherFirst, Severity otherSeverity) {
      return new ByInterval(
          other.run().flatMap(run -> meterId), other, otherFirst, otherSeverity, byFluid, fluid);
    }

    /** Of one interval alone: no running-in, no severity, whatever fluid is in. */
    ByInterval statedAs(Interval other) {
      return new ByInterval(
          other.run().flatMap(run -> meterId), other, Optional.empty(), Severity.NONE);
    }

    /** With the interval of the first class that {@code classes} holds as a whole entry. */
    ByInterval whileIn(List<String> classes) {
      return byFluid.stream()
          .filter(entry -> classes.stream().anyMatch(entry.fluidClass()::equalsIgnoreCase))
          .findFirst()
          .map(
              entry ->
                  new ByInterval(
                      meterId.filter(id -> entry.interval().run().isPresent()),
                      entry.interval(),
                      first,
                      severity,
                      byFluid,
                      Optional.of(entry.fluidClass())))
          .orElse(this);
    }
  }

  /** An interval that holds while the product in the compartment claims a class. */
  record FluidInterval(String fluidClass, Interval interval) {}

  /** With every {@code nth} occurrence of another task, which leads it; 1, with each, to 50. */
  record EveryNth(TaskId leadTaskId, int nth) implements Timing {

    private static final int MOST = 50;

    public EveryNth {
      if (nth < 1 || nth > MOST) {
        throw new IllegalArgumentException("nth is " + nth + "; allowed is 1 to " + MOST);
      }
    }
  }

  /** So many days before a day of every year; 29 February counts as 28 where there is none. */
  record BeforeSeason(MonthDay start, int leadDays) implements Timing {

    /** The first such day that what was done last does not cover. */
    LocalDate after(LocalDate lastDone) {
      LocalDate from = lastDone.plusDays(EARLY_DAYS);
      LocalDate day = start.atYear(from.getYear() - 1).minusDays(leadDays);
      for (int year = from.getYear(); !day.isAfter(from); year++) {
        day = start.atYear(year).minusDays(leadDays);
      }
      return day;
    }
  }

  /**
   * On the day on which the unit comes back from a lay-up.
   *
   * @param layUps those on file; none on file gives no day
   */
  record AfterLayUp(List<LayUp> layUps) implements Timing {

    public AfterLayUp {
      layUps = List.copyOf(layUps);
    }

    /** The first such day for which nothing was done since the lay-up began. */
    Optional<LocalDate> after(LocalDate lastDone) {
      return layUps.stream()
          .filter(layUp -> layUp.first().isAfter(lastDone))
          .map(layUp -> layUp.last().plusDays(1))
          .min(Comparator.naturalOrder());
    }
  }

  /**
   * So many days before each lay-up of the unit.
   *
   * @param layUps those on file; none on file gives no day
   */
  record BeforeLayUp(int leadDays, List<LayUp> layUps) implements Timing {

    public BeforeLayUp {
      layUps = List.copyOf(layUps);
    }

    /** The first such day that what was done last does not cover. */
    Optional<LocalDate> after(LocalDate lastDone) {
      return layUps.stream()
          .map(layUp -> layUp.first().minusDays(leadDays))
          .filter(day -> day.isAfter(lastDone.plusDays(EARLY_DAYS)))
          .min(Comparator.naturalOrder());
    }
  }
}
