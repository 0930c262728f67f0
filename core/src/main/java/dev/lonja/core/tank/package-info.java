/**
 * Tanks, totes and drums that a fluid is drawn from: how much a dip means, and whether the dips
 * agree with what was poured. Start with {@link dev.lonja.core.tank.Tank} and {@link
 * dev.lonja.core.tank.Reconciliation}. Depends on quantities, fluids, items and places.
 */
@NullMarked
package dev.lonja.core.tank;

import org.jspecify.annotations.NullMarked;
