/** What the store knows of a name that somebody begins to type. Start with {@link OfferDesk}. */
@NullMarked
package dev.lonja.desk.offer;

import org.jspecify.annotations.NullMarked;
