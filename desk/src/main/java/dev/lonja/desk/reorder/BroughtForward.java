package dev.lonja.desk.reorder;

import dev.lonja.core.quantity.Money;
import dev.lonja.core.quantity.Quantity;

/**
 * What is ordered before its time so that freight is free.
 *
 * @param more beside what is proposed anyway
 * @param days before the first of it would have been ordered anyway
 * @param saved the freight
 * @param keeping what keeping all that is brought forward of this order costs
 */
public record BroughtForward(Quantity more, int days, Money saved, Money keeping) {}
