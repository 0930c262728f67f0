/** Pages of waste. Start with {@link dev.lonja.web.waste.WasteController}. */
@NullMarked
package dev.lonja.web.waste;

import org.jspecify.annotations.NullMarked;
