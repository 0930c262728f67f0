/**
 * Amounts and scale points as the store measures them, each held in one whole base unit.
 *
 * <p>Start with {@link dev.lonja.core.quantity.Volume}; every other type follows its pattern: a
 * named factory states the unit and rounds once, half away from zero; {@code display} rounds once
 * more, for people. {@link dev.lonja.core.quantity.Quantity} is what the stock ledger counts:
 * pieces or litres. Depends on nothing else.
 */
@NullMarked
package dev.lonja.core.quantity;

import org.jspecify.annotations.NullMarked;
