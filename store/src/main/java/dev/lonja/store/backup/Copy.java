package dev.lonja.store.backup;

import java.time.Instant;
import java.time.LocalDate;

/**
 * A copy of the store that was opened and checked when it was made.
 *
 * @param number grows with each copy, whatever the clock says
 * @param day the store's day when it was made, as its clock had it
 */
public record Copy(String name, long number, LocalDate day, long bytes, Instant made) {}
