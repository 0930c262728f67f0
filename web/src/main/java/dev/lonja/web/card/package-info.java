/**
 * The job card: what goes along with a tray, on the screen and on paper. Start with {@link
 * dev.lonja.web.card.JobCard}.
 */
@NullMarked
package dev.lonja.web.card;

import org.jspecify.annotations.NullMarked;
