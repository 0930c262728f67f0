package dev.lonja.core.meter;

import dev.lonja.core.quantity.MeterValue;
import java.time.Instant;
import java.time.LocalDate;
import java.util.Optional;

/**
 * The life a machine had reached on a day: what its meters have run together since the first. It is
 * what intervals count by; what the present meter shows may be less.
 *
 * @param at the instant, where one is known
 */
public record LifePoint(LocalDate day, Optional<Instant> at, MeterValue life) {}
