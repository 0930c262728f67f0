/**
 * Labels: for items, bins, lots, trays and machines, and the sticker that says when a machine comes
 * in next. Start with {@link dev.lonja.web.label.LabelController}.
 */
@NullMarked
package dev.lonja.web.label;

import org.jspecify.annotations.NullMarked;
