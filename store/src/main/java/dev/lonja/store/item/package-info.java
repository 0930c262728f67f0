/** Items, products and bins. Start with {@link dev.lonja.store.item.ItemRepository}. */
@NullMarked
package dev.lonja.store.item;

import org.jspecify.annotations.NullMarked;
