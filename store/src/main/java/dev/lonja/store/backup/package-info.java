/** Dated copies of a store beside it. Start with {@link dev.lonja.store.backup.BackupFolder}. */
@NullMarked
package dev.lonja.store.backup;

import org.jspecify.annotations.NullMarked;
