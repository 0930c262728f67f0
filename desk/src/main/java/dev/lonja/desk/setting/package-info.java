/** What the store has settled for itself. Start with {@link dev.lonja.desk.setting.StoreDesk}. */
@NullMarked
package dev.lonja.desk.setting;

import org.jspecify.annotations.NullMarked;
