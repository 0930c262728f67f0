/**
 * Coolant and screen wash mixed with water: what protects to which frost, how much of what goes in,
 * and how a fill is put right (rules, <i>Mixtures</i>). Start with {@link
 * dev.lonja.core.mixture.Mixture}.
 */
@NullMarked
package dev.lonja.core.mixture;

import org.jspecify.annotations.NullMarked;
