package dev.lonja.core.service;

import java.time.LocalDate;

/**
 * A {@link Deviation} before it is noted.
 *
 * @param reason in a person's words; empty for what was learned
 * @param since the day from which it holds
 */
public record NewDeviation(
    Deviation.Change change,
    Deviation.Source source,
    String reason,
    LocalDate since,
    String actor) {}
