package dev.lonja.core.meter;

import dev.lonja.core.quantity.MeterValue;
import java.time.Instant;
import java.time.LocalDate;
import java.util.Optional;

/**
 * The last accepted reading of a meter.
 *
 * @param day the store's local day
 * @param at the instant, where one is known
 * @param shown by the meter it was read from
 * @param life of the machine that it stands for
 */
public record LastReading(LocalDate day, Optional<Instant> at, MeterValue shown, MeterValue life) {}
