/**
 * What has a label on the shelf: {@link dev.lonja.core.item.Item}, and for fluids the {@link
 * dev.lonja.core.fluid.Product} that may come in several packs. Depends on {@code quantity}, {@code
 * part} and {@code fluid}.
 */
@NullMarked
package dev.lonja.core.item;

import org.jspecify.annotations.NullMarked;
