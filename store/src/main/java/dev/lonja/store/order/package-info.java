/** What is ordered and what came. Start with {@link dev.lonja.store.order.OrderRepository}. */
@NullMarked
package dev.lonja.store.order;

import org.jspecify.annotations.NullMarked;
