/** What will be used, item by item. Start with {@link dev.lonja.desk.forecast.Forecast}. */
@NullMarked
package dev.lonja.desk.forecast;

import org.jspecify.annotations.NullMarked;
