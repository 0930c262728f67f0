/**
 * What is left over and has to be fetched away: streams that are never mixed, and the containers
 * they are gathered in. Start with {@link dev.lonja.core.waste.ContainerStand}. Depends on
 * quantities and fluids.
 */
@NullMarked
package dev.lonja.core.waste;

import org.jspecify.annotations.NullMarked;
