/**
 * What may be used: trials of the coming weeks in which meters run as unevenly as they do and
 * inspections end as they do (rules §7). Start with {@link dev.lonja.core.trial.UnitTrials}, what
 * one unit draws; {@link dev.lonja.core.trial.TrialTotals} adds units up, {@link
 * dev.lonja.core.trial.Band} says between what the use will lie. Depends on {@code forecast},
 * {@code service}, {@code take} and {@code meter}.
 */
@NullMarked
package dev.lonja.core.trial;

import org.jspecify.annotations.NullMarked;
