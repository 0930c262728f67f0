/** Where things lie. Start with {@link dev.lonja.desk.place.ShelfDesk}. */
@NullMarked
package dev.lonja.desk.place;

import org.jspecify.annotations.NullMarked;
