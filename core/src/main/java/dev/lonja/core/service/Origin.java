package dev.lonja.core.service;

import dev.lonja.core.meter.ExpectedLife;
import dev.lonja.core.quantity.MeterValue;
import java.time.LocalDate;
import java.util.Optional;

/**
 * The point from which a task counts: when it was last done, or the start of service if it never
 * was.
 *
 * @param life what the task's meter stood at then; present if the task has a meter
 * @param fraction what is expected beyond {@code life}, in millionths of its unit, from 0 up to a
 *     tenth: nothing between two planned occurrences is rounded. Zero for what was recorded
 * @param recorded false if the task was never recorded as done
 */
public record Origin(LocalDate day, Optional<MeterValue> life, long fraction, boolean recorded) {

  /** Counted from when the task was last done. */
  public static Origin done(LocalDate day, Optional<MeterValue> life) {
    return new Origin(day, life, 0, true);
  }

  /** Done on a day to come, at the life expected then. */
  static Origin planned(LocalDate day, Optional<ExpectedLife> expected) {
    return new Origin(
        day,
        expected.map(ExpectedLife::wholeTenths),
        expected.map(ExpectedLife::beyondTenths).orElse(0L),
        true);
  }

  /** The life, to the millionth; empty if the task has no meter. */
  Optional<ExpectedLife> exactLife() {
    return life.map(value -> ExpectedLife.of(value).plusMillionths(fraction));
  }

  /** Counted from the start of service, since nobody noted that it was ever done. */
  public static Origin startOfService(LocalDate day, Optional<MeterValue> life) {
    return new Origin(day, life, 0, false);
  }
}
