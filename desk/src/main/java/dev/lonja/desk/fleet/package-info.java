/**
 * The machines as they stand on a day, loaded for the rules of the core. Start with {@link
 * dev.lonja.desk.fleet.FleetPicture}.
 */
@NullMarked
package dev.lonja.desk.fleet;

import org.jspecify.annotations.NullMarked;
