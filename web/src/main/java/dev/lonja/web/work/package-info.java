/**
 * Work that no tray brought about, and what is on record of a machine. Start with {@link
 * dev.lonja.web.work.WorkController}; a machine that is taken in begins at {@link
 * dev.lonja.web.work.LastDoneController}.
 */
@NullMarked
package dev.lonja.web.work;

import org.jspecify.annotations.NullMarked;
