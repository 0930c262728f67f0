/** Copies of the store on schedule. Start with {@link dev.lonja.app.backup.DailyBackup}. */
@NullMarked
package dev.lonja.app.backup;

import org.jspecify.annotations.NullMarked;
