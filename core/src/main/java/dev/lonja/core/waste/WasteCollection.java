package dev.lonja.core.waste;

import dev.lonja.core.quantity.Quantity;
import java.time.Instant;

/**
 * A container was fetched away or emptied.
 *
 * @param taken by the collector's measure
 * @param left what stayed in it, zero or more
 * @param document the number of the paper that goes with it
 */
public record WasteCollection(
    Instant at, Quantity taken, Quantity left, String carrier, String document, String actor) {}
