/**
 * Which fluid may go where, and which fluids are needed. Start with {@link
 * dev.lonja.core.fluid.SpecJudge}: it gives a {@link dev.lonja.core.fluid.Suitability} with its
 * reasons for a {@link dev.lonja.core.fluid.Product} and a {@link dev.lonja.core.fluid.Spec}.
 * {@link dev.lonja.core.pour.TopUp} judges what may be added, {@link
 * dev.lonja.core.choice.LeastSet} finds the fewest products worth keeping, {@link
 * dev.lonja.core.choice.PackChoice} the packs to buy or open. Depends on {@code quantity} and
 * {@code part}; knows no machine and no item.
 */
@NullMarked
package dev.lonja.core.fluid;

import org.jspecify.annotations.NullMarked;
