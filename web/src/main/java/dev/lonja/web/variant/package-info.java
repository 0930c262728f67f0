/**
 * What machines of an engine variant are made of and what is done to them. Start with {@link
 * dev.lonja.web.variant.VariantController}.
 */
@NullMarked
package dev.lonja.web.variant;

import org.jspecify.annotations.NullMarked;
