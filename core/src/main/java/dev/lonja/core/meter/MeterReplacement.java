package dev.lonja.core.meter;

import dev.lonja.core.quantity.MeterValue;

/**
 * A meter that was exchanged: the old one's last reading, and what the new one stood at when it was
 * put in.
 *
 * @param endReadingId the reading taken of the old meter as it came out; it is judged like any
 */
public record MeterReplacement(long id, long endReadingId, MeterValue start) {}
