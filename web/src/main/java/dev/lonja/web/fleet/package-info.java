/**
 * Units, their meters and what falls due. Start with {@link dev.lonja.web.fleet.FleetController};
 * {@link dev.lonja.web.fleet.FleetPicture} is what other features compute with.
 */
@NullMarked
package dev.lonja.web.fleet;

import org.jspecify.annotations.NullMarked;
