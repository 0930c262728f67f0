/**
 * What may be asked of waste and done with it. Start with {@link dev.lonja.desk.waste.WasteDesk}.
 */
@NullMarked
package dev.lonja.desk.waste;

import org.jspecify.annotations.NullMarked;
