/**
 * What falls due on a unit, when, and what it takes. Start with {@link
 * dev.lonja.core.service.OccurrencePlanner}: it lays the tasks of one unit out over a horizon, with
 * {@link dev.lonja.core.service.DueRule} for each task. {@link dev.lonja.core.take.ServiceTake}
 * turns an occurrence into fluids and parts. {@link dev.lonja.core.service.UnitFile} lays a unit's
 * deviations over its variant. Depends on {@code fleet} and {@code quantity}.
 */
@NullMarked
package dev.lonja.core.service;

import org.jspecify.annotations.NullMarked;
