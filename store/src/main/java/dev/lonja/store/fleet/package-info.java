/**
 * Units, meters, readings, compartments and positions. Start with {@link
 * dev.lonja.store.fleet.FleetRepository}.
 */
@NullMarked
package dev.lonja.store.fleet;

import org.jspecify.annotations.NullMarked;
