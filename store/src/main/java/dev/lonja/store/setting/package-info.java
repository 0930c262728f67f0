/**
 * What the store is called and how it counts. Start with {@link
 * dev.lonja.store.setting.SettingRepository}.
 */
@NullMarked
package dev.lonja.store.setting;

import org.jspecify.annotations.NullMarked;
