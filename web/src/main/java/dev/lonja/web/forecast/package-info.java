/**
 * Ahead: what will be used and when it runs short. Start with {@link
 * dev.lonja.web.forecast.AheadController}.
 */
@NullMarked
package dev.lonja.web.forecast;

import org.jspecify.annotations.NullMarked;
