package dev.lonja.core.supplier;

import java.util.Optional;

/**
 * Somebody who supplies items.
 *
 * @param leadDays calendar days from order to door, as quoted; 0 or more
 * @param freight what bringing an order costs; empty if nothing is asked for it
 */
public record Supplier(
    SupplierId id, String name, int leadDays, Deliveries deliveries, Optional<Freight> freight) {}
