/**
 * What is offered while a field is filled in. Start with {@link
 * dev.lonja.web.offer.OfferController}.
 */
@NullMarked
package dev.lonja.web.offer;

import org.jspecify.annotations.NullMarked;
