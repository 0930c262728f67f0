/**
 * What is ordered of suppliers, what they answer, and what comes. Start with {@link
 * dev.lonja.desk.order.OrderDesk}.
 */
@NullMarked
package dev.lonja.desk.order;

import org.jspecify.annotations.NullMarked;
