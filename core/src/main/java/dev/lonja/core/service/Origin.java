package dev.lonja.core.service;

import dev.lonja.core.quantity.MeterValue;
import java.time.LocalDate;
import java.util.Optional;

/**
 * The point from which a task counts: when it was last done, or the start of service if it never
 * was.
 *
 * @param life what the task's meter stood at then; present if the task has a meter
 * @param recorded false if the task was never recorded as done
 */
public record Origin(LocalDate day, Optional<MeterValue> life, boolean recorded) {

  public static Origin done(LocalDate day, Optional<MeterValue> life) {
    return new Origin(day, life, true);
  }

  public static Origin startOfService(LocalDate day, Optional<MeterValue> life) {
    return new Origin(day, life, false);
  }
}
