/** Forecasts that are kept, to be held against what happens. */
@NullMarked
package dev.lonja.store.forecast;

import org.jspecify.annotations.NullMarked;
