package dev.lonja.core.item;

/**
 * Somebody who supplies items.
 *
 * @param leadDays calendar days from order to door, as quoted; 0 or more
 */
public record Supplier(long id, String name, int leadDays) {}
