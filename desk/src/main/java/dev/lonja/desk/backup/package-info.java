/** Copies of the store: made, checked, listed, taken out. Start with {@link BackupDesk}. */
@NullMarked
package dev.lonja.desk.backup;

import org.jspecify.annotations.NullMarked;
