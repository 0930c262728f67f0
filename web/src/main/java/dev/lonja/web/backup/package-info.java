/** The daily copy of the store. Start with {@link dev.lonja.web.backup.DailyBackup}. */
@NullMarked
package dev.lonja.web.backup;

import org.jspecify.annotations.NullMarked;
