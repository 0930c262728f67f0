package dev.lonja.core.pour;

import dev.lonja.core.quantity.Volume;

/**
 * How a measured fill is poured: most of it first, the rest held back until the machine has run and
 * the level is read.
 */
public record FirstPour(Volume pour, Volume reserve) {}
